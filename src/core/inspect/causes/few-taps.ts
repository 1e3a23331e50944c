import type { Cause } from './cause';
import { acted } from './case';

/** Not tapped or vibrated, or for less than planned. */
export const fewTaps: Cause = {
  id: 'few-taps',
  defects: ['bubbles on the mould face', 'bubbles at an edge'],
  looks(c) {
    const all = acted(c, 'loosens');
    const left = all.filter((a) => a.entry.status === 'skipped');
    if (!all.length) return { note: 'how long the mould was tapped, zone by zone' };
    return left.length
      ? {
          fact: `${left.length} of ${all.length} times of tapping were left out`,
          strength: left.length / all.length,
          change: 'tap every zone; a detail coat first'
        }
      : undefined;
  }
};
