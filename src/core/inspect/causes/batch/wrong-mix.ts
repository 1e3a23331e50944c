import { strongest, type Cause } from '../cause';
import { cupName, mixesHere } from '../case';

/** Another pot than the recipe names. */
export const wrongPot: Cause = {
  id: 'wrong-pot',
  defects: ['too dark, too light or another hue', 'colours read as one', 'unmixed streaks or specks'],
  evidence(c) {
    const here = new Set(mixesHere(c));
    return strongest(
      c.state.tasks.flatMap((t) =>
        t.task.kind === 'weigh' && t.instead && here.has(t.task.mixId)
          ? [
              {
                fact: `${t.instead.name} went into ${cupName(c, t.task.mixId)} instead of ${t.task.name}`,
                strength: 2,
                change: 'read the label aloud before it goes in'
              }
            ]
          : []
      )
    );
  }
};
