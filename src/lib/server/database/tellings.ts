import { eq, sql } from 'drizzle-orm';
import type { Db, Store } from './connection';
import { pieces, runs, tellings } from './schema';

/** What finished runs told, as it was kept by these rules: texts by run id. */
export async function keptTellings(db: Db, rules: number): Promise<Map<string, string>> {
  const rows = await db
    .select({ id: tellings.runId, body: tellings.body })
    .from(tellings)
    .where(eq(tellings.rules, rules));
  return new Map(rows.map((r) => [r.id, r.body]));
}

/** Keeps what some finished runs told. */
export async function keepTellings(
  store: Store,
  rules: number,
  told: readonly { runId: string; body: string }[]
): Promise<void> {
  await store.write(async (tx) => {
    for (const { runId, body } of told)
      await tx
        .insert(tellings)
        .values({ runId, rules, body })
        .onConflictDoUpdate({ target: tellings.runId, set: { rules, body } });
  });
}

/** Forgets what a run told: something was added to it. */
export const forgetTelling = (store: Store, runId: string): Promise<unknown> =>
  store.write((tx) => tx.delete(tellings).where(eq(tellings.runId, runId)));

/** Finished runs of which nothing is kept by these rules. */
export async function untoldRuns(db: Db, rules: number): Promise<string[]> {
  const rows = await db.all<{ id: string }>(sql`
    SELECT id FROM runs WHERE finished_at IS NOT NULL
    AND id NOT IN (SELECT run_id FROM tellings WHERE rules = ${rules})`);
  return rows.map((r) => r.id);
}

/** How the pieces of each plan came out, counted. */
export async function gradesByPlan(
  db: Db
): Promise<Map<string, { good: number; reject: number; of: number }>> {
  const rows = await db.all<{ planId: string | null; good: number; reject: number; n: number }>(sql`
    SELECT r.plan_id AS planId, sum(p.grade = 'good') AS good, sum(p.grade = 'reject') AS reject, count(*) AS n
    FROM ${pieces} p JOIN ${runs} r ON r.id = p.run_id GROUP BY r.plan_id`);
  return new Map(
    rows.flatMap((r) =>
      r.planId === null ? [] : [[r.planId, { good: r.good, reject: r.reject, of: r.n }] as const]
    )
  );
}

/** The grade of every piece, by its run. */
export async function gradesByRun(db: Db): Promise<Map<string, string[]>> {
  const rows = await db.select({ runId: pieces.runId, grade: pieces.grade }).from(pieces);
  const found = new Map<string, string[]>();
  for (const { runId, grade } of rows) {
    const own = found.get(runId);
    if (own) own.push(grade);
    else found.set(runId, [grade]);
  }
  return found;
}
