import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { sql } from 'drizzle-orm';
import { getTableColumns } from 'drizzle-orm';
import { strFromU8, strToU8, Unzip, UnzipInflate, zipSync } from 'fflate';
import { z } from 'zod';
import { EVERYTHING } from '../../changes';
import type { Db, Store } from '../connection';
import { Fault } from '../fault';
import { rowFault } from './check-rows';
import type * as schema from '../schema';
import { SECRET, TABLES, type Counts, type Row, type TableName } from './tables';

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

/** Most bytes that an archive may unfold to: so many times its own (text folds to a twentieth, photos hardly), and some to begin with. */
const MOST_TIMES = 100;
const MOST_FREE = 50_000_000;
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

/** An archive that was read whole: every table's rows; of a photo its bytes, or the file it was laid aside in. */
export type Archive = Record<TableName, Row[]>;

/** A file of an archive: its bytes or, of a photo that was laid aside, where; and what it sums to. */
interface Unfolded {
  bytes: Uint8Array;
  sum: string;
  aside?: string;
}
type Files = Record<string, Unfolded>;

const broken = (sentence: string) =>
  new Fault(
    'no-backup',
    sentence,
    'Choose an archive that was downloaded here, whole and unchanged. Nothing was changed.'
  );

/**
 * Reads an archive whole, or says why it is none: every file named, whole and unchanged, every row as its table asks.
 * @param sent the ZIP in pieces, and how many bytes it has: it may not unfold to more than a workshop of that size does
 * @param aside a folder in which photos are laid, so that they need no memory; they stay in it when absent
 */
export function readArchive(sent: Iterable<Uint8Array>, size: number, aside?: string): Archive {
  const files = unfolded(sent, size, aside);
  const manifest = manifestOf(files);
  const named = new Map(manifest.files.map((f) => [f.name, f]));
  for (const name of Object.keys(files))
    if (name !== 'manifest.json' && !named.has(name))
      throw broken(`The archive holds “${name}”, which its manifest does not name.`);
  for (const { name, sha256: sum } of manifest.files) {
    const file = files[name];
    if (!file) throw broken(`The archive lacks “${name}”.`);
    if (file.sum !== sum) throw broken(`“${name}” in the archive was changed or is damaged.`);
  }
  return Object.fromEntries(TABLES.map(([name, table]) => [name, rowsOf(name, table, files)])) as Archive;
}

/** The files of a ZIP, unfolded piece by piece: one that unfolds to too much is given up while it does. */
function unfolded(sent: Iterable<Uint8Array>, size: number, aside: string | undefined): Files {
  const files: Files = {};
  const open = new Set<string>();
  let left = MOST_FREE + MOST_TIMES * size;
  const unzip = new Unzip((file) => {
    if (!NAME.test(file.name))
      throw broken(`The archive holds “${file.name.slice(0, 80)}”, which is no part of one.`);
    if (files[file.name] || open.has(file.name)) throw broken(`The archive holds “${file.name}” twice.`);
    open.add(file.name);
    const pieces: Uint8Array[] = [];
    const hash = createHash('sha256');
    file.ondata = (error, piece, last) => {
      if (error) throw error;
      left -= piece.length;
      if (left < 0) throw broken('The archive unfolds to more than any workshop holds.');
      hash.update(piece);
      pieces.push(piece.slice());
      if (!last) return;
      open.delete(file.name);
      files[file.name] = laid(file.name, Buffer.concat(pieces), { sum: hash.digest('hex'), aside });
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (const piece of sent) unzip.push(piece);
    unzip.push(new Uint8Array(), true);
  } catch (error) {
    if (error instanceof Fault) throw error;
    throw broken('What was sent is no ZIP, or only a part of one.');
  }
  if (open.size || !Object.keys(files).length)
    throw broken('What was sent is no ZIP, or only a part of one.');
  return files;
}

/** A file as it is kept while the rest is read: a photo in a file of its own where there is a folder for it. */
function laid(
  name: string,
  bytes: Buffer,
  { sum, aside }: { sum: string; aside: string | undefined }
): Unfolded {
  if (aside === undefined || !name.startsWith('photos/')) return { bytes, sum };
  const path = join(aside, basename(name));
  writeFileSync(path, bytes);
  return { bytes: bytes.subarray(0, 3), sum, aside: path };
}

function manifestOf(files: Files): z.infer<typeof Manifest> {
  const text = files['manifest.json']?.bytes;
  if (!text) throw broken('The ZIP has no manifest: it is no archive of Kirapen.');
  try {
    const read = Manifest.safeParse(JSON.parse(strFromU8(text)));
    if (read.success) return read.data;
  } catch {
    // Said below.
  }
  throw broken('The manifest of the archive cannot be read.');
}

function rowsOf(name: TableName, table: (typeof TABLES)[number][1], files: Files): Row[] {
  const text = files[`tables/${name}.jsonl`]?.bytes;
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
  files: Files;
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
  const made = Object.fromEntries(
    columns.map(([key, column]) => [key, cellOf((row as Row)[key] ?? null, { key, column, files, wrong })])
  );
  const fault = rowFault(name, made);
  if (fault !== undefined) throw wrong(fault);
  return { ...made, ...asideOf(row as Row, files) };
}

/** Where the photo of a row was laid aside. */
function asideOf(row: Row, files: Files): Row {
  const aside = typeof row.bytes === 'string' ? files[row.bytes]?.aside : undefined;
  return aside === undefined ? {} : { bytes: aside };
}

interface CellAt {
  key: string;
  column: { dataType: string; notNull: boolean };
  files: Files;
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
    return Buffer.from(file.bytes);
  }
  throw wrong(`has something else than is wanted in “${key}”`);
}

/** How many rows are written at once. */
const AT_ONCE = 100;

/** Puts an archive in the place of everything, all of it or nothing. */
export async function restoreArchive(store: Store, archive: Archive): Promise<void> {
  try {
    await store.write(async (tx, tell) => {
      tell(EVERYTHING);
      for (const [name, table] of [...TABLES].reverse())
        await tx
          .delete(table as typeof schema.settings)
          .where(name === 'settings' ? sql`name <> ${SECRET}` : undefined);
      for (const [name, table] of TABLES)
        for (let i = 0; i < archive[name].length; i += AT_ONCE)
          await tx
            .insert(table as typeof schema.settings)
            .values(archive[name].slice(i, i + AT_ONCE).map(withPhoto) as never);
    });
  } catch (error) {
    if (error instanceof Fault) throw error;
    throw broken('Rows of the archive point to others that are not in it, or are there twice.');
  }
}

/** A row with its photo, from where that was laid aside. */
const withPhoto = (row: Row): Row =>
  typeof row.bytes === 'string' ? { ...row, bytes: readFileSync(row.bytes) } : row;

/** What an archive holds, counted by table; what is empty is left out. */
export const countsOf = (archive: Archive): Counts =>
  TABLES.flatMap(([name, , what]) => (archive[name].length ? [{ what, count: archive[name].length }] : []));
