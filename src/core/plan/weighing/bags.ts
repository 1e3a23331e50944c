import { grams } from '../../pour/measured';
import { duration } from '../../quantity';
import type { PourWindow, Score } from '../../schedule';
import type { ComputedGroup } from '../draw';
import type { ResolvedAct } from '../read-steps';
import type { ResolvedPlan } from '../resolve';
import { bagLoss, isBagged, type Losses, type CupInMixes } from './weighed';

/** What one filling of a cup's piping bag holds, and what of it stays in the bag and its tip: grams. */
interface Bag {
  holds: number;
  stays: number;
}

/** All that is said of the bags of a plan: what they hold, their cups' windows, and the beds they are piped on. */
export const baggedIn = (
  plan: ResolvedPlan,
  of: {
    cups: readonly CupInMixes[];
    losses: Losses;
    groups: readonly ComputedGroup[];
    score: Pick<Score, 'windows'>;
  }
): Bagged => ({ bags: bagsOf(plan, of), windows: of.score.windows, bedOf: bedsOf(plan, of.groups) });

/** The bag of every cup that is piped, for one of its mixes: what is piped from it, and what stays. */
function bagsOf(
  plan: ResolvedPlan,
  { cups, losses, groups }: { cups: readonly CupInMixes[]; losses: Losses; groups: readonly ComputedGroup[] }
): Map<string, Bag> {
  const piped = pipedIn(plan);
  const layers = groups.flatMap((g) => g.layers.filter((l) => piped.has(l.stepId)));
  return new Map(
    cups.flatMap(({ cup, mixes }): [string, Bag][] => {
      const stays = bagLoss(losses, plan, cup.id);
      const all = layers.filter((l) => l.cupId === cup.id).reduce((s, l) => s + l.grams, 0);
      return stays > 0 ? [[cup.id, { holds: all / Math.max(1, mixes.length) + stays, stays }]] : [];
    })
  );
}

/** When a bag can be piped from, and until when what it is piped on is soft. */
export interface Bagged {
  bags: ReadonlyMap<string, Bag>;
  windows: readonly PourWindow[];
  /** The cup that lies under a step's first line, where one does. */
  bedOf(stepId: string): string | undefined;
}

/** What the bag of a piped line holds and how long it and its bed last, in words; nothing for what is not piped. */
export function bagWords(own: ResolvedAct, stepId: string, b: Bagged): string | undefined {
  if (!isBagged(own)) return undefined;
  const cupId = own.definition.cups(own.act)[0] ?? '';
  const bag = b.bags.get(cupId);
  return (
    bag &&
    [
      `its bag holds ${grams(bag.holds)}, of which ${grams(bag.stays)} stay in it`,
      lasting(cupId, b.bedOf(stepId), b.windows)
    ]
      .filter(Boolean)
      .join(' · ')
  );
}

/** The bag's window and the bed's, each from its own mixing. */
function lasting(bag: string, bed: string | undefined, windows: readonly PourWindow[]): string {
  const own = windows.find((w) => w.cupId === bag);
  const under = bed === bag ? undefined : windows.find((w) => w.cupId === bed);
  if (!own) return '';
  const pipes = `it pipes ${duration(own.from - own.zero)} to ${duration(own.to - own.zero)} after its mixing`;
  return under ? `${pipes}, its bed is soft for ${duration(under.gels - under.zero)} after its own` : pipes;
}

/** The cup of the bed under each step: what was last poured there before it and not piped itself. */
function bedsOf(plan: ResolvedPlan, groups: readonly ComputedGroup[]): Bagged['bedOf'] {
  const piped = pipedIn(plan);
  return (stepId) => {
    for (const { layers } of groups) {
      const at = layers.findIndex((l) => l.stepId === stepId);
      if (at >= 0) return layers.slice(0, at).findLast((l) => !piped.has(l.stepId))?.cupId;
    }
    return undefined;
  };
}

/** The steps that are piped out of a bag. */
const pipedIn = (plan: ResolvedPlan): ReadonlySet<string> =>
  new Set(plan.steps.flatMap(({ own, step }) => (own && isBagged(own) ? [step.id] : [])));
