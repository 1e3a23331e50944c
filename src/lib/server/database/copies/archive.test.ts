import { DEMO_PHOTOS } from '$demo/photos';
import { isToday, times } from '$core/soak.testing';
import fc from 'fast-check';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createHash } from 'node:crypto';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { loadDemo } from '../../demo';
import {
  archiveOf,
  countsOf,
  openStore,
  readArchive,
  restoreArchive,
  saveLesson,
  savePhoto,
  saveSetting,
  type Store
} from '..';

let folder: string;
/** The demo’s own photos, and the one that a test takes. */
const PHOTOS = Object.keys(DEMO_PHOTOS).length + 1;
let store: Store;
const open = (name: string) => openStore(join(folder, name), 'drizzle');
const NOW = Date.UTC(2026, 5, 1);

const demo = mkdtempSync(join(tmpdir(), 'kirapen-archive-demo-'));
beforeAll(async () => {
  const loaded = await openStore(join(demo, 'demo.db'), 'drizzle');
  await loadDemo(loaded, NOW);
  await loaded.close();
});
afterAll(() => rmSync(demo, { recursive: true, force: true }));

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'kirapen-archive-'));
  copyFileSync(join(demo, 'demo.db'), join(folder, 'one.db'));
  store = await open('one.db');
  await savePhoto(store, {
    id: 'photo-1',
    pieceId: 'tideline-first-piece-1',
    width: 2,
    height: 2,
    bytes: Buffer.from([0xff, 0xd8, 0xff, 0, 255]),
    takenAt: NOW
  });
  await saveSetting(store, 'passphrase', 'secret hash');
  await saveSetting(store, 'odd', 'ü “words”\n\u2028 and lines');
});
afterEach(async () => {
  await store.close();
  rmSync(folder, { recursive: true, force: true });
});

/** The archive's files but for the moment it was made. */
const filesOf = (zip: Uint8Array) => {
  const { 'manifest.json': manifest, ...files } = unzipSync(zip);
  expect(manifest).toBeDefined();
  return files;
};
/** An archive with files changed, its manifest made to fit where asked. */
function changedArchive(zip: Uint8Array, change: (files: Record<string, Uint8Array>) => void, fits = true) {
  const files = unzipSync(zip);
  const manifest = JSON.parse(strFromU8(files['manifest.json']!)) as {
    files: { name: string; sha256: string; bytes: number }[];
  };
  change(files);
  if (fits) {
    manifest.files = Object.entries(files)
      .filter(([name]) => name !== 'manifest.json')
      .map(([name, b]) => ({ name, sha256: createHash('sha256').update(b).digest('hex'), bytes: b.length }));
    files['manifest.json'] = strToU8(JSON.stringify(manifest));
  }
  return zipSync(files);
}
const read = (zip: Uint8Array, aside?: string) => readArchive([zip], zip.length, aside);
const everything = async (of: Store) => filesOf(await archiveOf(of.db, NOW));

describe('a row that could not have been written here', () => {
  const withRow = async (table: string, change: (row: Record<string, unknown>) => void) =>
    changedArchive(await archiveOf(store.db, NOW), (files) => {
      const name = `tables/${table}.jsonl`;
      const [first, ...rest] = strFromU8(files[name]!).split('\n');
      const row = JSON.parse(first!) as Record<string, unknown>;
      change(row);
      files[name] = strToU8([JSON.stringify(row), ...rest].join('\n'));
    });

  it.each([
    ['an id that is none', 'plans', { id: '__proto__' }, /Line 1 of “plans”.*“__proto__” for an id/],
    ['a document that is none', 'moulds', { card: '{"id":' }, /Line 1 of “moulds”.*no document/],
    ['an event that is none', 'events', { body: 'gone' }, /Line 1 of “events”.*no document/]
  ] as const)('is named: %s', async (_, table, change, reason) => {
    const zip = await withRow(table, (row) => Object.assign(row, change));
    expect(() => read(zip)).toThrow(reason);
  });

  it('is a page that calls itself a photo', async () => {
    const zip = changedArchive(await archiveOf(store.db, NOW), (files) => {
      const photo = Object.keys(files).find((name) => name.startsWith('photos/'))!;
      files[photo] = strToU8('<html><script>alert(1)</script></html>');
    });
    expect(() => read(zip)).toThrow(/photo that is no picture/);
  });

  it.runIf(isToday(0, 2))('is not in a photo that is laid aside, and comes back from there', async () => {
    const zip = await archiveOf(store.db, NOW);
    const archive = read(zip, folder);
    expect(typeof archive.photos[0]!.bytes).toBe('string');
    const other = await open('aside.db');
    await restoreArchive(other, archive);
    expect(await everything(other)).toEqual(await everything(store));
    await other.close();
  });
});

describe('the archive', () => {
  it('restores to an identical database, photos and all, and keeps no secret', async () => {
    const zip = await archiveOf(store.db, NOW);
    expect(Object.keys(unzipSync(zip)).filter((n) => n.startsWith('photos/'))).toHaveLength(PHOTOS);
    expect(strFromU8(unzipSync(zip)['tables/settings.jsonl']!)).not.toContain('secret');
    const other = await open('two.db');
    await saveSetting(other, 'passphrase', 'its own');
    await loadDemo(other, NOW - 1e9);
    const archive = read(zip);
    await restoreArchive(other, archive);
    expect(await everything(other)).toEqual(filesOf(zip));
    const [kept] = await other.db.all<{ value: string }>(
      "SELECT value FROM settings WHERE name = 'passphrase'" as never
    );
    expect(kept?.value).toBe('its own');
    await other.close();
    expect(Object.fromEntries(countsOf(archive).map((c) => [c.what, c.count]))).toMatchObject({
      photos: PHOTOS,
      runs: 14
    });
  });

  it.each([
    ['no ZIP', () => strToU8('hello'), /no ZIP/],
    ['half of one', (z: Uint8Array) => z.slice(0, z.length / 2), /no ZIP/],
    ['a ZIP of something else', () => zipSync({ 'a.txt': strToU8('x') }), /no part of one/],
    ['a path out of it', () => zipSync({ '../../etc/passwd': strToU8('x') }), /no part of one/],
    [
      'no manifest',
      (z: Uint8Array) => changedArchive(z, (f) => delete f['manifest.json'], false),
      /no manifest/
    ],
    [
      'a changed file',
      (z: Uint8Array) => changedArchive(z, (f) => (f['tables/plans.jsonl'] = strToU8('{}\n')), false),
      /changed or is damaged/
    ],
    [
      'a lost file',
      (z: Uint8Array) => changedArchive(z, (f) => delete f['tables/plans.jsonl'], false),
      /lacks “tables\/plans/
    ],
    [
      'a file too many',
      (z: Uint8Array) => changedArchive(z, (f) => (f['tables/more.jsonl'] = strToU8('')), false),
      /does not name/
    ],
    [
      'a table missing',
      (z: Uint8Array) => changedArchive(z, (f) => delete f['tables/plans.jsonl']),
      /lacks “tables\/plans/
    ],
    [
      'a row that is no JSON',
      (z: Uint8Array) => changedArchive(z, (f) => (f['tables/moulds.jsonl'] = strToU8('{"id":\n'))),
      /Line 1 of “moulds” .* no JSON/
    ],
    [
      'a row that is a list',
      (z: Uint8Array) => changedArchive(z, (f) => (f['tables/moulds.jsonl'] = strToU8('[]\n'))),
      /is no row/
    ],
    [
      'a field that is none',
      (z: Uint8Array) => changedArchive(z, (f) => (f['tables/moulds.jsonl'] = strToU8('{"evil":1}\n'))),
      /has not/
    ],
    [
      'a field of another kind',
      (z: Uint8Array) =>
        changedArchive(
          z,
          (f) =>
            (f['tables/moulds.jsonl'] = strToU8(
              '{"id":5,"name":"x","card":"{}","changedAt":1,"revision":1}\n'
            ))
        ),
      /something else/
    ],
    [
      'a field that is missing',
      (z: Uint8Array) => changedArchive(z, (f) => (f['tables/moulds.jsonl'] = strToU8('{"id":"x"}\n'))),
      /lacks “name”/
    ],
    [
      'a passphrase',
      (z: Uint8Array) =>
        changedArchive(
          z,
          (f) => (f['tables/settings.jsonl'] = strToU8('{"name":"passphrase","value":"x"}\n'))
        ),
      /brings a passphrase/
    ],
    [
      'a photo that is not there',
      (z: Uint8Array) =>
        changedArchive(z, (f) =>
          Object.keys(f)
            .filter((n) => n.startsWith('photos/'))
            .forEach((n) => delete f[n])
        ),
      /photo that is not there/
    ]
  ])('refuses %s with its reason', async (_, make, reason) => {
    const zip = await archiveOf(store.db, NOW);
    expect(() => read(make(zip))).toThrow(reason);
  });

  it.runIf(isToday(1, 2))('whose rows point to nothing changes nothing', async () => {
    const before = await everything(store);
    const zip = changedArchive(await archiveOf(store.db, NOW), (f) => (f['tables/runs.jsonl'] = strToU8('')));
    await expect(restoreArchive(store, read(zip))).rejects.toThrow(/point to others/);
    expect(await everything(store)).toEqual(before);
    expect(
      await saveLesson(store, {
        id: 'lesson-x',
        runId: 'tideline-first',
        text: 'still writes',
        learnedAt: NOW
      })
    ).toBe('stored');
  });

  it('with any letters changed is refused or the same, and never breaks', async () => {
    const zip = await archiveOf(store.db, NOW);
    const good = JSON.stringify(countsOf(read(zip)));
    fc.assert(
      fc.property(fc.nat(zip.length - 1), fc.integer({ min: 1, max: 255 }), (at, by) => {
        const bad = zip.slice();
        bad[at] = bad[at]! ^ by;
        let counts: string | undefined;
        try {
          counts = JSON.stringify(countsOf(read(bad)));
        } catch (error) {
          expect((error as Error).message).toMatch(/archive|ZIP|manifest/);
        }
        // Dates and comments of a ZIP are no part of what it holds.
        if (counts !== undefined) expect(counts).toBe(good);
      }),
      { numRuns: times(15, 60) }
    );
  });
});
