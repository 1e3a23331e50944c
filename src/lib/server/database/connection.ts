import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import type { Change } from '../changes';
import type * as schema from './schema';

export type Db = LibSQLDatabase<typeof schema>;

/** Says inside a write what it changes; everyone who looks on hears of it once it is stored. */
export type Tell = (change: Change) => void;

/** An open database: reads go through `db`, writes through `write`. */
export interface Store {
  db: Db;
  /** The file, where it is one; undefined for a libSQL server, which other Kirapens may write to as well. */
  file: string | undefined;
  /** This server, as others know it by what it wrote. */
  name: string;
  /**
   * Runs a write as one transaction, after those before it; inside another write it joins that one. It may be run again from
   * its beginning where another server was in its way, so that it changes nothing but the database.
   */
  write<T>(work: (tx: Db, tell: Tell) => Promise<T>): Promise<T>;
  /** Writes the whole database into a new file. */
  copyTo(path: string): Promise<void>;
  /** Waits for queued writes, folds the log into the file and closes it. */
  close(): Promise<void>;
}
