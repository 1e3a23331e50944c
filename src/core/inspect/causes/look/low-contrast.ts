import { applyEdit } from '../../../document/apply-edit';
import { computePlan, type Plan } from '../../../plan';
import { type Shelf } from '../../../shelf';
import { strongest, type Cause } from '../cause';

/** ΔE00 under which touching colours read as one. */
const READS_AS_ONE = 5;

/** The plan with the least change of a recipe that parts two colours, where its own search finds one. */
function parted(plan: Plan, shelf: Shelf): Plan {
  const problem = computePlan(plan, shelf).problems.find((p) => p.code === 'reads-as-one' && p.edit);
  return problem?.edit ? applyEdit(plan, problem.edit) : plan;
}

/** Two colours that lie too near each other to be told apart where they touch. */
export const lowContrast: Cause = {
  id: 'low-contrast',
  defects: ['colours read as one'],
  evidence(c) {
    return strongest(
      c.frozen.computed.pairs
        .filter((p) => p.contrast.deltaE < READS_AS_ONE)
        .map((p) => {
          const names = [p.a, p.b].map(
            (id) => c.frozen.computed.cups.find((x) => x.cupId === id)?.name ?? id
          );
          return {
            fact: `${names.join(' and ')} lie ΔE ${p.contrast.deltaE.toFixed(1)} apart in the piece; under ${READS_AS_ONE} they read as one`,
            strength: READS_AS_ONE / Math.max(0.5, p.contrast.deltaE) - 1,
            change: `make one of them lighter: the plan’s own mend for ${names.join(' and ')}`,
            apply: parted
          };
        })
    );
  }
};
