import type { Cause } from '../cause';
import { figure } from '../../../quantity';

/** A cup that had less than it was to pour. */
export const spilledCup: Cause = {
  id: 'spilled-cup',
  defects: ['short fill or ledge'],
  evidence(c) {
    const lost = c.state.mishaps.filter((m) => m.kind === 'spilled' && !m.over);
    return lost.length
      ? {
          fact: `${figure(
            lost.reduce((s, m) => s + m.grams, 0),
            'g',
            1
          )} were spilled`,
          strength: 0.8,
          change: 'top up before the pour, or pour fewer cavities whole'
        }
      : undefined;
  }
};
