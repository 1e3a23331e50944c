import type { Cause } from '../cause';
import { cupName, mixesHere } from '../case';

/** A weighing that was confirmed without a reading. */
export const notWeighed: Cause = {
  id: 'not-weighed',
  defects: ['tacky or soft', 'too dark, too light or another hue', 'unmixed streaks or specks'],
  evidence(c) {
    const here = new Set(mixesHere(c));
    const blind = c.state.tasks.filter(
      (t) => t.task.kind === 'weigh' && t.assumed !== undefined && here.has(t.task.mixId)
    );
    const [first] = blind;
    if (first?.task.kind !== 'weigh') return undefined;
    return {
      note: `what ${first.task.name} in ${cupName(c, first.task.mixId)} weighed: it was confirmed without a reading`
    };
  }
};
