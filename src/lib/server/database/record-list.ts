import { LRUCache } from 'lru-cache';
import { sql, type SQL } from 'drizzle-orm';
import type { Db } from './connection';
import { remembered } from './remembered';
import { FACETS, havingFacet, type Facet } from './run-facets';
import { piecesNow } from './run-summaries';
import { runsHolding, wordsOf } from './words';

/** What of the record is asked for. */
export interface RecordAsked {
  /** Words that a run’s name, its lessons, or the notes and defects of its pieces hold: all of them, in any order. */
  words: string;
  only: 'all' | 'rejects' | 'open' | 'lessons';
  /** What else a run has: its material, mould, colour, act, whose hands. */
  having?: Partial<Record<Facet, string>>;
  /** A grade or a defect that one of its pieces has. */
  grade?: string | undefined;
  defect?: string | undefined;
  /** Begun not before, and before, ms. */
  from?: number | undefined;
  to?: number | undefined;
  page: number;
}

/** A run of the record as its list shows it. */
export interface RecordRow {
  id: string;
  name: string;
  startedAt: number;
  finishedAt: number | null;
  base: string | null;
  cast: number;
  good: number;
  second: number;
  reject: number;
  lesson: string | null;
}

/** Runs to a page: about a screenful. */
export const RECORD_PAGE = 20;

/** A page of the record, latest first, and how many runs there are of what was asked for. */
export async function recordPage(db: Db, asked: RecordAsked): Promise<{ rows: RecordRow[]; of: number }> {
  const where = await conditions(db, asked);
  // What is asked for is looked for once, and the pages are cut before what is large is looked into.
  const rows = await db.all<Omit<RecordRow, 'base' | 'cast'> & { of: number; bytes: number }>(sql`
    WITH asked AS MATERIALIZED (
      SELECT r.id, r.name, r.started_at, r.finished_at FROM runs r WHERE ${where}
    ), shown AS (
      SELECT * FROM asked ORDER BY started_at DESC, id LIMIT ${RECORD_PAGE} OFFSET ${asked.page * RECORD_PAGE}
    )
    SELECT (SELECT count(*) FROM asked) AS "of",
      s.id, s.name, s.started_at AS startedAt, s.finished_at AS finishedAt,
      (SELECT octet_length(snapshot) + coalesce(octet_length(frozen), 0) FROM runs WHERE id = s.id) AS bytes,
      (SELECT count(*) FROM pieces p WHERE p.run_id = s.id AND p.grade = 'good') AS good,
      (SELECT count(*) FROM pieces p WHERE p.run_id = s.id AND p.grade = 'second') AS second,
      (SELECT count(*) FROM pieces p WHERE p.run_id = s.id AND p.grade = 'reject') AS reject,
      (SELECT text FROM lessons l WHERE l.run_id = s.id ORDER BY learned_at LIMIT 1) AS lesson
    FROM shown s ORDER BY s.started_at DESC, s.id`);
  // Past the last page there is no row to say how many there are.
  const of = rows[0]?.of ?? (asked.page ? (await recordPage(db, { ...asked, page: 0 })).of : 0);
  const frozen = await frozenFacts(db, rows);
  return { rows: rows.map(({ of: _, bytes: _b, ...r }) => ({ ...r, ...frozen.get(r.id)! })), of };
}

/** What a run froze for its line of the list: once it is begun it never changes, and it is large to look into. */
type FrozenFacts = Pick<RecordRow, 'base' | 'cast'>;
const known = new LRUCache<string, FrozenFacts>({ max: 30_000 });

async function frozenFacts(
  db: Db,
  rows: readonly { id: string; bytes: number }[]
): Promise<Map<string, FrozenFacts>> {
  const keyOf = (r: { id: string; bytes: number }) => `${r.id}/${r.bytes}`;
  const found = new Map<string, FrozenFacts>();
  for (const r of rows) {
    const facts = known.get(keyOf(r));
    if (facts) found.set(r.id, facts);
  }
  const unknown = rows.filter((r) => !found.has(r.id));
  if (unknown.length) {
    const ids = sql.join(
      unknown.map((r) => sql`${r.id}`),
      sql`, `
    );
    const read = await db.all<{ id: string; base: string | null; cast: number | null }>(sql`
      SELECT id, json_extract(frozen, '$.computed.bases[0].name') AS base,
        (SELECT sum(json_extract(g.value, '$.count') * coalesce(json_extract(g.value, '$.cutInto'), 1))
          FROM json_each(snapshot, '$.plan.groups') g
          WHERE NOT EXISTS (SELECT 1 FROM json_each(snapshot, '$.plan.groups') o, json_each(o.value, '$.embeds') e
            WHERE json_extract(e.value, '$.kind') = 'casting'
              AND json_extract(e.value, '$.groupId') = json_extract(g.value, '$.id'))) AS "cast"
      FROM runs WHERE id IN (${ids})`);
    for (const r of unknown) {
      const own = read.find((x) => x.id === r.id);
      const facts = { base: own?.base ?? null, cast: Number(own?.cast ?? 0) };
      known.set(keyOf(r), facts);
      found.set(r.id, facts);
    }
  }
  return found;
}

const ONLY = {
  all: sql`1`,
  rejects: sql`EXISTS (SELECT 1 FROM pieces p WHERE p.run_id = r.id AND p.grade = 'reject')`,
  open: sql`r.finished_at IS NULL`,
  lessons: sql`EXISTS (SELECT 1 FROM lessons l WHERE l.run_id = r.id)`
};

const conditions = async (db: Db, asked: RecordAsked) =>
  sql.join(
    [ONLY[asked.only], ...narrowed(asked), ...(await runsHolding(db, wordsOf(asked.words)))],
    sql` AND `
  );

/** What is asked for besides words, each as a condition on a run (as `r`). */
function narrowed({ having, grade, defect, from, to }: RecordAsked): SQL[] {
  const all = [
    ...FACETS.map((kind) => having?.[kind] && havingFacet(kind, having[kind])),
    grade && sql`EXISTS (SELECT 1 FROM pieces p WHERE p.run_id = r.id AND p.grade = ${grade})`,
    defect &&
      sql`EXISTS (SELECT 1 FROM pieces p, json_each(p.report, '$.faces') f, json_each(f.value, '$.defects') d
        WHERE p.run_id = r.id AND d.value = ${defect})`,
    from !== undefined && sql`r.started_at >= ${from}`,
    to !== undefined && sql`r.started_at < ${to}`
  ];
  return all.filter((condition): condition is SQL => typeof condition === 'object');
}

/** How many pieces were inspected, and how many of them were rejects. */
export const inspectedCounts = (db: Db): Promise<{ inspected: number; rejected: number }> =>
  remembered(db, 'inspected', piecesNow, async () => {
    const [row] = await db.all<{ inspected: number; rejected: number | null }>(
      sql`SELECT count(*) AS inspected, sum(grade = 'reject') AS rejected FROM pieces`
    );
    return { inspected: row?.inspected ?? 0, rejected: Number(row?.rejected ?? 0) };
  });
