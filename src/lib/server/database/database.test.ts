import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { tideline } from '$demo/plans';
import { PlanFile } from '$core/plan';
import { shelfOf } from '$core/document';
import { freeze, type RunEvent } from '$core/run';
import {
  addEvents,
  eventsOf,
  findPlan,
  findRun,
  importPlanFile,
  listCards,
  openStore,
  saveCard,
  saveLesson,
  savePlan,
  startRun,
  wholeShelf,
  type Store
} from '.';
import { events } from './schema';

let folder: string;
let store: Store;
const file = PlanFile.parse({ plan: tideline, shelf: shelfOf(tideline, cards) });
const fresh = { basedOn: 'new', now: 1 } as const;
const note = (n: number): RunEvent => ({
  id: `note-${String(n).padStart(5, '0')}`,
  at: 1000 + n,
  type: 'note',
  text: `note ${n}`
});

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'kirapen-'));
  store = await openStore(join(folder, 'test.db'), 'drizzle');
});
afterEach(async () => {
  await store.close();
  rmSync(folder, { recursive: true });
});

const aRun = async () => {
  await savePlan(store, tideline, fresh);
  await startRun(store, { id: 'run-1', frozen: freeze(file.plan, file.shelf), startedAt: 5 });
};

describe('the database', () => {
  it('enforces foreign keys on every connection and keeps a write-ahead log', async () => {
    const lost = { id: 'l', runId: 'no such run', text: 'x', learnedAt: 1 };
    await expect(saveLesson(store, lost)).rejects.toThrow();
    const connections = await Promise.all(
      Array.from({ length: 30 }, () => store.db.all<{ foreign_keys: number }>(sql`PRAGMA foreign_keys`))
    );
    expect(connections.every((rows) => rows[0]?.foreign_keys === 1)).toBe(true);
    expect((await store.db.all<{ journal_mode: string }>(sql`PRAGMA journal_mode`))[0]?.journal_mode).toBe(
      'wal'
    );
    expect((await store.db.all<{ timeout: number }>(sql`PRAGMA busy_timeout`))[0]?.timeout).toBe(250);
  });

  it('takes 200 writes at once: none lost, none failed', async () => {
    await aRun();
    const results = await Promise.allSettled(
      Array.from({ length: 200 }, (_, n) => addEvents(store, 'run-1', [note(n)]))
    );
    expect(results.filter((r) => r.status === 'rejected')).toEqual([]);
    expect(await eventsOf(store.db, 'run-1')).toHaveLength(200);
  });

  it('goes on after a failed write, and undoes all of it', async () => {
    await aRun();
    const failing = store.write(async (tx) => {
      await tx.insert(events).values({ id: 'half', runId: 'run-1', at: 1, body: JSON.stringify(note(1)) });
      throw new Error('the power went');
    });
    const next = addEvents(store, 'run-1', [note(2)]);
    await expect(failing).rejects.toThrow('the power went');
    await next;
    expect((await eventsOf(store.db, 'run-1')).map((e) => e.id)).toEqual(['note-00002']);
  });

  it('opens again with everything in it', async () => {
    await aRun();
    await store.close();
    store = await openStore(join(folder, 'test.db'), 'drizzle');
    expect((await findPlan(store.db, tideline.id))?.plan).toEqual(tideline);
    expect((await findRun(store.db, 'run-1'))?.frozen.file).toEqual(file);
  });
});

describe('events', () => {
  it('store once however often they are sent', async () => {
    await aRun();
    await addEvents(store, 'run-1', [note(1), note(2)]);
    await addEvents(store, 'run-1', [note(2), note(1), note(3)]);
    expect((await eventsOf(store.db, 'run-1')).map((e) => e.at)).toEqual([1001, 1002, 1003]);
  });

  it('finish the run, and undoing the finish opens it again', async () => {
    await aRun();
    await addEvents(store, 'run-1', [{ id: 'the-finish', at: 9, type: 'finished' }]);
    expect((await findRun(store.db, 'run-1'))?.finishedAt).toBe(9);
    await addEvents(store, 'run-1', [{ id: 'the-undoing', at: 10, type: 'undone', event: 'the-finish' }]);
    expect((await findRun(store.db, 'run-1'))?.finishedAt).toBeNull();
  });
});

describe('importing a plan file', () => {
  const newId = (wanted: string) => `${wanted}-2`;

  it('brings the plan and its cards, exactly', async () => {
    expect(await importPlanFile(store, file, newId, 1)).toEqual(tideline);
    expect(shelfOf(tideline, await wholeShelf(store.db))).toEqual(file.shelf);
  });

  it('overwrites nothing: other cards of the same id come in beside', async () => {
    const mine = { ...file.shelf.bases[0]!, name: 'my own resin' };
    await saveCard(store, 'bases', mine, fresh);
    await savePlan(store, tideline, fresh);
    const stored = await importPlanFile(store, file, newId, 2);
    expect(stored.id).toBe('tideline-knobs-2');
    expect(new Set(stored.mixes.map((m) => m.baseId))).toEqual(new Set(['clear-quick-2']));
    expect((await listCards(store.db, 'bases')).map((b) => b.name)).toEqual([
      'Clear casting resin, quick',
      'my own resin'
    ]);
    expect((await findPlan(store.db, tideline.id))?.plan).toEqual(tideline);
  });
});
