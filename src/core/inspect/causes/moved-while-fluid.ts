import type { Cause } from './cause';
import { notedAs } from './case';

const WORDS = /\b(moved|knocked|bumped|jogged|shoved)\b/i;

/** Moved or knocked before it had set: only the maker can tell. */
export const movedWhileFluid: Cause = {
  id: 'moved-while-fluid',
  defects: ['off-centre', 'overfilled lip', 'colours run together'],
  looks(c) {
    const text = notedAs(c, WORDS);
    if (text === undefined) return undefined;
    return {
      fact: `it was noted: “${text.slice(0, 120)}”`,
      // In words, it has no distance from a limit: a starting value.
      strength: 0.6,
      change: 'pour where the mould can stay until it has set'
    };
  }
};
