import { grams } from '../pour/measured';
import type { ComputedGroup } from './piece';
import type { ResolvedAct, ResolvedPlan } from './resolve';
import { bagLoss, isBagged, type Losses, type WorkedCup } from './worked';

/** What one filling of a cup's piping bag holds, and what of it stays in the bag and its tip: grams. */
export interface Bag {
  holds: number;
  stays: number;
}

/** The bag of every cup that is piped, for one of its mixes: what is piped from it, and what stays. */
export function bagsOf(
  plan: ResolvedPlan,
  { cups, losses, groups }: { cups: readonly WorkedCup[]; losses: Losses; groups: readonly ComputedGroup[] }
): Map<string, Bag> {
  const piped = new Set(plan.steps.flatMap(({ own, step }) => (own && isBagged(own) ? [step.id] : [])));
  const layers = groups.flatMap((g) => g.layers.filter((l) => piped.has(l.stepId)));
  return new Map(
    cups.flatMap(({ cup, mixes }): [string, Bag][] => {
      const stays = bagLoss(losses, plan, cup.id);
      const all = layers.filter((l) => l.cupId === cup.id).reduce((s, l) => s + l.grams, 0);
      return stays > 0 ? [[cup.id, { holds: all / Math.max(1, mixes.length) + stays, stays }]] : [];
    })
  );
}

/** What the bag of a piped line holds, in words; nothing for what is not piped. */
export function bagWords(own: ResolvedAct, bags: ReadonlyMap<string, Bag>): string | undefined {
  if (!isBagged(own)) return undefined;
  const bag = bags.get(own.definition.cups(own.act)[0] ?? '');
  return bag && `its bag holds ${grams(bag.holds)}, of which ${grams(bag.stays)} stay in it`;
}
