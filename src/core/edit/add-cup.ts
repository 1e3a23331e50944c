import { HATCHES, type Cup, type Plan } from '../document';
import { freshId } from './fresh-id';
import { mixForNewCup } from '../document/mixing';

/** A plan with one cup more, uncoloured, from the mix its others come from; as it is once every letter is taken. */
export function withNewCup(plan: Plan): Plan {
  const id = freshId(plan, 'cup');
  const blank = blankCup(plan, id);
  if (!blank) return plan;
  const { mixes, mixId } = mixForNewCup(plan, id);
  return { ...plan, mixes, cups: [...plan.cups, { ...blank, from: { mix: mixId } }] };
}

/** A plan with a jug that its cups are poured into, by their shares, stirred together so far; the same jug where it has one. */
export function withCompositeCup(
  plan: Plan,
  parts: readonly { cupId: string; share: number }[],
  mixing?: Cup['mixing']
): { plan: Plan; jugId: string | undefined } {
  const key = (of: readonly { cupId: string }[]) => of.map((c) => c.cupId).join('|');
  const same = plan.cups.find(
    (c) => 'cups' in c.from && key(c.from.cups) === key(parts) && c.mixing === mixing
  );
  if (same) return { plan, jugId: same.id };
  const id = freshId(plan, 'jug');
  const blank = blankCup(plan, id);
  if (!blank || !parts.length) return { plan, jugId: undefined };
  const jug: Cup = { ...blank, name: 'jug', from: { cups: [...parts] }, ...(mixing ? { mixing } : {}) };
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
