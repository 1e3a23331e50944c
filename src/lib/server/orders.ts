import { poursOf, type Plan } from '$core/plan';
import { allPieces, type Db } from './database';

/** Plans looked at; the latest changed first. */
const MOST_AHEAD = 40;
/** A larger plan is worked out where it is opened. */
const MOST_POURS = 120;

/** Plans with what is still wanted of their orders: pieces that came out good are done; an order that is filled is none. */
export async function openOrders(db: Db, plans: readonly Plan[]): Promise<Plan[]> {
  const good = new Map<string, number>();
  for (const { run, grade } of await allPieces(db))
    if (grade === 'good' && run.planId !== null) good.set(run.planId, (good.get(run.planId) ?? 0) + 1);
  return plans.slice(0, MOST_AHEAD).flatMap((plan) => {
    if (poursOf(plan) > MOST_POURS) return [];
    if (!plan.order) return [plan];
    const left = plan.order.good - (good.get(plan.id) ?? 0);
    return left > 0 ? [{ ...plan, order: { ...plan.order, good: left } }] : [];
  });
}
