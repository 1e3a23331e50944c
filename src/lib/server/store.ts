import { statSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { isDeepStrictEqual } from 'node:util';
import { join } from 'node:path';
import {
  contentsOf,
  copyBeforeRestore,
  copyOfToday,
  freezeOldRuns,
  keepSecrets,
  openStore,
  putInPlace,
  seal,
  restoreArchive,
  secretsOf,
  Fault,
  type Archive,
  type Contents,
  type Store
} from './database';
import { Gate } from './gate';
import { inFolder } from './http/to-disk';
import { taughtByRuns } from './learned-history';
import { log } from './log';
import { OtherServers } from './other-servers';
import { endStreams } from './shutdown';
import { endThreads, inThread } from './workers';

const MIGRATIONS = join(process.env.KIRAPEN_HOME ?? process.cwd(), 'drizzle');
/** Where the database is: a path, or a libSQL server's address. */
export const ADDRESS = process.env.KIRAPEN_DB ?? './data/kirapen.db';
const HOUR = 3_600_000;

let opened: Promise<Store> | undefined;
let daily: ReturnType<typeof setInterval> | undefined;
let others: OtherServers | undefined;

/** Everything that reads or writes comes through here, so that a change of the whole database meets nobody inside. */
export const gate = new Gate();

/**
 * The application's one database, opened on first use. `KIRAPEN_DB` is a path or a libSQL server's address;
 * `KIRAPEN_HOME` is the folder that holds the migrations.
 * @throws Fault `file-gone` where its file is not the one that was opened: what was written now would be lost
 */
export async function store(): Promise<Store> {
  opened ??= begin();
  const open = await opened;
  if (isGone(open.file))
    throw new Fault(
      'file-gone',
      'The file of the database was deleted, moved or replaced while Kirapen ran. Nothing is written any more.',
      'Put it back where it was, or stop Kirapen and start it again with the file that is to be used.'
    );
  await others?.look();
  return open;
}

/** A device opens a run, or closes it: other servers hear of it. */
export const noteWhoIsThere = (run: string): void => others?.note(run);
/** Who has a run open elsewhere is asked before a device is told that it is alone with it. */
export const askWhoIsThere = async (): Promise<void> => others?.ask();

/** Which file is open, by its own number on the disk. */
let inode: number | undefined;
const inodeOf = (file: string): number | undefined => statSync(file, { throwIfNoEntry: false })?.ino;
const isGone = (file: string | undefined): boolean => file !== undefined && inodeOf(file) !== inode;

async function begin(): Promise<Store> {
  const fresh = await openStore(ADDRESS, MIGRATIONS);
  inode = fresh.file === undefined ? undefined : inodeOf(fresh.file);
  await freezeOldRuns(fresh);
  await dailyCopy(fresh);
  // A large record is told while the workshop is already open.
  void taughtByRuns.keepAll(fresh).catch(() => undefined);
  daily ??= setInterval(() => void hourly(), HOUR);
  daily.unref();
  if (fresh.file === undefined) others = new OtherServers(fresh);
  return fresh;
}

/** Looks every hour whether today's copy is there. */
async function hourly(): Promise<void> {
  const leave = await gate.enter();
  try {
    await dailyCopy(await store());
  } catch {
    // Who looks at a page is told what is wrong.
  } finally {
    leave();
  }
}

/** Today's copy; a disk too full for it stops nothing else. */
const dailyCopy = (of: Store) => copyOfToday(of, Date.now(), (to) => copyOf(of, to)).catch(() => false);

/** Closes the database if it is open; queued writes finish first. */
export async function closeStore(): Promise<void> {
  const closing = opened;
  opened = undefined;
  clearInterval(daily);
  daily = undefined;
  await others?.end();
  others = undefined;
  await endThreads();
  if (closing) await (await closing).close();
}

/**
 * Copies everything in a thread of its own (a workshop with many photos takes a while): a file with its checksum, or an archive
 * where the database lies on a server.
 */
async function copyOf(from: Store, to: string): Promise<void> {
  if (from.file === undefined)
    return writeFile(to, await inThread('archive', { address: ADDRESS, now: Date.now() }));
  await inThread('copy', { address: from.file, to });
  seal(to);
}

/** The whole database as one file. Throws a `Fault` where it lies on a server, and is no file of this machine's. */
export const wholeCopy = async (): Promise<Uint8Array> => {
  const from = await store();
  if (from.file === undefined)
    throw new Fault(
      'copy-failed',
      'This workshop’s database is on another server, and no file.',
      'Take the archive (ZIP) instead: it holds everything.'
    );
  return inFolder(async (folder) => {
    const path = join(folder, 'backup.db');
    await copyOf(from, path);
    return new Uint8Array(await readFile(path));
  });
};

/** What a backup that was sent holds. Throws a `Fault` where it is none. */
export async function previewRestore(path: string): Promise<Contents> {
  const read = await inThread('readBackup', { path, migrations: MIGRATIONS });
  if (!read.ok) throw new Fault('no-backup', read.sentence, read.mend);
  return read.contents;
}

const BUSY = new Fault(
  'too-busy',
  'Others are at work, or another restore is: nothing was changed.',
  'Try again in a moment.'
);

/** Puts an archive in the place of everything; what was there is kept as a copy. */
export const putArchiveInPlace = (archive: Archive): Promise<void> =>
  aloneWithStore(async (now) => {
    await copyBeforeRestore(now, Date.now(), (to) => copyOf(now, to));
    await restoreArchive(now, archive);
  });

/** Does what changes everything while nobody else reads or writes; who looks on begins anew afterwards. */
async function aloneWithStore<T>(work: (now: Store) => Promise<T>): Promise<T> {
  const done = await gate.alone(async () => {
    const result = await work(await store());
    taughtByRuns.clear();
    endStreams();
    return { result };
  });
  if (done === 'busy') throw BUSY;
  return done.result;
}

/**
 * Puts a backup in the place of everything, once it was looked through; what was there is kept as a copy beside it. The workshop
 * keeps its own passphrase, and who is signed in stays so. Says what is there now.
 */
export async function restore(path: string): Promise<Contents> {
  const sent = await previewRestore(path);
  return aloneWithStore(async (now) => {
    const { file } = now;
    if (file === undefined)
      throw new Fault(
        'copy-failed',
        'This workshop’s database is on another server.',
        'Restore it there, with that server’s own tools, or send an archive (ZIP).'
      );
    const secrets = await secretsOf(now);
    const before = await copyBeforeRestore(now, Date.now(), (to) => now.copyTo(to));
    await closeStore();
    try {
      putInPlace(path, file);
      const fresh = await store();
      await keepSecrets(fresh, secrets);
      const contents = await contentsOf(fresh);
      // The file in use is the one that was sent: all of it is there.
      if (!isDeepStrictEqual(contents.counts, sent.counts)) throw new Error('not what was sent');
      return contents;
    } catch (error) {
      await closeStore();
      putInPlace(before, file);
      await store();
      log.error(error);
      throw new Fault(
        'copy-failed',
        'The backup could not be put in place; everything is as it was.',
        'Make room on the disk, then try again.'
      );
    }
  });
}
