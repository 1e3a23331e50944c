import { UNGRADED, type Piece } from '$core/inspect';
import { readReport } from './record';
import { remembered } from './remembered';
import { eq, sql } from 'drizzle-orm';
import type { Db, Store } from './connection';
import { pieces, runs, runSummaries } from './schema';

/** Summaries of finished runs, as they were kept by these rules: texts by run id. */
export async function keptSummaries(db: Db, rules: number): Promise<Map<string, string>> {
  const rows = await db
    .select({ id: runSummaries.runId, body: runSummaries.body })
    .from(runSummaries)
    .where(eq(runSummaries.rules, rules));
  return new Map(rows.map((r) => [r.id, r.body]));
}

/** Keeps the summaries of some finished runs. */
export async function keepSummaries(
  store: Store,
  rules: number,
  summaries: readonly { runId: string; body: string }[]
): Promise<void> {
  await store.write(async (tx) => {
    for (const { runId, body } of summaries)
      await tx
        .insert(runSummaries)
        .values({ runId, rules, body })
        .onConflictDoUpdate({ target: runSummaries.runId, set: { rules, body } });
  });
}

/** Forgets the summary of a run: something was added to it. */
export const forgetSummary = (store: Store, runId: string): Promise<unknown> =>
  store.write((tx) => tx.delete(runSummaries).where(eq(runSummaries.runId, runId)));

/** Finished runs that have no summary by these rules. */
export async function runsWithoutSummary(db: Db, rules: number): Promise<string[]> {
  const rows = await db.all<{ id: string }>(sql`
    SELECT id FROM runs WHERE finished_at IS NOT NULL
    AND id NOT IN (SELECT run_id FROM run_summaries WHERE rules = ${rules})`);
  return rows.map((r) => r.id);
}

/** How the pieces of each plan came out, counted. */
export const gradesByPlan = (db: Db): Promise<ReadonlyMap<string, Graded>> =>
  remembered(db, 'grades by plan', piecesNow, async () => {
    const rows = await db.all<{ planId: string | null } & Graded>(sql`
      SELECT r.plan_id AS planId, sum(g.n * (g.grade = 'good')) AS good, sum(g.n * (g.grade = 'reject')) AS reject, sum(g.n * (g.grade <> ${UNGRADED})) AS "of"
      FROM (SELECT run_id, grade, count(*) AS n FROM ${pieces} GROUP BY run_id, grade) g
      JOIN ${runs} r ON r.id = g.run_id GROUP BY r.plan_id`);
    return new Map(rows.flatMap(({ planId, ...own }) => (planId === null ? [] : [[planId, own] as const])));
  });

/** How many pieces came out good, how many were rejects, of how many that were graded. */
interface Graded {
  good: number;
  reject: number;
  of: number;
}

/** The grade of every piece that has one, by its run. */
export const gradesByRun = (db: Db): Promise<ReadonlyMap<string, string[]>> =>
  remembered(db, 'grades by run', piecesNow, async () => {
    const rows = await db.all<{ runId: string; grade: string; n: number }>(
      sql`SELECT run_id AS runId, grade, count(*) AS n FROM ${pieces} WHERE grade <> ${UNGRADED} GROUP BY run_id, grade`
    );
    const found = new Map<string, string[]>();
    for (const { runId, grade, n } of rows)
      found.set(runId, [...(found.get(runId) ?? []), ...Array<string>(n).fill(grade)]);
    return found;
  });

/** Colours as measured on the pieces of each run that has some. */
export const measuredByRun = (db: Db): Promise<ReadonlyMap<string, NonNullable<Piece['measured']>>> =>
  remembered(db, 'measured by run', piecesNow, async () => {
    const rows = await db.all<{ runId: string; report: string }>(
      sql`SELECT run_id AS runId, report FROM ${pieces} WHERE report LIKE '%"measured"%'`
    );
    const found = new Map<string, NonNullable<Piece['measured']>>();
    for (const { runId, report } of rows) {
      const { measured } = readReport(report) ?? {};
      if (measured?.length) found.set(runId, [...(found.get(runId) ?? []), ...measured]);
    }
    return found;
  });

/** Tells any state of the pieces from any other: each write of one is dated, and one that goes is one fewer. */
export async function piecesNow(db: Db): Promise<string> {
  const [row] = await db.all<{ n: number; at: number | null }>(
    sql`SELECT count(*) AS n, max(changed_at) AS at FROM ${pieces}`
  );
  return `${row?.n}/${row?.at}`;
}

/** How the runs stand: how many there are, and which of them go on. */
export async function runsNow(db: Db): Promise<{ count: number; open: string[] }> {
  const [[row], open] = await Promise.all([
    db.all<{ n: number }>(sql`SELECT count(*) AS n FROM ${runs}`),
    db.all<{ id: string }>(sql`SELECT id FROM ${runs} WHERE finished_at IS NULL ORDER BY started_at DESC`)
  ]);
  return { count: row?.n ?? 0, open: open.map((r) => r.id) };
}
