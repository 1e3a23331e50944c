import { poursOf, type Plan } from '$core/plan';
import { gradesByPlan, type Db } from './database';

/** Plans without an order that are looked at as well, the latest changed first; an order is never left out. */
const MOST_OTHERS = 40;
/** A larger plan is worked out where it is opened. */
const MOST_POURS = 120;

/** Plans with what is still wanted of their orders: pieces that came out good are done; an order that is filled is none. */
export async function openOrders(db: Db, plans: readonly Plan[]): Promise<Plan[]> {
  const grades = await gradesByPlan(db);
  let others = 0;
  return plans.flatMap((plan) => {
    if (poursOf(plan) > MOST_POURS) return [];
    if (!plan.order) return ++others <= MOST_OTHERS ? [plan] : [];
    const left = plan.order.good - (grades.get(plan.id)?.good ?? 0);
    return left > 0 ? [{ ...plan, order: { ...plan.order, good: left } }] : [];
  });
}
