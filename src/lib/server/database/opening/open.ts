import { createClient, type Client } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { placeOf, prepare, type Place } from './address';
import type { Store } from '../connection';
import { faultOf, Fault } from '../fault';
import { bringUp } from './migrate';
import { storeOver } from './writes';
import * as schema from '../schema';

/** Busy timeout for other processes, ms. Short: our own writes queue, and waiting blocks the event loop. */
const BUSY_MS = 250;

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
      await bringUp(client, db, path, migrationsFolder);
      return storeOver(client, db, path);
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
