import type { Cause } from './cause';
import { notedAs } from './case';

const WORDS = /\b(damp|moist|condensation|wet (mould|mold|wood|flowers?|chips?))\b/i;

/** Water in the mould, or in what was set in: only the maker can tell. */
export const dampInside: Cause = {
  id: 'damp-inside',
  defects: ['tacky or soft', 'bubbles on the mould face', 'bubbles on the open face', 'water marks'],
  looks(c) {
    const text = notedAs(c, WORDS);
    if (text === undefined) return undefined;
    return {
      fact: `it was noted: “${text.slice(0, 120)}”`,
      // In words, it has no distance from a limit: a starting value.
      strength: 0.6,
      change: 'dry the mould and what goes into it, or seal it first'
    };
  }
};
