import type { Cause } from '../cause';
import { tasksHere } from '../case';

/** More strokes than planned. */
export const strokesOverPlan: Cause = {
  id: 'strokes-over-plan',
  defects: ['muddy blend', 'blotted lines', 'colour dragged over an embed', 'lost lines or bare patches'],
  evidence(c) {
    const all = [...tasksHere(c, 'do'), ...tasksHere(c, 'pour')];
    const extra = all.reduce((s, t) => s + (t.extra ?? 0), 0);
    return extra
      ? {
          fact: `${extra} ${extra === 1 ? 'stroke' : 'strokes'} more than planned`,
          strength: extra / 2,
          change: 'when the planned strokes are done, hands off'
        }
      : undefined;
  }
};
