import type { Plan } from '../document';

/** An id that nothing in the plan has yet: the word and the first free number. */
export function freshId(plan: Plan, word: string): string {
  const lists = [plan.mixes, plan.cups, plan.groups, plan.steps, plan.spares];
  const taken = new Set([
    ...lists.flat().map((x) => x.id),
    ...plan.steps.flatMap((s) => s.gates.map((g) => g.id)),
    ...plan.cups.flatMap((c) => [...c.recipe, ...(c.fillers ?? [])].map((r) => r.id)),
    ...plan.groups.flatMap((g) => [...(g.embeds ?? []), ...(g.variations ?? [])].map((x) => x.id))
  ]);
  for (let n = 1; ; n++) if (!taken.has(`${word}-${n}`)) return `${word}-${n}`;
}
