import { LRUCache } from 'lru-cache';
import { learnedCling } from '$core/batch';
import type { LearnedHistory } from '$core/document';
import { grouped } from '$core/grouped';
import type { Plan } from '$core/plan';
import { learnedHands } from '$core/run';
import { mergedUses, stockOf, type Lot, type LotLeft, type Shelf } from '$core/shelf';
import { gradesByPlan, listCards, type Db } from '../database';
import { storedPreferences } from '../preferences';
import { latestFirst, taughtByRuns } from './kept';
import type { RunTaught } from './run-taught';

/** What the record knows that a plan may use: what clings, what is rejected, the moulds' last colours, the stock. */
export const learnedOf = async (db: Db, plan: Plan, today: number): Promise<LearnedHistory> =>
  (await learnedOfEach(db, [plan], today))[0]!;

/** What the record knows, for several plans at once: the record is read once. */
export async function learnedOfEach(
  db: Db,
  plans: readonly Plan[],
  today: number
): Promise<LearnedHistory[]> {
  const [lots, grades, ways] = await Promise.all([
    listCards(db, 'lots'),
    gradesByPlan(db),
    storedPreferences(db)
  ]);
  const off = new Set(ways?.unlearned);
  const { clings, hands, ...rest } = await learnedByAllOf(db, lots);
  const common = {
    today,
    ...rest,
    ...(clings && !off.has('clings') ? { clings } : {}),
    ...(hands && !off.has('hands') ? { hands } : {})
  };
  return plans.map((plan) => {
    const own = grades.get(plan.id);
    return {
      ...common,
      ...(own && !off.has('rejects') ? { rejects: { count: own.reject, of: own.of } } : {})
    };
  });
}

/** What the record teaches, in figures with how many cases tell each. */
export interface Taught {
  clings: { baseId: string; cling: number; cups: number }[];
  hands: { kind: string; each: number; times: number }[];
  rejects: { planId: string; count: number; of: number }[];
}

/** Everything that the record teaches plans, whether or not they are to use it. */
export async function taught(db: Db): Promise<Taught> {
  const [all, grades] = await Promise.all([taughtByRuns.all(db), gradesByPlan(db)]);
  return {
    clings: [...clingsOf(all)].map(([baseId, c]) => ({ baseId, ...c })),
    hands: [...learnedHands(all.flatMap((t) => t.hands))].map(([kind, h]) => ({ kind, ...h })),
    rejects: [...grades].map(([planId, g]) => ({ planId, count: g.reject, of: g.of }))
  };
}

/** What the record knows whatever is planned, worked out once for the same runs and lots. */
const learnedByAll = new LRUCache<string, Omit<LearnedHistory, 'today'>>({ max: 1 });

/** What the record knows whatever is planned. */
async function learnedByAllOf(db: Db, lots: readonly Lot[]): Promise<Omit<LearnedHistory, 'today'>> {
  const { finished, open, version } = await taughtByRuns.apart(db);
  const of = `${version} ${JSON.stringify(open)} ${JSON.stringify(lots)}`;
  const learned = learnedByAll.get(of) ?? learnedFrom(latestFirst([...open, ...finished]), lots);
  learnedByAll.set(of, learned);
  return learned;
}

function learnedFrom(all: readonly RunTaught[], lots: readonly Lot[]): Omit<LearnedHistory, 'today'> {
  const clings = clingsOf(all);
  const hands = learnedHands(all.flatMap((t) => t.hands));
  const lastColours = new Map<string, { colour: string; name: string; dye: boolean }>();
  for (const use of all.flatMap((t) => t.moulds).sort((a, b) => a.at - b.at))
    lastColours.set(use.mouldId, { colour: use.colour, name: use.colourName, dye: use.dye });
  return {
    ...(clings.size ? { clings } : {}),
    ...(hands.size ? { hands } : {}),
    lastColours,
    // Thousands of weighings come to a few uses; what is left of every lot is the same.
    uses: mergedUses(
      lots,
      all.flatMap((t) => t.uses)
    )
  };
}

/** What clings of each base, as far as the record tells: whichever base a plan is changed to, its own is at hand. */
function clingsOf(all: readonly RunTaught[]): NonNullable<LearnedHistory['clings']> {
  const byBase = grouped(
    all.flatMap((t) => t.losses),
    (loss) => [loss.baseId]
  );
  return new Map(
    [...byBase].flatMap(([baseId, losses]) => {
      const cling = learnedCling(losses);
      return cling ? [[baseId, cling] as const] : [];
    })
  );
}

/** What is left of every lot, runs taken off. */
export async function stock(db: Db, shelf: Shelf, today: number): Promise<LotLeft[]> {
  const { uses = [] } = await learnedByAllOf(db, shelf.lots);
  return stockOf(shelf.lots, uses, today);
}
