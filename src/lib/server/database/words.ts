import { sql, type SQL } from 'drizzle-orm';

/** Fewer letters than this are not in the index of trigrams: they are looked for one by one. */
const INDEXED = 3;
/** Most words that are looked for at once. */
const MOST_WORDS = 8;

/** The words of a query, in small letters. */
export const wordsOf = (query: string): string[] =>
  query.toLowerCase().split(/\s+/).filter(Boolean).slice(0, MOST_WORDS);

/** What a word is like anywhere in a text: for `LIKE … ESCAPE '\'`. */
export const likeOf = (word: string): string => `%${word.replace(/[\\%_]/g, (c) => `\\${c}`)}%`;

/**
 * The rows of `search_words` (as `s`) that hold a word anywhere: by the index of trigrams where the word is long enough. The
 * index is kept by triggers of the tables it is made from.
 */
export const holding = (word: string): SQL =>
  word.length >= INDEXED
    ? sql`s.id IN (SELECT rowid FROM search_index WHERE search_index MATCH ${`"${word.replace(/"/g, '""')}"`})`
    : sql`lower(s.words) LIKE ${likeOf(word)} ESCAPE '\\'`;
