import { strongest, type Cause } from '../cause';
import { acted } from '../case';

/** Under this grit its scratches are seen and hold what is wiped over them; usual practice of the trade. */
const FINE = 400;

/** Sanded, and ended on a coarse grit. */
export const coarseGrit: Cause = {
  id: 'coarse-grit',
  defects: ['unclear edges or numbers', 'haze from a matte mould'],
  evidence(c) {
    return strongest(
      acted(c, 'sands').flatMap(({ step, entry }) => {
        const grits = (step.act as { grits?: readonly number[] }).grits ?? [];
        const last = grits.at(-1);
        if (last === undefined || last >= FINE || entry.status !== 'done') return [];
        const wanted = [...grits, FINE, 2 * FINE];
        return [
          {
            fact: `sanding ended with grit ${last}`,
            strength: FINE / last - 1,
            change: `go on to ${FINE} and ${2 * FINE}, wet`,
            apply: (plan) => ({
              ...plan,
              steps: plan.steps.map((s) =>
                s.id === step.id ? { ...s, act: { ...s.act, grits: wanted } } : s
              )
            })
          }
        ];
      })
    );
  }
};
