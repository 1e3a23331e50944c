import { inPlan } from '../../problem';
import type { Step } from '../../document';
import type { Rule } from './rule';

/** A hot shot that shrinks as it cools, with nothing put after it: it draws in at the sprue and leaves a dent. */
export const sprueUntopped: Rule = (s) => {
  if (!s.material?.traits.includes('injected hot')) return [];
  const last = s.steps.findLast((d) => d.ml > 0);
  if (!last || s.steps.some((d) => d.traits.includes('tops the sprue'))) return [];
  const at = s.plan.steps.findIndex((x) => x.id === last.step.id) + 1;
  const topping: Step = {
    id: s.freshId.replace('gate', 'sprue'),
    act: { kind: 'sprue', within: 2 },
    where: [s.groupId],
    gates: []
  };
  return [
    {
      code: 'sprue-untopped',
      level: 'note',
      ...inPlan('steps', last.step.id),
      sentence: `The sprue of ${s.name} is never topped: ${s.material.spoken} shrinks as it cools and leaves a dent there.`,
      mend: 'Top the sprue while it still draws in.',
      fixes: [
        {
          words: 'Top the sprue within 2 min',
          edit: { path: ['steps'], value: s.plan.steps.toSpliced(at, 0, topping) }
        }
      ]
    }
  ];
};
