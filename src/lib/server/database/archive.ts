import { createHash } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { getTableColumns } from 'drizzle-orm';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { z } from 'zod';
import { copyBeforeRestore } from './backup';
import type { Db, Store } from './connection';
import { Fault } from './fault';
import * as schema from './schema';

/** The tables of an archive, each after those it points to. Who is signed in stays at home. */
const TABLES = [
  ['settings', schema.settings],
  ['moulds', schema.moulds],
  ['bases', schema.bases],
  ['colourants', schema.colourants],
  ['scales', schema.scales],
  ['vessels', schema.vessels],
  ['lots', schema.lots],
  ['trialcards', schema.trialcards],
  ['plans', schema.plans],
  ['runs', schema.runs],
  ['events', schema.events],
  ['pieces', schema.pieces],
  ['photos', schema.photos],
  ['run_photos', schema.runPhotos],
  ['plan_photos', schema.planPhotos],
  ['card_photos', schema.cardPhotos],
  ['lessons', schema.lessons],
  ['deletions', schema.deletions]
] as const;
type TableName = (typeof TABLES)[number][0];
type Row = Record<string, unknown>;

/** A secret is no part of what is handed on. */
const SECRET = 'passphrase';

const Manifest = z.object({
  format: z.literal('kirapen.archive'),
  version: z.literal(1),
  madeAt: z.string().max(40),
  files: z
    .array(
      z.object({
        name: z.string().max(300),
        sha256: z.string().regex(/^[0-9a-f]{64}$/),
        bytes: z.number().int()
      })
    )
    .max(500_000)
});

/** Most bytes that an archive may unfold to, all together and in one file: more is no workshop. */
const MOST_BYTES = 2_000_000_000;
const MOST_IN_ONE = 600_000_000;
const NAME = /^(manifest\.json|tables\/[a-z_]+\.jsonl|photos\/[A-Za-z0-9._-]{1,120}\.jpg)$/;

const sha256 = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');
const photoName = (table: string, id: unknown) =>
  `photos/${table}-${createHash('sha1').update(String(id)).digest('hex')}.jpg`;

/** Everything as one ZIP: a JSON Lines file a table, photos as pictures, and a manifest with a checksum of each. */
export async function archiveOf(db: Db, now: number): Promise<Uint8Array> {
  const files: Record<string, Uint8Array> = {};
  for (const [name, table] of TABLES) {
    const rows = (await db
      .select()
      .from(table as typeof schema.runs)
      .orderBy(sql`rowid`)) as unknown as Row[];
    const lines = rows
      .filter((row) => !(name === 'settings' && row.name === SECRET))
      .map((row) => JSON.stringify(packed(name, row, files)));
    files[`tables/${name}.jsonl`] = strToU8(lines.map((l) => `${l}\n`).join(''));
  }
  const manifest = {
    format: 'kirapen.archive',
    version: 1,
    madeAt: new Date(now).toISOString(),
    files: Object.entries(files).map(([name, bytes]) => ({
      name,
      sha256: sha256(bytes),
      bytes: bytes.length
    }))
  };
  return zipSync({ 'manifest.json': strToU8(JSON.stringify(manifest, null, 1)), ...files }, { level: 6 });
}

/** A row with its picture put beside it. */
function packed(table: string, row: Row, files: Record<string, Uint8Array>): Row {
  if (!(row.bytes instanceof Uint8Array)) return row;
  const name = photoName(table, row.id);
  files[name] = new Uint8Array(row.bytes);
  return { ...row, bytes: name };
}

/** An archive that was read whole: every table's rows. */
export type Archive = Record<TableName, Row[]>;

const broken = (sentence: string) =>
  new Fault(
    'not-readable',
    sentence,
    'Choose an archive that was downloaded here, whole and unchanged. Nothing was changed.'
  );

/** Reads an archive whole, or says why it is none: every file named, whole and unchanged, every row as its table asks. */
export function readArchive(bytes: Uint8Array): Archive {
  const files = unfolded(bytes);
  const manifest = manifestOf(files);
  const named = new Map(manifest.files.map((f) => [f.name, f]));
  for (const name of Object.keys(files))
    if (name !== 'manifest.json' && !named.has(name))
      throw broken(`The archive holds “${name}”, which its manifest does not name.`);
  for (const { name, sha256: sum } of manifest.files) {
    const file = files[name];
    if (!file) throw broken(`The archive lacks “${name}”.`);
    if (sha256(file) !== sum) throw broken(`“${name}” in the archive was changed or is damaged.`);
  }
  return Object.fromEntries(TABLES.map(([name, table]) => [name, rowsOf(name, table, files)])) as Archive;
}

function unfolded(bytes: Uint8Array): Record<string, Uint8Array> {
  let all = 0;
  try {
    return unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        all += originalSize;
        if (!NAME.test(name))
          throw broken(`The archive holds “${name.slice(0, 80)}”, which is no part of one.`);
        if (originalSize > MOST_IN_ONE || all > MOST_BYTES)
          throw broken('The archive unfolds to more than any workshop holds.');
        return true;
      }
    });
  } catch (error) {
    if (error instanceof Fault) throw error;
    throw broken('What was sent is no ZIP, or only a part of one.');
  }
}

function manifestOf(files: Record<string, Uint8Array>): z.infer<typeof Manifest> {
  const text = files['manifest.json'];
  if (!text) throw broken('The ZIP has no manifest: it is no archive of Kirapen.');
  try {
    const read = Manifest.safeParse(JSON.parse(strFromU8(text)));
    if (read.success) return read.data;
  } catch {
    // Said below.
  }
  throw broken('The manifest of the archive cannot be read.');
}

function rowsOf(
  name: TableName,
  table: (typeof TABLES)[number][1],
  files: Record<string, Uint8Array>
): Row[] {
  const text = files[`tables/${name}.jsonl`];
  if (!text) throw broken(`The archive lacks “tables/${name}.jsonl”.`);
  const columns = Object.entries(getTableColumns(table));
  return strFromU8(text)
    .split('\n')
    .filter(Boolean)
    .map((line, i) => rowOf(line, { name, at: i + 1, columns, files }));
}

interface RowAt {
  name: TableName;
  at: number;
  columns: [string, { dataType: string; notNull: boolean }][];
  files: Record<string, Uint8Array>;
}

/** One row, with every column of its table, of its kind, and no other. */
function rowOf(line: string, { name, at, columns, files }: RowAt): Row {
  const wrong = (what: string) => broken(`Line ${at} of “${name}” in the archive ${what}.`);
  let row: unknown;
  try {
    row = JSON.parse(line);
  } catch {
    throw wrong('is no JSON');
  }
  if (typeof row !== 'object' || row === null || Array.isArray(row)) throw wrong('is no row');
  const known = new Set(columns.map(([key]) => key));
  if (Object.keys(row).some((key) => !known.has(key))) throw wrong('has a field that its table has not');
  if (name === 'settings' && (row as Row).name === SECRET) throw wrong('brings a passphrase');
  return Object.fromEntries(
    columns.map(([key, column]) => [key, cellOf((row as Row)[key] ?? null, { key, column, files, wrong })])
  );
}

interface CellAt {
  key: string;
  column: { dataType: string; notNull: boolean };
  files: Record<string, Uint8Array>;
  wrong: (what: string) => Fault;
}

function cellOf(value: unknown, { key, column, files, wrong }: CellAt): unknown {
  if (value === null) {
    if (column.notNull) throw wrong(`lacks “${key}”`);
    return null;
  }
  if (column.dataType.startsWith('string') && typeof value === 'string') return value;
  if (column.dataType.startsWith('number') && typeof value === 'number' && Number.isFinite(value))
    return value;
  if (key === 'bytes' && typeof value === 'string') {
    const file = files[value];
    if (!file) throw wrong('names a photo that is not there');
    return Buffer.from(file);
  }
  throw wrong(`has something else than is wanted in “${key}”`);
}

/** How many rows are written at once. */
const AT_ONCE = 100;

/** Puts an archive in the place of everything, all of it or nothing; what was there is kept as a copy beside the database. */
export async function restoreArchive(store: Store, archive: Archive, now: number): Promise<void> {
  await copyBeforeRestore(store, now);
  try {
    await store.write(async (tx) => {
      for (const [name, table] of [...TABLES].reverse())
        await tx
          .delete(table as typeof schema.settings)
          .where(name === 'settings' ? sql`name <> ${SECRET}` : undefined);
      for (const [name, table] of TABLES)
        for (let i = 0; i < archive[name].length; i += AT_ONCE)
          await tx
            .insert(table as typeof schema.settings)
            .values(archive[name].slice(i, i + AT_ONCE) as never);
    });
  } catch (error) {
    if (error instanceof Fault) throw error;
    throw broken('Rows of the archive point to others that are not in it, or are there twice.');
  }
}

/** What an archive holds, counted by table; what is empty is left out. */
export const countsOf = (archive: Archive): { what: string; count: number }[] =>
  TABLES.flatMap(([what]) =>
    archive[what].length ? [{ what: what.replace('_', ' '), count: archive[what].length }] : []
  );
