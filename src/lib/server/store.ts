import { join } from 'node:path';
import { openStore, type Store } from './database';

let opened: Promise<Store> | undefined;

/**
 * The application's one database, opened on first use. `KIRAPEN_DB` is a path or a libSQL server's address;
 * `KIRAPEN_HOME` is the folder that holds the migrations.
 */
export function store(): Promise<Store> {
  opened ??= openStore(
    process.env.KIRAPEN_DB ?? './data/kirapen.db',
    join(process.env.KIRAPEN_HOME ?? process.cwd(), 'drizzle')
  );
  return opened;
}

/** Closes the database if it is open; queued writes finish first. */
export async function closeStore(): Promise<void> {
  const closing = opened;
  opened = undefined;
  if (closing) await (await closing).close();
}
