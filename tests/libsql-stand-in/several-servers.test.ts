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
import type { Change } from '../../src/lib/server/changes';
import {
  addEvents,
  archiveOf,
  countsOf,
  eventsOf,
  Fault,
  findPlan,
  findRow,
  openStore,
  readArchive,
  restoreArchive,
  savePlan,
  savePlanPhoto,
  startRun,
  WrittenElsewhere,
  type Store
} from '../../src/lib/server/database';
import { StandIn } from './server';

let folder: string;
let standIn: StandIn;
let open: Store[];
const file = PlanFile.parse({ plan: tideline, shelf: shelfOf(tideline, cards) });

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'kirapen-'));
  standIn = await StandIn.begin(join(folder, 'shared.db'), { idle: 300 });
  open = [];
});
afterEach(async () => {
  standIn.fail({});
  for (const store of open) await store.close();
  await standIn.end();
  rmSync(folder, { recursive: true });
});

/** So many Kirapens on the one database, all begun at once. */
async function servers(count: number): Promise<Store[]> {
  open = await Promise.all(Array.from({ length: count }, () => openStore(standIn.url, 'drizzle')));
  return open;
}

const note = (who: string, n: number): RunEvent => ({
  id: `${who}-${String(n).padStart(5, '0')}`,
  at: 1000 + n,
  type: 'note',
  text: `${who} ${n}`
});

/** Sends what was confirmed, as a device does: again where nobody could say whether it was stored. */
async function sent(store: Store, event: RunEvent): Promise<void> {
  for (let tries = 0; ; tries++)
    try {
      await addEvents(store, 'run-1', [event]);
      return;
    } catch (error) {
      if (!(error instanceof Fault) || error.code !== 'unreachable' || tries === 20) throw error;
    }
}

async function aRun(store: Store): Promise<void> {
  await savePlan(store, tideline, { basedOn: 'new', now: 1 });
  await startRun(store, { id: 'run-1', frozen: freeze(file.plan, file.shelf), startedAt: 5 });
}

describe('several servers on one database', () => {
  it('bring it up once, however many begin at the same time', async () => {
    const all = await servers(4);
    const counts = await Promise.all(
      all.map(({ db }) => db.all<{ n: number }>(sql`SELECT count(*) AS n FROM __drizzle_migrations`))
    );
    const journal = (await import('../../drizzle/meta/_journal.json')).default;
    expect(counts.flat().map((c) => c.n)).toEqual(all.map(() => journal.entries.length));
  });

  it('store what each of them is told at once: nothing lost, nothing twice', async () => {
    const all = await servers(3);
    await aRun(all[0]!);
    await Promise.all(
      all.flatMap((store, i) => Array.from({ length: 12 }, (_, n) => sent(store, note(`bench-${i}`, n))))
    );
    for (const { db } of all) expect(await eventsOf(db, 'run-1')).toHaveLength(36);
  });

  it('let one of two writes through that were based on the same revision', async () => {
    const [one, two] = await servers(2);
    await savePlan(one!, tideline, { basedOn: 'new', now: 1 });
    const { revision } = (await findPlan(two!.db, tideline.id))!;
    const done = await Promise.all(
      [one!, two!].map((store, i) =>
        savePlan(store, { ...tideline, notes: `of bench ${i}` }, { basedOn: revision, now: 2 })
      )
    );
    expect(done.map((d) => d.ok).sort()).toEqual([false, true]);
    expect(done.find((d) => !d.ok)).toMatchObject({ why: 'changed' });
    const kept = (await findPlan(one!.db, tideline.id))!;
    expect(kept.plan.notes).toBe(done[0]!.ok ? 'of bench 0' : 'of bench 1');
    expect(kept.revision).toBe(revision + 1);
  });

  it('take a whole write back when part of it fails', async () => {
    const [one] = await servers(1);
    const failing = one!.write(async (tx) => {
      await savePlan(one!, tideline, { basedOn: 'new', now: 1 });
      await tx.run(sql`INSERT INTO no_such_table VALUES (1)`);
    });
    await expect(failing).rejects.toThrow();
    expect(await findPlan(one!.db, tideline.id)).toBeUndefined();
    expect(await one!.db.all(sql`SELECT * FROM changes`)).toEqual([]);
  });

  it('keep a picture as it was, byte by byte', async () => {
    const [one, two] = await servers(2);
    await savePlan(one!, tideline, { basedOn: 'new', now: 1 });
    const bytes = Uint8Array.from({ length: 3000 }, (_, i) => (i * 7) % 256);
    await savePlanPhoto(one!, {
      id: 'photo-1',
      planId: tideline.id,
      width: 1,
      height: 1,
      bytes: Buffer.from(bytes)
    });
    const [row] = await two!.db.all<{ bytes: Uint8Array }>(sql`SELECT bytes FROM plan_photos`);
    expect(new Uint8Array(row!.bytes)).toEqual(bytes);
  });

  it('hand everything on as an archive, and take it in', async () => {
    const [one] = await servers(1);
    await aRun(one!);
    const zip = await archiveOf(one!.db, 7);
    const archive = readArchive([zip], zip.length, folder);
    await savePlan(one!, { ...tideline, id: 'later', name: 'Later' }, { basedOn: 'new', now: 9 });
    await restoreArchive(one!, archive);
    expect(await findRow(one!.db, 'plans', 'later')).toBeUndefined();
    expect((await findPlan(one!.db, tideline.id))?.plan).toEqual(tideline);
    expect(countsOf(archive).map((c) => c.count)).toEqual([1, 1]);
  });
});

describe('what another server wrote', () => {
  const heardOf = async (store: Store) => {
    const heard: Change[] = [];
    const written = new WrittenElsewhere(store, (change) => heard.push(change));
    await written.look();
    return { heard, written };
  };

  it('is heard once and in order, and never what this one wrote', async () => {
    const [one, two] = await servers(2);
    const { heard, written } = await heardOf(two!);
    await aRun(one!);
    await savePlan(two!, { ...tideline, id: 'own' }, { basedOn: 'new', now: 1 });
    await addEvents(one!, 'run-1', [note('one', 1), note('one', 2)]);
    await written.look();
    await written.look();
    expect(heard).toEqual([
      { kind: 'plans', id: tideline.id, revision: 1 },
      { kind: 'runs', id: 'run-1', revision: 2 }
    ]);
  });

  it('is everything, where more was written than is told one by one', async () => {
    const [one, two] = await servers(2);
    const { heard, written } = await heardOf(two!);
    await one!.write(async (_, tell) => {
      for (let n = 0; n < 600; n++) tell({ kind: 'plans', id: `plan-${n}`, revision: 1 });
    });
    await written.look();
    expect(heard).toEqual([{ kind: 'everything', id: '', revision: 0 }]);
  });

  it('stays noted for as many writes as are kept, and no longer', async () => {
    const [one] = await servers(1);
    for (let n = 0; n < 6; n++)
      await one!.write(async (_, tell) => {
        for (let k = 0; k < 1000; k++) tell({ kind: 'plans', id: `plan-${n}-${k}`, revision: 1 });
      });
    const [row] = await one!.db.all<{ n: number; last: number }>(
      sql`SELECT count(*) AS n, max(seq) AS last FROM changes`
    );
    expect(row).toEqual({ n: 5000, last: 6000 });
  });
});

describe('a server that fails', () => {
  it('is asked again where nothing was stored yet', async () => {
    const [one] = await servers(1);
    await aRun(one!);
    standIn.fail({ dropBefore: 0.2 });
    for (let n = 0; n < 15; n++) await addEvents(one!, 'run-1', [note('one', n)]).catch(() => undefined);
    standIn.fail({});
    // What was answered is there; what was not is there once or not at all, and can be sent again.
    for (let n = 0; n < 15; n++) await addEvents(one!, 'run-1', [note('one', n)]);
    expect(await eventsOf(one!.db, 'run-1')).toHaveLength(15);
  });

  it('leaves it open whether a write was stored whose answer was lost, and says so', async () => {
    const [one, two] = await servers(2);
    await savePlan(one!, tideline, { basedOn: 'new', now: 1 });
    // Only the last word is missing.
    standIn.fail({ dropAfter: 1, only: 'COMMIT' });
    const writing = savePlan(one!, { ...tideline, notes: 'once' }, { basedOn: 1, now: 2 });
    await expect(writing).rejects.toMatchObject({ code: 'unreachable' });
    standIn.fail({});
    // Sent again, as a device does, it is there once.
    const again = await savePlan(two!, { ...tideline, notes: 'once' }, { basedOn: 1, now: 3 });
    expect(again).toMatchObject({ ok: true });
    expect((await findPlan(two!.db, tideline.id))!.plan.notes).toBe('once');
  });

  it('is waited for while it starts again', async () => {
    const [one] = await servers(1);
    await aRun(one!);
    const { port } = standIn;
    await standIn.end();
    const writing = addEvents(one!, 'run-1', [note('one', 1)]);
    standIn = await StandIn.begin(join(folder, 'shared.db'), { port });
    await writing;
    expect(await eventsOf(one!.db, 'run-1')).toHaveLength(1);
  });

  it('takes a transaction back whose client went away', async () => {
    const [one, two] = await servers(2);
    await aRun(one!);
    const begun = one!.write(async (tx) => {
      await tx.run(sql`DELETE FROM runs`);
      throw new Error('gone');
    });
    await expect(begun).rejects.toThrow('gone');
    await addEvents(two!, 'run-1', [note('two', 1)]);
    expect(await eventsOf(one!.db, 'run-1')).toHaveLength(1);
  });
});

describe('who may in', () => {
  it('has the token, and nobody else', async () => {
    const closed = await StandIn.begin(join(folder, 'closed.db'), { token: 'the token' });
    const before = process.env.KIRAPEN_DB_TOKEN;
    try {
      process.env.KIRAPEN_DB_TOKEN = 'another';
      await expect(openStore(closed.url, 'drizzle')).rejects.toThrow(/does not let Kirapen in/);
      process.env.KIRAPEN_DB_TOKEN = 'the token';
      const store = await openStore(closed.url, 'drizzle');
      await store.close();
    } finally {
      if (before === undefined) delete process.env.KIRAPEN_DB_TOKEN;
      else process.env.KIRAPEN_DB_TOKEN = before;
      await closed.end();
    }
  });
});
