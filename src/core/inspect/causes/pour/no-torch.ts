import type { Cause } from '../cause';
import { acted, like } from '../case';

/** Bubbles at the open face were not taken off while it was fluid. */
export const noTorch: Cause = {
  id: 'no-torch',
  defects: ['bubbles on the open face'],
  evidence(c) {
    const all = acted(c, 'clears');
    if (!like(c, 'may be flamed')) return undefined;
    if (!all.length)
      return {
        fact: 'no warm air or flame was planned over the open face',
        strength: 0.3,
        change: 'warm air over it in the first minutes; no flame near alcohol'
      };
    return all.some((a) => a.entry.status === 'skipped')
      ? {
          fact: 'the warm air over the open face was left out',
          strength: 1,
          change: 'do it within the first minutes'
        }
      : undefined;
  }
};
