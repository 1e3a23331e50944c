import type { Cause } from './cause';
import { notedAs } from './case';

interface FromNotes extends Pick<Cause, 'id' | 'defects'> {
  /** What a note says where it was so. */
  words: RegExp;
  change: string;
  /** What to note next time, where nothing says it; not asked for when absent. */
  ask?: string;
}

/** A cause that only the maker can tell: pointed to by what was noted in the run, in the maker's own words. */
export const fromNotes = ({ id, defects, words, change, ask }: FromNotes): Cause => ({
  id,
  defects,
  evidence(c) {
    const text = notedAs(c, words);
    if (text === undefined) return ask === undefined ? undefined : { note: ask };
    // In words, it has no distance from a limit: a starting value.
    return { fact: `it was noted: “${text.slice(0, 120)}”`, strength: 0.6, change };
  }
});
