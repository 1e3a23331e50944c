// npm run bench: speed as ratios within one run. Each size is measured in turns with the others, so that a
// busy machine slows all alike; figures are medians. The server is the built one: npm run build first.
import {
  candidatesFor,
  deepColour,
  deltaE,
  matchColour,
  predictorFor,
  type Lab,
  type MatchOrder
} from '../src/core/colour';
import { formulaOf } from '../src/core/material';
import { cards } from '../demo/cards';
import { tideline } from '../demo/plans';
import { figuresOf, type Plan } from '../src/core/plan';
import { type Shelf } from '../src/core/shelf';
import { benchDays } from './lib/bench-days';
import { benchPage } from './lib/bench-page';
import { benchPattern } from './lib/bench-pattern';
import { benchRecord } from './lib/bench-record';
import { benchServer } from './lib/bench-server';
import { planOf } from './lib/plan-of';

const ROUNDS = 60;
const FRAME = 16;

const sizes = [
  { name: 'tray of knobs: 3 cups, 6 cavities, 5 steps', plan: tideline },
  { name: '4 cups, 12 cavities, 15 steps', plan: planOf(4, 12, 15) },
  { name: '8 cups, 24 cavities, 30 steps', plan: planOf(8, 24, 30) },
  { name: '12 cups, 48 cavities, 60 steps', plan: planOf(12, 48, 60) }
];

/** An edit as a maker makes it: another temperature each time, so that no estimate is remembered. */
const edited = (plan: Plan, round: number): Plan => ({
  ...plan,
  bench: { ...plan.bench, roomCelsius: 18 + (round % 97) / 13 }
});
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
  figuresOf(plan, shelf);
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
console.log('figures after a keystroke (figuresOf), median of', ROUNDS, 'rounds');
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

// Matching a colour, against an exhaustive grid over the same colourants that is made finer until it comes as near.
const RECIPES = 7;
const NEAR = 0.2;
const bar = cards.bases.find((b) => b.id === 'bar-soap')!;
const barFormula = formulaOf(bar);
if (!barFormula.ok) throw new Error(barFormula.problem.sentence);
const shelf = candidatesFor(bar, barFormula.value, cards.colourants);
const order: MatchOrder = {
  target: { l: 50, a: 0, b: 0 },
  base: { kind: bar.kind, colour: bar.colour, density: barFormula.value.density },
  ...shelf,
  colourants: 3
};
let dice = 7;
const roll = () => (dice = (dice * 16807) % 2147483647) / 2147483647;
const targets = Array.from({ length: RECIPES }, () => {
  const pots = [...order.candidates].sort(() => roll() - 0.5).slice(0, 3);
  const doses = pots.map((c) => ({ colourant: c.colourant, percent: (c.most * roll()) / 3 }));
  return deepColour({ base: order.base, doses }).lab;
});

/** Every triple at so many levels each, from nothing to the most: the nearest, ΔE00. */
function grid(target: Lab, levels: number): number {
  let nearest = Infinity;
  const { candidates } = order;
  for (let a = 0; a < candidates.length; a++)
    for (let b = a + 1; b < candidates.length; b++)
      for (let c = b + 1; c < candidates.length; c++) {
        const predict = predictorFor(order, [a, b, c]);
        const most = [a, b, c].map((i) => candidates[i]!.most / (levels - 1));
        for (let i = 0; i < levels; i++)
          for (let j = 0; j < levels; j++)
            for (let k = 0; k < levels; k++) {
              const lab = predict([i * most[0]!, j * most[1]!, k * most[2]!]);
              const rough = Math.hypot(lab.l - target.l, lab.a - target.a, lab.b - target.b);
              if (rough < nearest + 4) nearest = Math.min(nearest, deltaE(lab, target));
            }
      }
  return nearest;
}
const timed = <T>(work: () => T): { ms: number; result: T } => {
  const start = performance.now();
  const result = work();
  return { ms: performance.now() - start, result };
};
matchColour({ ...order, target: targets[0]! }); // the compiler warms up
const matches = targets.map((target) => timed(() => matchColour({ ...order, target })));
const grids = targets.map((target) => {
  for (const levels of [6, 9, 13, 19, 28]) {
    const run = timed(() => grid(target, levels));
    if (run.result < NEAR || levels === 28) return { ...run, levels };
  }
  throw new Error('no grid');
});
const matchMs = median(matches.map((m) => m.ms));
const gridMs = median(grids.map((g) => g.ms));
console.log(
  `\nmatching, ${order.candidates.length} colourants, at most 3: median ${matchMs.toFixed(0)} ms, ΔE00 ${median(matches.map((m) => Math.min(...m.result.map((a) => a.deltaE)))).toFixed(2)}; ` +
    `an exhaustive grid within ΔE00 ${NEAR} (${median(grids.map((g) => g.levels))} levels): median ${gridMs.toFixed(0)} ms, × ${(gridMs / matchMs).toFixed(1)}`
);

benchDays();
benchPattern();
await benchServer();
await benchPage();
await benchRecord();
