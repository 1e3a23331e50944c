import type { Plan } from './document';

/** An id that no step of the plan has yet: the word and the first free number. */
export function freshId(plan: Plan, word: string): string {
  const taken = new Set([
    ...plan.steps.map((s) => s.id),
    ...plan.cups.map((c) => c.id),
    ...plan.groups.map((g) => g.id),
    ...plan.cups.flatMap((c) => c.recipe.map((r) => r.id))
  ]);
  for (let n = 1; ; n++) if (!taken.has(`${word}-${n}`)) return `${word}-${n}`;
}
