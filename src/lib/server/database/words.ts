import { sql, type SQL } from 'drizzle-orm';
import type { Db } from './connection';

/** Fewer letters than this are not in the index of trigrams: they are looked for one by one. */
const INDEXED = 3;
/** Most words that are looked for at once. */
const MOST_WORDS = 8;

/** The words of a query, in small letters. */
export const wordsOf = (query: string): string[] =>
  query.toLowerCase().split(/\s+/).filter(Boolean).slice(0, MOST_WORDS);

/** What a word is like anywhere in a text: for `LIKE … ESCAPE '\'`. */
export const likeOf = (word: string): string => `%${word.replace(/[\\%_]/g, (c) => `\\${c}`)}%`;

const isIndexed = (word: string): boolean => word.length >= INDEXED;
const matching = (word: string): SQL => sql`search_index MATCH ${`"${word.replace(/"/g, '""')}"`}`;

/** Up to so many rows that hold a word are gone through one by one for the other words: more take as long as the index. */
const FEW = 30;

/**
 * The runs (as `r`) of which some row holds each of some words. A word that few rows hold is looked for by the index, and only
 * what holds it is gone through for the others; an index of a word that thousands hold is long to read.
 */
export async function runsHolding(db: Db, words: readonly string[]): Promise<SQL[]> {
  const counted = await Promise.all(
    words.map(async (word) => ({ word, rows: isIndexed(word) ? await rowsUpTo(db, word, FEW) : FEW }))
  );
  counted.sort((a, b) => a.rows - b.rows || b.word.length - a.word.length);
  const few = (counted[0]?.rows ?? FEW) < FEW;
  return counted.map(({ word }, i) =>
    few && i
      ? isIndexed(word)
        ? sql`EXISTS (SELECT 1 FROM search_words s CROSS JOIN search_index ON search_index.rowid = s.id
            WHERE s.run_id = r.id AND ${matching(word)})`
        : sql`EXISTS (SELECT 1 FROM search_words s WHERE s.run_id = r.id AND ${like(word)})`
      : sql`r.id IN (SELECT s.run_id FROM search_words s WHERE ${holding(word)})`
  );
}

/** Up to so many rows are best found by their words, whatever their kind. */
const SOME = 400;

/** Whether one of some words is held by so few rows that all of them are soon read. */
export async function areSoonRead(db: Db, words: readonly string[]): Promise<boolean> {
  const counts = await Promise.all(words.filter(isIndexed).map((w) => rowsUpTo(db, w, SOME)));
  return counts.some((n) => n < SOME);
}

/** How many rows hold a word, counted so far only. */
async function rowsUpTo(db: Db, word: string, most: number): Promise<number> {
  const [row] = await db.all<{ n: number }>(
    sql`SELECT count(*) AS n FROM (SELECT 1 FROM search_index WHERE ${matching(word)} LIMIT ${most})`
  );
  return row?.n ?? 0;
}

const like = (word: string): SQL => sql`lower(s.words) LIKE ${likeOf(word)} ESCAPE '\\'`;

/**
 * The rows of `search_words` (as `s`) that hold a word anywhere: by the index of trigrams where the word is long enough. The
 * index is kept by triggers of the tables it is made from.
 */
export const holding = (word: string): SQL =>
  isIndexed(word) ? sql`s.id IN (SELECT rowid FROM search_index WHERE ${matching(word)})` : like(word);
