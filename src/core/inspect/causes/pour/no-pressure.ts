import type { Cause } from '../cause';
import { acted } from '../case';

/** The pressure pot was left out. */
export const noPressure: Cause = {
  id: 'no-pressure',
  defects: ['bubbles on the mould face', 'bubbles on the open face', 'bubbles at an edge'],
  evidence(c) {
    const left = acted(c, 'presses').filter((a) => a.entry.status === 'skipped');
    return left.length
      ? {
          fact: 'the pressure pot was planned and left out',
          strength: 1,
          change: 'into the pot within the window'
        }
      : undefined;
  }
};
