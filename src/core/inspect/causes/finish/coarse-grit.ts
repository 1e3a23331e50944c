import { strongest, type Cause } from '../cause';
import { acted, tasksHere } from '../case';

/** Under this grit its scratches are seen and hold what is wiped over them; usual practice of the trade. */
const FINE = 400;

/** Sanded, and ended on a coarse grit. */
export const coarseGrit: Cause = {
  id: 'coarse-grit',
  defects: ['unclear edges or numbers', 'haze from a matte mould'],
  evidence(c) {
    // Scuffed for the next layer is not finished: only what nothing was poured on any more.
    const last = tasksHere(c, 'pour').at(-1);
    const done = c.state.tasks.map(({ task }) => task.id);
    return strongest(
      acted(c, 'sands').flatMap(({ step, entry }) => {
        const grits = (step.act as { grits?: readonly number[] }).grits ?? [];
        const ended = grits.at(-1);
        if (ended === undefined || ended >= FINE || entry.status !== 'done') return [];
        if (last && done.indexOf(entry.task.id) < done.indexOf(last.task.id)) return [];
        const wanted = [...grits, FINE, 2 * FINE];
        return [
          {
            fact: `sanding ended with grit ${ended}`,
            strength: FINE / ended - 1,
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
