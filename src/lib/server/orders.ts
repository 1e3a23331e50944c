import { poursOf, type Plan } from '$core/plan';
import { gradesByPlan, type Db } from './database';

/** Plans looked at; the latest changed first. */
const MOST_AHEAD = 40;
/** A larger plan is worked out where it is opened. */
const MOST_POURS = 120;

/** Plans with what is still wanted of their orders: pieces that came out good are done; an order that is filled is none. */
export async function openOrders(db: Db, plans: readonly Plan[]): Promise<Plan[]> {
  const grades = await gradesByPlan(db);
  return plans.slice(0, MOST_AHEAD).flatMap((plan) => {
    if (poursOf(plan) > MOST_POURS) return [];
    if (!plan.order) return [plan];
    const left = plan.order.good - (grades.get(plan.id)?.good ?? 0);
    return left > 0 ? [{ ...plan, order: { ...plan.order, good: left } }] : [];
  });
}
