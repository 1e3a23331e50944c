import { strongest, type Cause } from '../cause';
import { acted, cupName, minutesBetween, type Case } from '../case';

/** A wait between two puddles this much longer than planned lets the first thicken, minutes. A starting figure. */
const LONGER = 3;

/** When a step is done with by the plan's own score, minutes from its start. */
const plannedEnd = (c: Case, stepId: string): number =>
  Math.max(...c.frozen.computed.score.blocks.flatMap((b) => (b.stepId === stepId ? [b.to] : [])));

/** The puddles of a stack came too far apart: what lay there no longer moved. */
export const puddlesWaited: Cause = {
  id: 'puddles-waited',
  defects: ['no cells'],
  evidence(c) {
    const puddles = acted(c, 'digs').filter(({ entry }) => entry.doneAt !== undefined);
    return strongest(
      puddles.slice(1).flatMap(({ step, entry }, i) => {
        const before = puddles[i]!;
        const planned = plannedEnd(c, step.id) - plannedEnd(c, before.step.id);
        const waited = minutesBetween(before.entry.doneAt!, entry.doneAt!);
        if (!(planned > 0) || waited - planned < LONGER || !('cupId' in entry.task)) return [];
        return [
          {
            fact: `${waited.toFixed(1)} min passed before the puddle of ${cupName(c, entry.task.cupId)}; ${planned.toFixed(1)} were planned`,
            strength: (waited - planned) / Math.max(LONGER, planned),
            change: 'have every cup of the stack mixed before the first puddle, and pour them one on another'
          }
        ];
      })
    );
  }
};
