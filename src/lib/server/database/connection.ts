import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import type * as schema from './schema';

export type Db = LibSQLDatabase<typeof schema>;

/** An open database: reads go through `db`, writes through `write`. */
export interface Store {
  db: Db;
  /** The file, where it is one; undefined for a libSQL server. */
  file: string | undefined;
  /** Runs a write as one transaction, after those before it; inside another write it joins that one. */
  write<T>(work: (tx: Db) => Promise<T>): Promise<T>;
  /** Writes the whole database into a new file. */
  copyTo(path: string): Promise<void>;
  /** Waits for queued writes, folds the log into the file and closes it. */
  close(): Promise<void>;
}
