import { mkdtempSync, rmSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  copyBeforeRestore,
  copyOfToday,
  freezeOldRuns,
  openStore,
  previewOf,
  putInPlace,
  Fault,
  type Contents,
  type Store
} from './database';
import { taughtByRuns } from './learned-history';
import { endThreads, inThread } from './workers';

const MIGRATIONS = join(process.env.KIRAPEN_HOME ?? process.cwd(), 'drizzle');
/** Where the database is: a path, or a libSQL server's address. */
export const ADDRESS = process.env.KIRAPEN_DB ?? './data/kirapen.db';
const HOUR = 3_600_000;

let opened: Promise<Store> | undefined;
let daily: ReturnType<typeof setInterval> | undefined;

/**
 * The application's one database, opened on first use. `KIRAPEN_DB` is a path or a libSQL server's address;
 * `KIRAPEN_HOME` is the folder that holds the migrations.
 */
export function store(): Promise<Store> {
  opened ??= begin();
  return opened;
}

async function begin(): Promise<Store> {
  const fresh = await openStore(ADDRESS, MIGRATIONS);
  await freezeOldRuns(fresh);
  await dailyCopy(fresh);
  // A large record is told while the workshop is already open.
  void taughtByRuns.keepAll(fresh).catch(() => undefined);
  daily ??= setInterval(() => void store().then(dailyCopy), HOUR);
  daily.unref();
  return fresh;
}

/** Today's copy; a disk too full for it stops nothing else. */
const dailyCopy = (of: Store) => copyOfToday(of, Date.now(), (to) => copyOf(of, to)).catch(() => false);

/** Closes the database if it is open; queued writes finish first. */
export async function closeStore(): Promise<void> {
  const closing = opened;
  opened = undefined;
  clearInterval(daily);
  daily = undefined;
  await endThreads();
  if (closing) await (await closing).close();
}

/** A file in a folder of its own that goes away with the work. */
async function withFile<T>(bytes: Uint8Array | undefined, work: (path: string) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'kirapen-backup-'));
  const path = join(folder, 'backup.db');
  try {
    if (bytes) await writeFile(path, bytes);
    return await work(path);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Copies a database that is a file in a thread of its own: a workshop with many photos takes a while. */
const copyOf = (from: Store, to: string): Promise<void> =>
  from.file === undefined ? from.copyTo(to) : inThread('copy', { address: from.file, to });

/** The whole database as one file. */
export const wholeCopy = async (): Promise<Uint8Array> => {
  const from = await store();
  return withFile(undefined, async (path) => {
    await copyOf(from, path);
    return new Uint8Array(await readFile(path));
  });
};

/** What a backup that was sent holds. Throws a `Fault` where it is none. */
export const previewRestore = (bytes: Uint8Array): Promise<Contents> =>
  withFile(bytes, (path) => previewOf(path, MIGRATIONS));

/** Puts a backup in the place of everything; what was there is kept as a copy beside it. Says what is there now. */
export async function restore(bytes: Uint8Array): Promise<Contents> {
  const now = await store();
  const { file } = now;
  if (file === undefined)
    throw new Fault(
      'copy-failed',
      'This workshop’s database is on another server.',
      'Restore it there, with that server’s own tools.'
    );
  return withFile(bytes, async (path) => {
    const contents = await previewOf(path, MIGRATIONS);
    await copyBeforeRestore(now, Date.now());
    await closeStore();
    putInPlace(path, file);
    taughtByRuns.clear();
    await store();
    return contents;
  });
}
