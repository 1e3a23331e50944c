import { HATCHES, type Cup, type Plan } from './document';
import { freshId } from './fresh-id';
import { mixForNewCup } from './mixing';

/** A plan with one cup more, uncoloured, from the mix its others come from; as it is once every letter is taken. */
export function withNewCup(plan: Plan): Plan {
  const id = freshId(plan, 'cup');
  const blank = blankCup(plan, id);
  if (!blank) return plan;
  const { mixes, mixId } = mixForNewCup(plan, id);
  return { ...plan, mixes, cups: [...plan.cups, { ...blank, from: { mix: mixId } }] };
}

/** A plan with a jug that its cups are poured into, in equal shares. */
export function withJug(plan: Plan, cupIds: readonly string[]): { plan: Plan; jugId: string | undefined } {
  const same = plan.cups.find(
    ({ from }) => 'cups' in from && from.cups.map((c) => c.cupId).join('|') === cupIds.join('|')
  );
  if (same) return { plan, jugId: same.id };
  const id = freshId(plan, 'jug');
  const blank = blankCup(plan, id);
  if (!blank || !cupIds.length) return { plan, jugId: undefined };
  const each = 1 / cupIds.length;
  const jug = { ...blank, name: 'jug', from: { cups: cupIds.map((cupId) => ({ cupId, share: each })) } };
  return { plan: { ...plan, cups: [...plan.cups, jug] }, jugId: id };
}

/** Its letter, hatch and name: the first that are free. */
function blankCup(plan: Plan, id: string): Omit<Cup, 'from'> | undefined {
  const taken = new Set(plan.cups.map((c) => c.letter));
  const letter = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].find((l) => !taken.has(l));
  if (!letter) return undefined;
  const used = new Set(plan.cups.map((c) => c.hatch));
  return {
    id,
    letter,
    hatch: HATCHES.slice(1).find((h) => !used.has(h)) ?? 'plain',
    name: `cup ${letter}`,
    recipe: []
  };
}
