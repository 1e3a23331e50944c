import { pourCount } from '$core/document';
import { type Plan } from '$core/plan';
import { gradesByPlan, type Db } from './database';

/** Plans without an order that are looked at as well, the latest changed first; an order of usual size is never left out. */
const MOST_OTHERS = 40;
/** Pours of a very large plan; without an order it is worked out where it is opened. */
const LARGE = 120;
/** So many pours of very large orders are worked out together within a few seconds. */
const MOST_OF_LARGE = 3000;

/** What is still to be made, and the orders that are too large to be worked out with the others: these are said, not lost. */
export interface OpenOrders {
  open: Plan[];
  leftOut: { planId: string; name: string }[];
}

/**
 * The good pieces that count for each order: those of its plan, and of plans that repeat it and have no order of their own.
 * @returns by the id of the plan that has the order
 */
function goodByOrder(
  plans: readonly Plan[],
  grades: ReadonlyMap<string, { good: number }>
): Map<string, number> {
  const byId = new Map(plans.map((p) => [p.id, p]));
  const orderOf = (plan: Plan, seen: ReadonlySet<string>): string => {
    const from = plan.order ? undefined : plan.madeFrom;
    // A copy that was never poured before is a plan of its own; a repeat says which run it repeats.
    const before = from?.run === undefined || from.plan === undefined ? undefined : byId.get(from.plan);
    return before && !seen.has(before.id) ? orderOf(before, new Set([...seen, before.id])) : plan.id;
  };
  const good = new Map<string, number>();
  for (const plan of plans) {
    const order = orderOf(plan, new Set([plan.id]));
    good.set(order, (good.get(order) ?? 0) + (grades.get(plan.id)?.good ?? 0));
  }
  return good;
}

/** Plans with what is still wanted of their orders: pieces that came out good are done; an order that is filled is none. */
export async function openOrders(db: Db, plans: readonly Plan[]): Promise<OpenOrders> {
  const good = goodByOrder(plans, await gradesByPlan(db));
  const found: OpenOrders = { open: [], leftOut: [] };
  let others = 0;
  let large = 0;
  for (const plan of plans) {
    const pours = pourCount(plan);
    if (!plan.order) {
      if (pours <= LARGE && ++others <= MOST_OTHERS) found.open.push(plan);
      continue;
    }
    const left = plan.order.good - (good.get(plan.id) ?? 0);
    if (left <= 0) continue;
    if (pours > LARGE && large + pours > MOST_OF_LARGE) {
      found.leftOut.push({ planId: plan.id, name: plan.name });
      continue;
    }
    if (pours > LARGE) large += pours;
    found.open.push({ ...plan, order: { ...plan.order, good: left } });
  }
  return found;
}
