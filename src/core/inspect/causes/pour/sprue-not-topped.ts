import type { Cause } from '../cause';
import { acted, like, tasksHere } from '../case';

/** The sprue was not topped while the plastic shrank. */
export const sprueNotTopped: Cause = {
  id: 'sprue-not-topped',
  defects: ['sunk sprue or dent', 'short fill or ledge'],
  evidence(c) {
    if (!like(c, 'draws in the sprue')) return undefined;
    // What is poured after the first layer tops it too.
    const tops = [...acted(c, 'tops').map((a) => a.entry), ...tasksHere(c, 'pour').slice(1)];
    return tops.some((t) => t.status === 'skipped')
      ? { fact: 'the topping was left out', strength: 1, change: 'top it off while it shrinks' }
      : undefined;
  }
};
