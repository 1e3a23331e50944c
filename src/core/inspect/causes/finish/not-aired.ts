import type { Cause } from '../cause';
import { acted, like } from '../case';

/** Not aired on all sides after it left the mould. */
export const notAired: Cause = {
  id: 'not-aired',
  defects: ['sweat marks', 'water marks'],
  evidence(c) {
    if (!like(c, 'dries in air')) return undefined;
    const all = acted(c, 'airs');
    const left = all.some((a) => a.entry.status === 'skipped');
    if (left)
      return {
        fact: 'airing was planned and left out',
        strength: 1,
        change: 'on a grid, air on all sides, from the mould on'
      };
    return all.length ? undefined : { note: 'whether it dried with air on all sides, and for how long' };
  }
};
