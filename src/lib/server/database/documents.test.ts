import { copyFileSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { tideline } from '$demo/plans';
import {
  brokenAt,
  copyOfToday,
  findCard,
  findPlan,
  mendDocument,
  openStore,
  patchCard,
  previewOf,
  readPlans,
  removePlan,
  saveCard,
  savePlan,
  wholeShelf,
  type BasedOn,
  type Store
} from '.';
import { faultOf } from './fault';

let folder: string;
let path: string;
let store: Store;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'kirapen-documents-'));
  path = join(folder, 'test.db');
  store = await openStore(path, 'drizzle');
});
afterEach(async () => {
  await store.close();
  rmSync(folder, { recursive: true });
});

const save = (name: string, basedOn: BasedOn, now = 1) =>
  savePlan(store, { ...tideline, name }, { basedOn, now });
const storedName = async () => (await findPlan(store.db, tideline.id))?.plan.name;
const breakRow = (text: string) =>
  store.db.run(sql`UPDATE plans SET document = ${text} WHERE id = ${tideline.id}`);

describe('a write', () => {
  it('says which revision it was based on, and is refused where that is past', async () => {
    expect(await save('first', 'new')).toEqual({ ok: true, revision: 1 });
    expect(await save('second', 1)).toEqual({ ok: true, revision: 2 });
    const late = await save('third', 1);
    expect(late).toMatchObject({ ok: false, why: 'changed', current: { revision: 2, name: 'second' } });
    expect(await storedName()).toBe('second');
  });

  it('sent twice changes nothing and is no conflict', async () => {
    await save('first', 'new');
    await save('second', 1);
    expect(await save('second', 1)).toEqual({ ok: true, revision: 2 });
  });

  it('of something new is refused where the id is taken', async () => {
    await save('first', 'new');
    expect(await save('other', 'new')).toMatchObject({ ok: false, why: 'taken' });
    expect(await storedName()).toBe('first');
  });

  it('to what was deleted is refused, unless it is made anew, and goes on counting', async () => {
    await save('first', 'new');
    expect(await removePlan(store, tideline.id, 77)).toBe(true);
    expect(await removePlan(store, tideline.id, 78)).toBe(false);
    expect(await save('again', 1)).toMatchObject({ ok: false, why: 'deleted' });
    expect(await save('again', 'any')).toMatchObject({ ok: false, why: 'deleted' });
    expect(await save('again', 'new')).toEqual({ ok: true, revision: 78 });
  });

  it('of one field leaves what others changed', async () => {
    const base = { ...cards.bases[0]!, name: 'renamed by the other bench' };
    await saveCard(store, 'bases', base, { basedOn: 'new', now: 1 });
    const done = await patchCard(store, 'bases', base.id, {
      edits: [{ path: ['stirMinutes'], value: 4 }],
      now: 2
    });
    expect(done).toMatchObject({ card: { name: base.name, stirMinutes: 4 }, revision: 2 });
    const refused = await patchCard(store, 'bases', base.id, {
      edits: [{ path: ['stirMinutes'], value: -1 }],
      now: 3
    });
    expect(refused).toHaveProperty('refused');
    expect(await findCard(store.db, 'bases', base.id)).toMatchObject({ stirMinutes: 4 });
  });
});

describe('a broken row', () => {
  beforeEach(async () => {
    await save('first', 'new');
    await savePlan(store, { ...tideline, id: 'whole', name: 'whole' }, { basedOn: 'new', now: 1 });
  });

  it.each(['{"half":', 'null', '[]', '{}', '{"version":9}', ''])(
    '%s takes nothing else down',
    async (text) => {
      await breakRow(text);
      const { good, broken } = await readPlans(store.db);
      expect(good.map((g) => g.plan.id)).toEqual(['whole']);
      expect(broken).toHaveLength(1);
      expect(broken[0]).toMatchObject({ kind: 'plans', id: tideline.id });
      expect(broken[0]!.problems[0]!.sentence).toMatch(/\S/);
      expect(await brokenAt(store.db, 'plans', tideline.id)).toMatchObject({ id: tideline.id });
      expect(await brokenAt(store.db, 'plans', 'whole')).toBeUndefined();
    }
  );

  it('is mended by hand, and may get another id', async () => {
    await breakRow('{');
    expect(
      await mendDocument(store, { kind: 'plans', id: tideline.id }, { ...tideline, id: 'whole' }, 2)
    ).toMatchObject({
      ok: false,
      why: 'taken'
    });
    expect(
      await mendDocument(store, { kind: 'plans', id: tideline.id }, { ...tideline, id: 'mended' }, 2)
    ).toHaveProperty('ok', true);
    const { good, broken } = await readPlans(store.db);
    expect(good.map((g) => g.plan.id).sort()).toEqual(['mended', 'whole']);
    expect(broken).toEqual([]);
  });

  it('on the shelf leaves the other cards', async () => {
    for (const scale of cards.scales) await saveCard(store, 'scales', scale, { basedOn: 'new', now: 1 });
    await store.db.run(sql`UPDATE scales SET card = 'x' WHERE id = ${cards.scales[0]!.id}`);
    expect((await wholeShelf(store.db)).scales).toHaveLength(cards.scales.length - 1);
  });
});

describe('a database that cannot be used', () => {
  const opening = (where: string) => openStore(where, 'drizzle');
  const other = () => join(folder, 'other.db');

  it('is named in one sentence: damaged', async () => {
    writeFileSync(other(), 'no database at all, though it is long enough to be read as one'.repeat(50));
    await expect(opening(other())).rejects.toMatchObject({
      code: 'not-readable',
      mend: expect.stringMatching(/backup/)
    });
  });

  it('is named in one sentence: a folder', async () => {
    await expect(opening(folder)).rejects.toMatchObject({
      name: 'Fault',
      mend: expect.stringContaining('KIRAPEN_DB')
    });
  });

  it('is named in one sentence: from a newer program', async () => {
    await store.db.run(
      sql`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('newer', ${Date.UTC(2090, 0, 1)})`
    );
    await store.close();
    await expect(opening(path)).rejects.toMatchObject({ message: expect.stringMatching(/newer/i) });
    copyFileSync(path, other());
    await expect(previewOf(other(), 'drizzle')).rejects.toMatchObject({ mend: expect.any(String) });
    store = await opening(join(folder, 'third.db'));
  });

  it.each([
    ['SQLITE_FULL', 'disk-full'],
    ['ENOSPC', 'disk-full'],
    ['SQLITE_IOERR_WRITE', 'disk-full'],
    ['SQLITE_READONLY', 'store-readonly'],
    ['EACCES', 'store-readonly'],
    ['SQLITE_CORRUPT', 'not-readable'],
    ['SQLITE_NOTADB', 'not-readable'],
    ['SQLITE_CANTOPEN', 'not-readable']
  ])('%s is %s, however deep it lies', (code, fault) => {
    const error = new Error('outer', { cause: new Error('inner', { cause: { code } }) });
    expect(faultOf(error, 'of the workshop')).toMatchObject({ code: fault, mend: expect.any(String) });
  });

  it('leaves a fault of the program what it is', () => {
    expect(faultOf(new TypeError('x is not a function'), 'here')).toBeUndefined();
  });
});

const onePlan = { counts: expect.arrayContaining([{ what: 'plans', count: 1 }]) };

describe('copies', () => {
  it('are whole, one a day', async () => {
    await save('first', 'new');
    const copy = (to: string) => store.copyTo(to);
    expect(await copyOfToday(store, Date.UTC(2026, 0, 1), copy)).toBe(true);
    expect(await copyOfToday(store, Date.UTC(2026, 0, 1, 5), copy)).toBe(false);
    expect(await previewOf(join(folder, 'backups/day-2026-01-01.db'), 'drizzle')).toMatchObject(onePlan);
  });

  it('go away after a fortnight', async () => {
    for (let day = 1; day <= 20; day++)
      await copyOfToday(store, Date.UTC(2026, 0, day), (to) => store.copyTo(to));
    const names = readdirSync(join(folder, 'backups')).filter((n) => n.startsWith('day-'));
    expect(names).toHaveLength(14);
  });

  it('of the file alone, while it is open, hold everything once nobody writes', async () => {
    await save('first', 'new');
    const alone = join(folder, 'alone.db');
    const read = () => {
      copyFileSync(path, alone);
      return previewOf(alone, 'drizzle').catch((error: Error) => error.message);
    };
    await expect.poll(read, { timeout: 20_000 }).toMatchObject(onePlan);
  });
});
