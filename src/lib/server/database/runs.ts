import { LRUCache } from 'lru-cache';
import { isDeepStrictEqual } from 'node:util';
import { and, asc, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { z } from 'zod';
import { PlanFile } from '$core/plan';
import { AnyEvent, finishOf, freeze, FrozenParts, type FrozenRun } from '$core/run';
import type { Db, Store } from './connection';
import { Fault } from './fault';
import { facetsOf, handsIn, noteFacets } from './run-facets';
import { events, runs } from './schema';
import { readStored, type Broken, type Read } from './stored';

/** A run as lists show it: nothing of what it froze. */
export interface RunRow {
  id: string;
  planId: string | null;
  name: string;
  startedAt: number;
  finishedAt: number | null;
}

/** A run with all that it froze when it began. */
export interface Run extends RunRow {
  frozen: FrozenRun;
}

const ROW = {
  id: runs.id,
  planId: runs.planId,
  name: runs.name,
  startedAt: runs.startedAt,
  finishedAt: runs.finishedAt
};

/** Begins a run: what it froze is written once, and never again. */
export async function startRun(
  store: Store,
  run: { id: string; frozen: FrozenRun; startedAt: number }
): Promise<'begun' | 'taken'> {
  const { file, ...rest } = run.frozen;
  return store.write(async (tx) => {
    const [here] = await tx.select({ id: runs.id }).from(runs).where(eq(runs.id, run.id));
    if (here) return 'taken';
    await tx.insert(runs).values({
      id: run.id,
      planId: file.plan.id,
      name: file.plan.name,
      snapshot: JSON.stringify(file),
      frozen: JSON.stringify(rest),
      startedAt: run.startedAt
    });
    await noteFacets(tx, run.id, facetsOf(file));
    return 'begun';
  });
}

const Parts = z.object({ snapshot: PlanFile, frozen: FrozenParts });

const parts = (snapshot: string, frozen: string | null) =>
  `{"snapshot":${snapshot},"frozen":${frozen ?? 'null'}}`;

/** What a run froze, read; a finished parse is kept, since nothing of it ever changes. */
const kept = new LRUCache<string, { text: string; frozen: FrozenRun }>({ max: 60 });

function frozenOf(row: RunRow & { snapshot: string; frozen: string | null }): Read<FrozenRun> {
  const before = kept.get(row.id);
  if (before && before.text === row.frozen) return { ok: true, value: before.frozen };
  const read = readStored(
    { kind: 'runs', id: row.id, name: row.name },
    parts(row.snapshot, row.frozen),
    Parts
  );
  if (!read.ok) return read;
  const frozen = { ...read.value.frozen, file: read.value.snapshot };
  if (row.frozen !== null) kept.set(row.id, { text: row.frozen, frozen });
  return { ok: true, value: frozen };
}

/** One run, or undefined; a run whose stored text cannot be read says why. */
export async function readRun(db: Db, id: string): Promise<Read<Run> | undefined> {
  const [row] = await db.select().from(runs).where(eq(runs.id, id));
  if (!row) return undefined;
  const read = frozenOf(row);
  const { snapshot: _s, frozen: _f, ...rest } = row;
  return read.ok ? { ok: true, value: { ...rest, frozen: read.value } } : read;
}

/** One run that can be read, or undefined. */
export async function findRun(db: Db, id: string): Promise<Run | undefined> {
  const read = await readRun(db, id);
  return read?.ok ? read.value : undefined;
}

/** What a run froze, as it is stored; undefined where there is no such run. */
export async function findRunText(db: Db, id: string): Promise<string | undefined> {
  const [row] = await db.select({ s: runs.snapshot, f: runs.frozen }).from(runs).where(eq(runs.id, id));
  return row && parts(row.s, row.f);
}

/** Whether there is such a run, readable or not. */
export async function runExists(db: Db, id: string): Promise<boolean> {
  return (await db.select({ id: runs.id }).from(runs).where(eq(runs.id, id))).length > 0;
}

/** All runs by their rows, latest first; so many of them where that is said. */
export const listRuns = (db: Db, most?: number): Promise<RunRow[]> =>
  db
    .select(ROW)
    .from(runs)
    .orderBy(desc(runs.startedAt))
    .limit(most ?? -1);

/** Runs that are still open, latest first. */
export const openRuns = (db: Db, most: number): Promise<RunRow[]> =>
  db.select(ROW).from(runs).where(isNull(runs.finishedAt)).orderBy(desc(runs.startedAt)).limit(most);

/** Several runs with what they froze, in the order asked for, and those that cannot be read. */
export async function readRuns(db: Db, ids: readonly string[]): Promise<{ good: Run[]; broken: Broken[] }> {
  const rows = ids.length
    ? await db
        .select()
        .from(runs)
        .where(inArray(runs.id, [...ids]))
    : [];
  const good: Run[] = [];
  const broken: Broken[] = [];
  for (const id of ids) {
    const row = rows.find((r) => r.id === id);
    if (!row) continue;
    const read = frozenOf(row);
    const { snapshot: _s, frozen: _f, ...rest } = row;
    if (read.ok) good.push({ ...rest, frozen: read.value });
    else broken.push(read.broken);
  }
  return { good, broken };
}

/** Removes a run from the record with its events, pieces and lessons; says whether it was there. */
export async function removeRun(store: Store, id: string): Promise<boolean> {
  kept.delete(id);
  return store.write(async (tx, tell) => {
    const gone = await tx.delete(runs).where(eq(runs.id, id)).returning({ id: runs.id });
    if (gone.length) tell({ kind: 'runs', id, revision: 0 });
    return gone.length > 0;
  });
}

/** The events of a run as they happened, and how many are stored that cannot be read. */
export async function readEvents(db: Db, runId: string): Promise<{ events: AnyEvent[]; unreadable: number }> {
  const rows = await db
    .select({ body: events.body })
    .from(events)
    .where(eq(events.runId, runId))
    .orderBy(asc(events.at), asc(events.id));
  const read = rows.map(({ body }) => {
    try {
      return AnyEvent.safeParse(JSON.parse(body));
    } catch {
      return { success: false } as const;
    }
  });
  return {
    events: read.flatMap((r) => (r.success ? [r.data] : [])),
    unreadable: read.filter((r) => !r.success).length
  };
}

/** The events stored of a run since a place in the order they came in, and the last such place. */
export async function eventsSince(
  db: Db,
  runId: string,
  since: number
): Promise<{ events: AnyEvent[]; last: number }> {
  const rows = await db.all<{ place: number; body: string }>(
    sql`SELECT rowid AS place, body FROM events WHERE run_id = ${runId} AND rowid > ${since} ORDER BY rowid`
  );
  const events = rows.flatMap(({ body }) => {
    try {
      const read = AnyEvent.safeParse(JSON.parse(body));
      return read.success ? [read.data] : [];
    } catch {
      return [];
    }
  });
  return { events, last: rows.at(-1)?.place ?? since };
}

/** The events of a run as they happened. */
export const eventsOf = async (db: Db, runId: string): Promise<AnyEvent[]> =>
  (await readEvents(db, runId)).events;

/**
 * Stores events; one that is here already is left as it is, so sending twice stores once. The run's own finish follows
 * from all of its events, in whatever order they arrive.
 */
export async function addEvents(store: Store, runId: string, added: readonly AnyEvent[]): Promise<void> {
  if (!added.length) return;
  await store.write(async (tx, tell) => {
    const rows = added.map((body) => ({ id: body.id, runId, at: body.at, body: JSON.stringify(body) }));
    const stored = await tx.insert(events).values(rows).onConflictDoNothing().returning({ id: events.id });
    await onlyAgain(tx, runId, { added, stored: new Set(stored.map((s) => s.id)) });
    if (added.some((e) => e.type === 'finished' || e.type === 'undone'))
      await tx
        .update(runs)
        .set({ finishedAt: finishOf(await eventsOf(tx, runId)) ?? null })
        .where(eq(runs.id, runId));
    await noteFacets(tx, runId, handsIn(added));
    if (stored.length) tell({ kind: 'runs', id: runId, revision: stored.length });
  });
}

/** What came again is what it was: an id that comes with other words is refused, and nothing that came with it is kept. */
async function onlyAgain(
  tx: Db,
  runId: string,
  { added, stored }: { added: readonly AnyEvent[]; stored: ReadonlySet<string> }
): Promise<void> {
  const again = added.filter((e) => !stored.has(e.id));
  if (!again.length) return;
  const ids = [...new Set(again.map((e) => e.id))];
  const here = await tx
    .select({ id: events.id, body: events.body })
    .from(events)
    .where(and(eq(events.runId, runId), inArray(events.id, ids)));
  const known = new Map(here.map((e) => [e.id, e.body]));
  const other = again.find((e) => !isSame(known.get(e.id), e));
  if (other)
    throw new Fault(
      'id-taken',
      `The event “${other.id}” is here already, and says something else.`,
      'Send it with an id of its own.'
    );
}

const isSame = (stored: string | undefined, event: AnyEvent): boolean =>
  stored !== undefined && isDeepStrictEqual(JSON.parse(stored), JSON.parse(JSON.stringify(event)));

/**
 * Freezes the runs of before runs were frozen: their plan as it was begun, with the figures they show today. One that
 * cannot be read stays as it is, and is said where it stands.
 */
export async function freezeOldRuns(store: Store): Promise<void> {
  const rows = await store.db
    .select({ id: runs.id, snapshot: runs.snapshot })
    .from(runs)
    .where(isNull(runs.frozen));
  for (const row of rows) {
    let file;
    try {
      file = PlanFile.safeParse(JSON.parse(row.snapshot));
    } catch {
      continue;
    }
    if (!file.success) continue;
    const { file: _, ...frozen } = freeze(file.data.plan, file.data.shelf);
    await store.write((tx) =>
      tx
        .update(runs)
        .set({ frozen: JSON.stringify(frozen) })
        .where(eq(runs.id, row.id))
    );
  }
}

/** Runs that were read, by their size as stored: what froze once does not change, and is large to read for every list. */
const readable = new LRUCache<string, number>({ max: 20_000 });

/** Those of some runs that cannot be read, with the reason. A run that was read is not read again while its size is the same. */
export async function brokenRuns(db: Db, ids: readonly string[]): Promise<Broken[]> {
  if (!ids.length) return [];
  const bytes = sql<number>`octet_length(${runs.snapshot}) + coalesce(octet_length(${runs.frozen}), 0)`;
  const rows = await db
    .select({ id: runs.id, bytes })
    .from(runs)
    .where(inArray(runs.id, [...ids]));
  const sizes = new Map(rows.map((r) => [r.id, r.bytes]));
  const { good, broken } = await readRuns(
    db,
    ids.filter((id) => sizes.has(id) && readable.get(id) !== sizes.get(id))
  );
  for (const { id } of good) readable.set(id, sizes.get(id)!);
  return broken;
}
