import type { Cause } from './cause';
import { acted, made } from './case';

/** The sprue was not topped while the plastic shrank. */
export const sprueNotTopped: Cause = {
  id: 'sprue-not-topped',
  defects: ['sunk sprue or dent', 'short fill or ledge'],
  looks(c) {
    if (!made(c, 'plastisol', 'melt and pour')) return undefined;
    const tops = acted(c, 'top', 'lay').slice(1);
    return tops.some((a) => a.entry.status === 'skipped')
      ? { fact: 'the topping was left out', strength: 1, change: 'top it off while it shrinks' }
      : undefined;
  }
};
