import { copyFileSync, renameSync, rmSync } from 'node:fs';
import { sql } from 'drizzle-orm';
import { Fault } from './fault';
import type { Store } from './connection';
import { openStore } from './open';
import { bases, colourants, lots, moulds, pieces, plans, runs, scales, trialcards, vessels } from './schema';

/** What a database holds, counted, and when it was last written. */
export interface Contents {
  counts: { what: string; count: number }[];
  lastChange: number | undefined;
}

const COUNTED = [
  ['plans', plans],
  ['runs', runs],
  ['pieces', pieces],
  ['moulds', moulds],
  ['bases', bases],
  ['colourants', colourants],
  ['lots', lots],
  ['trial cards', trialcards],
  ['scales', scales],
  ['vessels', vessels]
] as const;

/** Counts what a store holds. */
export async function contentsOf(store: Store): Promise<Contents> {
  const counts = await Promise.all(
    COUNTED.map(async ([what, table]) => {
      const [row] = await store.db.select({ n: sql<number>`count(*)` }).from(table as typeof plans);
      return { what, count: row?.n ?? 0 };
    })
  );
  const [latest] = await store.db.select({ at: sql<number | null>`max(${plans.changedAt})` }).from(plans);
  const [run] = await store.db.select({ at: sql<number | null>`max(${runs.startedAt})` }).from(runs);
  const last = Math.max(latest?.at ?? 0, run?.at ?? 0);
  return { counts, lastChange: last || undefined };
}

/**
 * What a file that someone sent holds: opened as a database of this program, brought up to its version in a copy.
 * Throws a `Fault` where it is none.
 */
export async function previewOf(file: string, migrationsFolder: string): Promise<Contents> {
  const trial = `${file}.trial`;
  copyFileSync(file, trial);
  try {
    const store = await openStore(trial, migrationsFolder);
    try {
      return await contentsOf(store);
    } finally {
      await store.close();
    }
  } catch (error) {
    if (error instanceof Fault)
      throw new Fault(
        error.code,
        error.message.replaceAll(trial, 'that was sent'),
        'Choose a backup of Kirapen.'
      );
    throw new Fault(
      'not-readable',
      'The file that was sent is no backup of Kirapen.',
      'Choose a file that was downloaded here, or one from the folder “backups”.'
    );
  } finally {
    for (const tail of ['', '-wal', '-shm']) rmSync(trial + tail, { force: true });
  }
}

/** Puts a file in the place of a closed database. */
export function putInPlace(file: string, database: string): void {
  for (const tail of ['-wal', '-shm']) rmSync(database + tail, { force: true });
  const beside = `${database}.coming`;
  copyFileSync(file, beside);
  renameSync(beside, database);
}
