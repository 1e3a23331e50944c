// npm run bench: speed as ratios within one run. Each size is measured in turns with the others, so that a
// busy machine slows all alike; figures are medians.
import { cards } from '../demo/cards';
import { tideline } from '../demo/plans';
import { computePlan, HATCHES, type Plan, type Shelf } from '../src/core/plan';

const ROUNDS = 60;
const FRAME = 16;

/** A plan with so many cups, groups of cavities and steps, none of them alike. */
function planOf(cups: number, cavities: number, steps: number): Plan {
  const groups = Math.max(1, Math.round(cavities / 6));
  return {
    ...tideline,
    cups: Array.from({ length: cups }, (_, i) => ({
      ...tideline.cups[i % 3]!,
      id: `cup-${i}`,
      letter: String.fromCharCode(65 + i),
      hatch: HATCHES[i % HATCHES.length]!,
      recipe: tideline.cups[i % 3]!.recipe.map((r) => ({ ...r, id: `${r.id}-${i}` }))
    })),
    groups: Array.from({ length: groups }, (_, i) => ({
      ...tideline.groups[0]!,
      id: `group-${i}`,
      count: Math.round(cavities / groups)
    })),
    steps: Array.from({ length: steps }, (_, i) => {
      const own = Math.ceil(steps / groups);
      return {
        id: `step-${i}`,
        act: 'lay' as const,
        cupId: `cup-${i % cups}`,
        groupId: `group-${Math.floor(i / own) % groups}`,
        amount: { kind: 'share' as const, of: 0.95 / own },
        minutesEach: 0.5
      };
    })
  };
}

const sizes = [
  { name: 'tray of knobs: 3 cups, 6 cavities, 5 steps', plan: tideline },
  { name: '4 cups, 12 cavities, 15 steps', plan: planOf(4, 12, 15) },
  { name: '8 cups, 24 cavities, 30 steps', plan: planOf(8, 24, 30) },
  { name: '12 cups, 48 cavities, 60 steps', plan: planOf(12, 48, 60) }
];

/** An edit as a maker makes it: another temperature each time, so that no estimate is remembered. */
const edited = (plan: Plan, round: number): Plan => ({ ...plan, roomCelsius: 18 + (round % 97) / 13 });
/** An edit that leaves temperatures and depths alone, as most do. */
const recoloured = (plan: Plan, round: number): Plan => ({
  ...plan,
  cups: plan.cups.map((c, i) =>
    i ? c : { ...c, recipe: c.recipe.map((r) => ({ ...r, percent: 0.5 + (round % 50) / 50 })) }
  )
});

function once(plan: Plan, shelf: Shelf): { ms: number; kilobytes: number } {
  const before = process.memoryUsage().heapUsed;
  const start = performance.now();
  computePlan(plan, shelf);
  const ms = performance.now() - start;
  return { ms, kilobytes: (process.memoryUsage().heapUsed - before) / 1024 };
}

const median = (xs: number[]) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? 0;

const measured = sizes.map(() => ({ cold: [] as number[], warm: [] as number[], kilobytes: [] as number[] }));
for (let round = 0; round < ROUNDS + 10; round++) {
  sizes.forEach(({ plan }, i) => {
    globalThis.gc?.();
    const cold = once(edited(plan, round), cards);
    const warm = once(recoloured(plan, round), cards);
    if (round < 10) return; // the compiler warms up
    measured[i]!.cold.push(cold.ms);
    measured[i]!.warm.push(warm.ms);
    measured[i]!.kilobytes.push(cold.kilobytes);
  });
}

const base = median(measured[0]!.cold);
console.log('computePlan, median of', ROUNDS, 'rounds');
console.log(
  '| plan | every window anew | a recipe edit | ratio to the tray | of a 16 ms frame | allocates |'
);
console.log('|---|---|---|---|---|---|');
sizes.forEach(({ name }, i) => {
  const m = measured[i]!;
  const cold = median(m.cold);
  console.log(
    `| ${name} | ${cold.toFixed(2)} ms | ${median(m.warm).toFixed(2)} ms | × ${(cold / base).toFixed(1)} | ${((cold / FRAME) * 100).toFixed(0)} % | ${median(m.kilobytes).toFixed(0)} KB |`
  );
});
