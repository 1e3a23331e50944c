import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Client } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import type { Db } from '../connection';
import { copyBefore } from '../copies/backup';
import { codesOf, Fault } from '../fault';
import { pause } from './again';

/** Where migrations that were done are noted: the table of the migrator that wrote the first of them. */
const NOTED = '__drizzle_migrations';
/** Tries while another server brings the database up, and how long between them, ms. */
const TRIES = 40;
const BETWEEN_MS = 250;

/** Migrates to this program's version, after a copy; refuses a database of a newer program, which it would harm. */
export async function bringUp(
  client: Client,
  db: Db,
  path: string | undefined,
  migrationsFolder: string
): Promise<void> {
  const known = knownMigrations(migrationsFolder);
  const done = await doneMigrations(db);
  if (!done) await refuseOthers(db, path);
  if (done > known)
    throw new Fault(
      'not-readable',
      `The database ${path ?? ''} was written by a newer Kirapen (step ${done}; this one knows ${known}).`,
      'Start the newer version, or put a backup of before in its place.'
    );
  if (path !== undefined && done > 0 && done < known) await copyBefore(db, path, done);
  if (done < known) await migrateOnce(client, db, { migrationsFolder, known });
}

/** Two servers may begin at once: the steps are done by one of them, and the other finds them done. */
async function migrateOnce(
  client: Client,
  db: Db,
  { migrationsFolder, known }: { migrationsFolder: string; known: number }
): Promise<void> {
  await client.execute(
    `CREATE TABLE IF NOT EXISTS ${NOTED} (id INTEGER PRIMARY KEY, hash text NOT NULL, created_at numeric)`
  );
  for (let tries = TRIES; ; tries--) {
    const done = await doneMigrations(db);
    if (done >= known) return;
    try {
      await client.migrate(stepsFrom(migrationsFolder, done));
      return;
    } catch (error) {
      const isElsewhere =
        (await doneMigrations(db)) !== done || /SQLITE_BUSY|SQLITE_LOCKED/.test(codesOf(error));
      if (!tries || !isElsewhere) throw error;
      await pause(BETWEEN_MS);
    }
  }
}

/**
 * The steps after those that are done, as one transaction. Its first statement fails where somebody did a step since: nothing of
 * it is done twice.
 */
function stepsFrom(migrationsFolder: string, done: number) {
  const guard = {
    sql: `SELECT CASE WHEN (SELECT count(*) FROM ${NOTED}) = ? THEN 1 ELSE json('done by another server') END`,
    args: [done]
  };
  const steps = readMigrationFiles({ migrationsFolder })
    .slice(done)
    .flatMap(({ sql: statements, hash, folderMillis }) => [
      ...statements,
      { sql: `INSERT INTO ${NOTED} (hash, created_at) VALUES (?, ?)`, args: [hash, folderMillis] }
    ]);
  return [guard, ...steps].map((s) => (typeof s === 'string' ? { sql: s, args: [] } : s));
}

/** A database that holds something, and nothing of this program’s, is another’s. */
async function refuseOthers(db: Db, path: string | undefined): Promise<void> {
  const [table] = await db.all<{ name: string }>(
    sql`SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name <> ${NOTED} LIMIT 1`
  );
  if (table)
    throw new Fault(
      'not-readable',
      `The database ${path ?? ''} is another program’s: it has a table “${table.name.slice(0, 40)}” of its own.`,
      'Name a file of Kirapen’s, or a new one, with KIRAPEN_DB.'
    );
}

const knownMigrations = (folder: string): number =>
  (JSON.parse(readFileSync(join(folder, 'meta/_journal.json'), 'utf8')) as { entries: unknown[] }).entries
    .length;

async function doneMigrations(db: Db): Promise<number> {
  const [table] = await db.all<{ name: string }>(
    sql`SELECT name FROM sqlite_master WHERE type = 'table' AND name = ${NOTED}`
  );
  if (!table) return 0;
  const [count] = await db.all<{ n: number }>(sql`SELECT count(*) AS n FROM __drizzle_migrations`);
  return count?.n ?? 0;
}
