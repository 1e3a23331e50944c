import { closeSync, copyFileSync, fsyncSync, openSync, renameSync, rmSync } from 'node:fs';
import { eq, sql } from 'drizzle-orm';
import { rowFault } from './check-rows';
import type { Store } from '../connection';
import { Fault } from '../fault';
import { openStore } from '../opening/open';
import { plans, runs, sessions, settings } from '../schema';
import { unseal } from './sealed';
import { SECRET, TABLES, type Counts, type Row } from './tables';

/** What a database holds, counted, when it was last written, and what of it cannot be read. */
export interface Contents {
  counts: Counts;
  lastChange: number | undefined;
}

/** Counts what a store holds, every kind of thing that is handed on. */
export async function contentsOf(store: Store): Promise<Contents> {
  const counts = await Promise.all(
    TABLES.map(async ([name, table, what]) => {
      const own = name === 'settings' ? sql`name <> ${SECRET}` : undefined;
      const [row] = await store.db
        .select({ n: sql<number>`count(*)` })
        .from(table as typeof plans)
        .where(own);
      return { what, count: row?.n ?? 0 };
    })
  );
  const [latest] = await store.db.select({ at: sql<number | null>`max(${plans.changedAt})` }).from(plans);
  const [run] = await store.db.select({ at: sql<number | null>`max(${runs.startedAt})` }).from(runs);
  const last = Math.max(latest?.at ?? 0, run?.at ?? 0);
  return { counts: counts.filter((c) => c.count > 0), lastChange: last || undefined };
}

/** Rows that are looked through at a time. */
const AT_ONCE = 200;

/** Looks through every row: the first that could not have been written here is said. */
async function checkRows({ db }: Store): Promise<void> {
  for (const [name, table, what] of TABLES)
    for (let from = 0; ; from += AT_ONCE) {
      const rows = (await db
        .select()
        .from(table as typeof plans)
        .orderBy(sql`rowid`)
        .limit(AT_ONCE)
        .offset(from)) as unknown as Row[];
      rows.forEach((row, i) => {
        const fault = rowFault(name, row);
        if (fault !== undefined) throw noBackup(`Row ${from + i + 1} of the ${what} in the backup ${fault}.`);
      });
      if (rows.length < AT_ONCE) break;
    }
}

const noBackup = (sentence: string) =>
  new Fault(
    'no-backup',
    sentence,
    'Choose a file that was downloaded here, or one from the folder “backups”. Nothing was changed.'
  );

/**
 * What a file that someone sent holds: its seal checked and taken off, opened as a database of this program, brought up to its
 * version in a copy, and looked through to the last page and row.
 * @throws Fault `no-backup` where it is none
 */
export async function previewOf(file: string, migrationsFolder: string): Promise<Contents> {
  unseal(file);
  const trial = `${file}.trial`;
  copyFileSync(file, trial);
  try {
    const store = await openStore(trial, migrationsFolder);
    try {
      const [whole] = await store.db.all<{ integrity_check: string }>(sql`PRAGMA integrity_check(1)`);
      if (whole?.integrity_check !== 'ok') throw noBackup('The backup is damaged.');
      await checkRows(store);
      return await contentsOf(store);
    } finally {
      await store.close();
    }
  } catch (error) {
    if (error instanceof Fault && error.code === 'no-backup') throw error;
    const why = error instanceof Fault ? error.message.replaceAll(trial, 'that was sent') : undefined;
    throw noBackup(why ?? 'The file that was sent is no backup of Kirapen.');
  } finally {
    for (const tail of ['', '-wal', '-shm']) rmSync(trial + tail, { force: true });
  }
}

/** What stays this workshop's own when everything is replaced: its passphrase, and who is signed in. */
export interface OwnSecrets {
  passphrase: string | undefined;
  signedIn: (typeof sessions.$inferSelect)[];
}

export async function secretsOf({ db }: Store): Promise<OwnSecrets> {
  const [row] = await db.select().from(settings).where(eq(settings.name, SECRET));
  return { passphrase: row?.value, signedIn: await db.select().from(sessions) };
}

/** Puts this workshop's own secrets in the place of those that a backup brought. */
export async function keepSecrets(store: Store, { passphrase, signedIn }: OwnSecrets): Promise<void> {
  await store.write(async (tx) => {
    await tx.delete(sessions);
    await tx.delete(settings).where(eq(settings.name, SECRET));
    if (passphrase !== undefined) await tx.insert(settings).values({ name: SECRET, value: passphrase });
    if (signedIn.length) await tx.insert(sessions).values(signedIn);
  });
}

/** Puts a file in the place of a closed database. */
export function putInPlace(file: string, database: string): void {
  for (const tail of ['-wal', '-shm']) rmSync(database + tail, { force: true });
  const beside = `${database}.coming`;
  copyFileSync(file, beside);
  // On the disk before it has its name: a power cut leaves the one or the other, whole.
  const written = openSync(beside, 'r+');
  fsyncSync(written);
  closeSync(written);
  renameSync(beside, database);
}
