import type { Cause } from '../cause';
import { acted, like } from '../case';

/** Bubbles at the open face were not taken off while it was fluid. */
export const noTorch: Cause = {
  id: 'no-torch',
  defects: ['bubbles on the open face'],
  evidence(c) {
    const all = acted(c, 'clears');
    if (!like(c, 'may be flamed')) return undefined;
    if (!all.length) return { note: 'whether warm air went over the open face in the first minutes' };
    return all.some((a) => a.entry.status === 'skipped')
      ? {
          fact: 'the warm air over the open face was left out',
          strength: 1,
          change: 'do it within the first minutes'
        }
      : undefined;
  }
};
