import { AsyncLocalStorage } from 'node:async_hooks';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { placeOf, prepare, type Place } from './address';
import { copyBefore } from './backup';
import type { Db, Store } from './connection';
import { faultOf, Fault } from './fault';
import { WriteQueue } from './queue';
import * as schema from './schema';

/** Busy timeout for other processes, ms. Short: our own writes queue, and waiting blocks the event loop. */
const BUSY_MS = 250;
/** Nobody has written for so long, ms: the log is folded into the file, so that a copy of the file alone is whole. */
const IDLE_MS = 400;

/** So long a server may take for one answer, ms. */
const ANSWERS_MS = 10_000;
/** Asks a server, and gives up when it does not answer. */
const askedOnce: typeof fetch = (input, init) =>
  fetch(input, { ...init, signal: AbortSignal.timeout(ANSWERS_MS) });

/**
 * Opens (and makes, and migrates) the database at an address: a path, a `file:` address, or a libSQL server's.
 * Throws a `Fault` with a sentence where a person can do something about it.
 */
export async function openStore(address: string, migrationsFolder: string): Promise<Store> {
  const place = placeOf(address);
  const path = 'path' in place ? place.path : undefined;
  const where = path ?? new URL(address).host;
  try {
    if (path !== undefined) prepare(path);
    const client = clientOf(place);
    try {
      if (path !== undefined) await setUp(client);
      const db = drizzle(client, { schema });
      await bringUp(db, path, migrationsFolder);
      return storeOf(client, db, path);
    } catch (error) {
      client.close();
      throw error;
    }
  } catch (error) {
    throw faultOf(error, where) ?? (path === undefined ? notLibsql(where) : error);
  }
}

/**
 * A client of a file, or of a server with the credentials of the environment.
 * @param timeout how long it waits for another writer of the file, ms
 */
export function clientOf(place: Place, timeout = BUSY_MS): Client {
  if ('path' in place) return createClient({ url: `file:${place.path}`, timeout });
  const { KIRAPEN_DB_TOKEN: authToken } = process.env;
  return createClient({ url: place.server, fetch: askedOnce, ...(authToken ? { authToken } : {}) });
}

/** Something answers at the address, and not as a database does. */
const notLibsql = (where: string): Fault =>
  new Fault(
    'not-readable',
    `What answers at ${where} is no libSQL server.`,
    'Check the address in KIRAPEN_DB: another program may listen there.'
  );

/** Migrates to this program's version, after a copy; refuses a database of a newer program, which it would harm. */
async function bringUp(db: Db, path: string | undefined, migrationsFolder: string): Promise<void> {
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
  if (done < known) await migrate(db, { migrationsFolder });
}

/** A database that holds something, and nothing of this program’s, is another’s. */
async function refuseOthers(db: Db, path: string | undefined): Promise<void> {
  const [table] = await db.all<{ name: string }>(
    sql`SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name <> '__drizzle_migrations' LIMIT 1`
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
    sql`SELECT name FROM sqlite_master WHERE type = 'table' AND name = '__drizzle_migrations'`
  );
  if (!table) return 0;
  const [count] = await db.all<{ n: number }>(sql`SELECT count(*) AS n FROM __drizzle_migrations`);
  return count?.n ?? 0;
}

function storeOf(client: Client, db: Db, path: string | undefined): Store {
  const queue = new WriteQueue();
  const inside = new AsyncLocalStorage<Db>();
  let idle: ReturnType<typeof setTimeout> | undefined;
  let closed = false;
  const fold = () =>
    closed ? undefined : client.execute('PRAGMA wal_checkpoint(TRUNCATE)').catch(() => undefined);
  const whenIdle = () => {
    if (path === undefined || closed) return;
    clearTimeout(idle);
    idle = setTimeout(() => void queue.run(async () => fold()), IDLE_MS);
    idle.unref();
  };
  return {
    db,
    file: path,
    async write(work) {
      const outer = inside.getStore();
      if (outer) return work(outer);
      try {
        return await queue.run(() =>
          db.transaction((tx) => inside.run(tx as unknown as Db, () => work(tx as unknown as Db)), {
            behavior: 'immediate'
          })
        );
      } catch (error) {
        throw faultOf(error, path ?? 'of the workshop') ?? error;
      } finally {
        whenIdle();
      }
    },
    copyTo: (to) =>
      queue.run(async () => {
        await client.execute({ sql: 'VACUUM INTO ?', args: [to] });
      }),
    async close() {
      clearTimeout(idle);
      await queue.idle();
      if (path !== undefined) await fold();
      closed = true;
      client.close();
    }
  };
}

async function setUp(client: Client): Promise<void> {
  const journal = await client.execute('PRAGMA journal_mode = WAL');
  if (journal.rows[0]?.[0] !== 'wal')
    throw new Fault(
      'store-readonly',
      'The database cannot keep a write-ahead log where it lies.',
      'Put it on a local disk, or name another place with KIRAPEN_DB.'
    );
  const check = await client.execute('PRAGMA quick_check(1)');
  if (check.rows[0]?.[0] !== 'ok') throw new Error('SQLITE_CORRUPT');
  const keys = await client.execute('PRAGMA foreign_keys');
  if (keys.rows[0]?.[0] !== 1) throw new Error('Foreign keys are not enforced by this database client.');
}
