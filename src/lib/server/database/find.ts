import { sql } from 'drizzle-orm';
import type { Db } from './connection';

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
const MOST = 6;

/**
 * Everything whose name, lesson or note holds all of some words, in any order; what begins with the first of them stands first.
 * Ids of lessons and pieces are those of their runs.
 */
export async function findAll(db: Db, query: string): Promise<Hit[]> {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean).slice(0, 8);
  if (!words.length) return [];
  const holds = (column: string) =>
    sql.join(
      words.map(
        (w) => sql`lower(${sql.raw(column)}) LIKE ${`%${w.replace(/[\\%_]/g, (c) => `\\${c}`)}%`} ESCAPE '\\'`
      ),
      sql` AND `
    );
  const named = (kind: Hit['kind'], table: string, order: string) => sql`
    SELECT ${kind} AS kind, id, name, '' AS more FROM ${sql.raw(table)} WHERE ${holds('name')}
    ORDER BY ${sql.raw(order)} DESC LIMIT ${MOST}`;
  const queries = [
    named('plan', 'plans', 'changed_at'),
    sql`SELECT 'run' AS kind, id, name, CAST(started_at AS TEXT) AS more FROM runs WHERE ${holds('name')} ORDER BY started_at DESC LIMIT ${MOST}`,
    named('mould', 'moulds', 'changed_at'),
    named('base', 'bases', 'changed_at'),
    named('colourant', 'colourants', 'changed_at'),
    named('scale', 'scales', 'changed_at'),
    named('vessel', 'vessels', 'changed_at'),
    named('lot', 'lots', 'changed_at'),
    named('trial card', 'trialcards', 'changed_at'),
    sql`SELECT 'lesson' AS kind, run_id AS id, text AS name, '' AS more FROM lessons WHERE ${holds('text')} ORDER BY learned_at DESC LIMIT ${MOST}`,
    sql`SELECT 'piece' AS kind, p.run_id AS id, r.name || ', piece ' || p.number AS name, json_extract(p.report, '$.note') AS more
        FROM pieces p JOIN runs r ON r.id = p.run_id
        WHERE ${holds("json_extract(p.report, '$.note')")} ORDER BY p.changed_at DESC LIMIT ${MOST}`
  ];
  const found = (await Promise.all(queries.map((q) => db.all<Hit>(q)))).flat();
  const first = words[0]!;
  const rank = ({ name }: Hit) => (name.toLowerCase().startsWith(first) ? 0 : 1);
  return found.sort((a, b) => rank(a) - rank(b));
}
