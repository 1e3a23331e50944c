import type { Cause } from '../cause';
import { acted } from '../case';

/** A stain that was never sealed in. */
export const notSealed: Cause = {
  id: 'not-sealed',
  defects: ['washed-out stain'],
  evidence(c) {
    const seals = acted(c, 'seals');
    // What bears no stain and no ink has none to wash out.
    if (!acted(c, 'stains').length) return undefined;
    if (!seals.length)
      return {
        fact: 'no seal is in the plan',
        strength: 0.5,
        change: 'seal it before rain or a hand rubs it'
      };
    return seals.some((a) => a.entry.status === 'skipped')
      ? { fact: 'the seal was left out', strength: 1, change: 'seal it before it is wet or handled' }
      : undefined;
  }
};
