import { sql, type SQL } from 'drizzle-orm';
import type { Db } from './connection';
import { areSoonRead, holding, likeOf, wordsOf } from './words';

/** Something that was found: what it is, its name, and a word more. */
export interface Hit {
  kind:
    | 'plan'
    | 'run'
    | 'mould'
    | 'base'
    | 'colourant'
    | 'scale'
    | 'vessel'
    | 'lot'
    | 'trial card'
    | 'lesson'
    | 'piece';
  id: string;
  name: string;
  more: string;
}

/** Most that is found of one kind. */
const MOST_FOUND = 6;

/**
 * Everything whose name, lesson or note holds all of some words, in any order; what begins with the first of them stands first.
 * Ids of lessons and pieces are those of their runs.
 */
export async function findAll(db: Db, query: string): Promise<Hit[]> {
  const words = wordsOf(query);
  if (!words.length) return [];
  const all = (one: (word: string) => SQL) => sql.join(words.map(one), sql` AND `);
  const named = (kind: Hit['kind'], table: string) => sql`
    SELECT ${kind} AS kind, id, name, '' AS more FROM ${sql.raw(table)}
    WHERE ${all((w) => sql`lower(name) LIKE ${likeOf(w)} ESCAPE '\\'`)} ORDER BY changed_at DESC LIMIT ${MOST_FOUND}`;
  // Looked for by its words where few hold them; by its kind else (the plus keeps an index from being used).
  const kindOf = sql.raw((await areSoonRead(db, words)) ? '+s.kind' : 's.kind');
  const told = (kind: 'run' | 'lesson' | 'piece') => sql`${kindOf} = ${kind} AND ${all(holding)}`;
  const queries = [
    named('plan', 'plans'),
    sql`SELECT 'run' AS kind, r.id, r.name, CAST(r.started_at AS TEXT) AS more FROM search_words s JOIN runs r ON r.id = s.key
        WHERE ${told('run')} ORDER BY r.started_at DESC LIMIT ${MOST_FOUND}`,
    named('mould', 'moulds'),
    named('base', 'bases'),
    named('colourant', 'colourants'),
    named('scale', 'scales'),
    named('vessel', 'vessels'),
    named('lot', 'lots'),
    named('trial card', 'trialcards'),
    sql`SELECT 'lesson' AS kind, l.run_id AS id, l.text AS name, '' AS more FROM search_words s JOIN lessons l ON l.id = s.key
        WHERE ${told('lesson')} ORDER BY l.learned_at DESC LIMIT ${MOST_FOUND}`,
    sql`SELECT 'piece' AS kind, p.run_id AS id, r.name || ', piece ' || p.number AS name, json_extract(p.report, '$.note') AS more
        FROM search_words s JOIN pieces p ON p.id = s.key JOIN runs r ON r.id = p.run_id
        WHERE ${told('piece')} AND json_valid(p.report) ORDER BY p.changed_at DESC LIMIT ${MOST_FOUND}`
  ];
  const found = (await Promise.all(queries.map((q) => db.all<Hit>(q)))).flat();
  const first = words[0]!;
  const rank = ({ name }: Hit) => (name.toLowerCase().startsWith(first) ? 0 : 1);
  return found.sort((a, b) => rank(a) - rank(b));
}
