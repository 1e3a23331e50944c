import { tideline } from '../../demo/orders/tideline-knobs';
import { HATCHES } from '../../src/core/document';
import { type Plan } from '../../src/core/plan';

/** A plan with so many cups, cavities in groups and steps, none of them alike; each step into one group. */
export function planOf(cups: number, cavities: number, steps: number): Plan {
  const groups = Math.max(1, Math.round(cavities / 6));
  const own = Math.ceil(steps / groups);
  return {
    ...tideline,
    mixes: Array.from({ length: cups }, (_, i) => ({ ...tideline.mixes[0]!, id: `mix-${i}` })),
    cups: Array.from({ length: cups }, (_, i) => ({
      ...tideline.cups[i % 3]!,
      id: `cup-${i}`,
      from: { mix: `mix-${i}` },
      letter: String.fromCharCode(65 + i),
      hatch: HATCHES[i % HATCHES.length]!,
      recipe: tideline.cups[i % 3]!.recipe.map((r) => ({ ...r, id: `${r.id}-${i}` }))
    })),
    groups: Array.from({ length: groups }, (_, i) => ({
      ...tideline.groups[0]!,
      id: `group-${i}`,
      count: Math.round(cavities / groups)
    })),
    steps: Array.from({ length: steps }, (_, i) => ({
      id: `step-${i}`,
      act: { kind: 'lay', cupId: `cup-${i % cups}`, amount: { kind: 'share', of: 0.95 / own } },
      where: [`group-${Math.floor(i / own) % groups}`],
      gates: [],
      hands: { each: 0.5 }
    }))
  };
}

/** As large as a document may be: every cup, as many pours as are taken, variations in each group. */
export function largestPlan(groups = 12, steps = 120, variations = 0): Plan {
  const plan = planOf(26, groups * 6, steps);
  return {
    ...plan,
    groups: plan.groups.map((g) => ({
      ...g,
      count: 2000,
      variations: Array.from({ length: variations }, (_, v) => ({
        id: `${g.id}-v${v}`,
        stepId: `step-${v % steps}`,
        cavities: [v + 1],
        change: { cupId: 'cup-1' }
      }))
    })),
    steps: plan.steps.map((s) => ({
      ...s,
      act: { kind: 'lay', cupId: s.act.cupId, amount: { kind: 'share', of: 0.95 / steps } },
      where: plan.groups.map((g) => g.id)
    }))
  };
}
