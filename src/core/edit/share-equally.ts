import { amountOf, withAmount } from '../pour';
import type { Amount, Plan, Step } from '../document';

/** Steps into a group that have an amount to share. */
export const sharersOf = (plan: Plan, groupId: string): Step[] =>
  plan.steps.filter((s) => s.where.includes(groupId) && amountOf(s.act) !== undefined);

/** The plan with every layer of a group as much of the cavity as any other; the last ends at the rim. */
export function sharedEqually(plan: Plan, groupId: string): Plan {
  const own = sharersOf(plan, groupId);
  const steps = plan.steps.map((step): Step => {
    const nth = own.indexOf(step) + 1;
    const amount: Amount = nth === own.length ? { kind: 'rim' } : { kind: 'to share', of: nth / own.length };
    return nth > 0 ? { ...step, act: withAmount(step.act, amount) } : step;
  });
  return { ...plan, steps };
}
