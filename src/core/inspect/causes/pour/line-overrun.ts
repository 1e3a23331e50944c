import { acts } from '../../../pour';
import { figure } from '../../../quantity';
import { strongest, type Cause } from '../cause';
import { cupName, tasksHere } from '../case';

/** More beside a line than it was planned to hold, by this share, runs over it. */
const OVER = 0.08;

/** Beside a line that keeps two colours apart more was poured than planned: it ran over. */
export const lineOverrun: Cause = {
  id: 'line-overrun',
  defects: ['colours run together', 'off-centre', 'lost lines or bare patches'],
  evidence(c) {
    const steps = c.plan.steps.filter((s) => !s.where.length || s.where.includes(c.groupId));
    const line = steps.findIndex((s) => acts.traits(s.act).includes('parts'));
    if (line < 0) return undefined;
    const after = steps.slice(line + 1);
    const over = after.findIndex((s) => acts.traits(s.act).includes('levels'));
    const beside = new Set(after.slice(0, over < 0 ? after.length : over).map((s) => s.id));
    return strongest(
      tasksHere(c, 'pour').flatMap(({ task, actual }) => {
        const planned = task.gramsEach * task.count;
        if (!beside.has(task.stepId) || actual === undefined || actual < planned * (1 + OVER)) return [];
        return [
          {
            fact: `${cupName(c, task.cupId)} stood beside the line with ${figure(actual, 'g', 1)} where ${figure(planned, 'g', 1)} were planned`,
            // It points at the place, which the grams alone do not.
            strength: 1.1 * (actual / planned - 1) + 0.05,
            change: 'fill both sides in turn, by the scale, and stop below the line'
          }
        ];
      })
    );
  }
};
