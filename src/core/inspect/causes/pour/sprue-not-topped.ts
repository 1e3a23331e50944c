import { acts } from '../../../pour';
import { actStep, freshId } from '../../../edit';
import type { Plan } from '../../../plan';
import type { Cause } from '../cause';
import { acted, like, tasksHere } from '../case';

/** The sprue was not topped while the plastic shrank. */
export const sprueNotTopped: Cause = {
  id: 'sprue-not-topped',
  defects: ['sunk sprue or dent', 'short fill or ledge'],
  evidence(c) {
    if (!like(c, 'draws in the sprue')) return undefined;
    const tops = acted(c, 'tops the sprue').map((a) => a.entry);
    if (tops.some((t) => t.status === 'skipped'))
      return {
        fact: 'the topping of the sprue was left out',
        strength: 1,
        change: 'top it while it shrinks and still flows'
      };
    // What is poured after the first layer tops it too.
    const again = [...acted(c, 'tops').map((a) => a.entry), ...tasksHere(c, 'pour').slice(1)];
    if (again.some((t) => t.status === 'skipped'))
      return { fact: 'a later pour was left out', strength: 1, change: 'top it off while it shrinks' };
    return tops.length || again.length || !like(c, 'injected hot')
      ? undefined
      : {
          fact: 'no topping of the sprue is in the plan',
          strength: 0.5,
          change: 'top the sprue while it shrinks and still flows',
          apply: (plan) => withStep(plan, c.groupId, 'sprue')
        };
  }
};

/** The plan with an act more before its pieces leave their mould. */
function withStep(plan: Plan, groupId: string, kind: string): Plan {
  const out = plan.steps.findIndex(
    (s) => s.where.includes(groupId) && acts.traits(s.act).includes('demoulds')
  );
  const step = actStep(freshId(plan, kind), kind, '', groupId);
  if (!step) return plan;
  const at = out < 0 ? plan.steps.length : out;
  return { ...plan, steps: plan.steps.toSpliced(at, 0, step) };
}
