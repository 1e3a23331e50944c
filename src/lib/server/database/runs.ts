import { asc, desc, eq, inArray, sql } from 'drizzle-orm';
import type { PlanFile } from '$core/plan';
import type { RunEvent } from '$core/run';
import type { Db, Store } from './open';
import { events, runs } from './schema';

/** A run's own row. */
export type RunRow = typeof runs.$inferSelect;

/** Begins a run of a plan with a snapshot of the plan and every card it uses. */
export async function startRun(
  store: Store,
  run: { id: string; snapshot: PlanFile; startedAt: number }
): Promise<void> {
  const { plan } = run.snapshot;
  await store.write((tx) =>
    tx.insert(runs).values({
      id: run.id,
      planId: plan.id,
      name: plan.name,
      snapshot: run.snapshot,
      startedAt: run.startedAt
    })
  );
}

/** One run, or undefined. */
export async function findRun(db: Db, id: string): Promise<RunRow | undefined> {
  const [row] = await db.select().from(runs).where(eq(runs.id, id));
  return row;
}

/** All runs, latest first. */
export const listRuns = (db: Db): Promise<RunRow[]> => db.select().from(runs).orderBy(desc(runs.startedAt));

/** The events of a run as they happened. */
export async function eventsOf(db: Db, runId: string): Promise<RunEvent[]> {
  const rows = await db
    .select({ body: events.body })
    .from(events)
    .where(eq(events.runId, runId))
    .orderBy(asc(events.at), asc(events.id));
  return rows.map((r) => r.body);
}

/**
 * Stores events; one that is here already is left as it is, so sending twice stores once.
 * A finish, or the undoing of one, sets the run's own finish with it.
 */
export async function addEvents(store: Store, runId: string, added: readonly RunEvent[]): Promise<void> {
  if (!added.length) return;
  await store.write(async (tx) => {
    await tx
      .insert(events)
      .values(added.map((body) => ({ id: body.id, runId, at: body.at, body })))
      .onConflictDoNothing();
    const undone = added.flatMap((e) => (e.type === 'undone' ? [e.event] : []));
    const reopened = undone.length
      ? await tx
          .select({ id: events.id })
          .from(events)
          .where(sql`${inArray(events.id, undone)} and json_extract(${events.body}, '$.type') = 'finished'`)
      : [];
    const finish = added.find((e) => e.type === 'finished');
    if (finish || reopened.length)
      await tx
        .update(runs)
        .set({ finishedAt: finish?.at ?? null })
        .where(eq(runs.id, runId));
  });
}
