import { AsyncLocalStorage } from 'node:async_hooks';
import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { WriteQueue } from './queue';
import * as schema from './schema';

/** Busy timeout for other processes, ms. Short: our own writes queue, and waiting blocks the event loop. */
const BUSY_MS = 250;

export type Db = LibSQLDatabase<typeof schema>;

/** An open database: reads go through `db`, writes through `write`. */
export interface Store {
  db: Db;
  /** Runs a write as one transaction, after those before it; inside another write it joins that one. */
  write<T>(work: (tx: Db) => Promise<T>): Promise<T>;
  /** Waits for queued writes, folds the log into the file and closes it. */
  close(): Promise<void>;
}

/**
 * Opens (and makes, and migrates) the database at an address: a path, a `file:` address, or a libSQL server's.
 * Throws when foreign keys or the write-ahead log could not be had: the rest relies on them.
 */
export async function openStore(address: string, migrationsFolder: string): Promise<Store> {
  const remote = /^(libsql|https?|wss?):/.test(address);
  const url = remote || address.startsWith('file:') ? address : `file:${resolve(address)}`;
  if (!remote) mkdirSync(dirname(url.slice('file:'.length)), { recursive: true });
  const client = createClient({ url, timeout: BUSY_MS });
  if (!remote) await setUp(client);
  const db = drizzle(client, { schema });
  await migrate(db, { migrationsFolder });

  const queue = new WriteQueue();
  const inside = new AsyncLocalStorage<Db>();
  return {
    db,
    write(work) {
      const outer = inside.getStore();
      if (outer) return work(outer);
      return queue.run(() =>
        db.transaction((tx) => inside.run(tx as unknown as Db, () => work(tx as unknown as Db)), {
          behavior: 'immediate'
        })
      );
    },
    async close() {
      await queue.idle();
      if (!remote) await client.execute('PRAGMA wal_checkpoint(TRUNCATE)').catch(() => undefined);
      client.close();
    }
  };
}

async function setUp(client: Client): Promise<void> {
  const journal = await client.execute('PRAGMA journal_mode = WAL');
  if (journal.rows[0]?.[0] !== 'wal') throw new Error('The database file cannot use a write-ahead log here.');
  const keys = await client.execute('PRAGMA foreign_keys');
  if (keys.rows[0]?.[0] !== 1) throw new Error('Foreign keys are not enforced by this database client.');
}
