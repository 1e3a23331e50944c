import type { Cause } from './cause';
import { notedAs } from './case';

const WORDS = /\b(stirred|mixed|whisked|blended)\b.*\b(hard|fast|quickly|roughly)\b|\bwhisk/i;

/** Stirred hard or fast, so that air went in: only the maker can tell. */
export const stirredHard: Cause = {
  id: 'stirred-hard',
  defects: ['bubbles on the mould face', 'bubbles on the open face', 'bubbles at an edge'],
  looks(c) {
    const text = notedAs(c, WORDS);
    if (text === undefined) return { note: 'how hard the cups were stirred, and how long they rested' };
    return {
      fact: `it was noted: “${text.slice(0, 120)}”`,
      // In words, it has no distance from a limit: a starting value.
      strength: 0.6,
      change: 'stir slowly, scrape, and let the cup rest before it is poured'
    };
  }
};
