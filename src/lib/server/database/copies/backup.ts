import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { sql } from 'drizzle-orm';
import type { Db, Store } from '../connection';

/** Daily copies that are kept, and copies from before a change of the database. */
const DAILY_KEPT = 14;
const BEFORE_KEPT = 10;

/** The folder of what is kept beside a database: its file's own, or of a server's database the one a file would lie in. */
export const folderBeside = (path: string | undefined): string =>
  path === undefined ? resolve('data') : dirname(path);

/** The folder of a database's copies: files of it, or archives of a server's, which has no file. */
const backupsOf = (path: string | undefined): string => join(folderBeside(path), 'backups');
const ENDS = /\.(db|zip)$/;
const endOf = (path: string | undefined): string => (path === undefined ? '.zip' : '.db');

/** Makes a copy of the whole database in a new file: the file itself, or an archive where there is none. */
export type Copying = (to: string) => Promise<void>;

/** A copy as it lies in the folder. */
export interface Copy {
  name: string;
  bytes: number;
  at: number;
}

/** The copies of a database, latest first. */
export function copiesOf(path: string | undefined): Copy[] {
  const folder = backupsOf(path);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => ENDS.test(name))
    .map((name) => {
      const { size, mtimeMs } = statSync(join(folder, name));
      return { name, bytes: size, at: mtimeMs };
    })
    .sort((a, b) => b.at - a.at);
}

/** Takes old copies away: so many of each sort stay. */
function tidy(path: string | undefined): void {
  const copies = copiesOf(path);
  const daily = copies.filter((c) => c.name.startsWith('day-')).slice(DAILY_KEPT);
  const before = copies.filter((c) => c.name.startsWith('before-')).slice(BEFORE_KEPT);
  for (const { name } of [...daily, ...before]) rmSync(join(backupsOf(path), name), { force: true });
}

/** The name of a copy that is not there yet. */
function freeName(path: string | undefined, name: string): string {
  mkdirSync(backupsOf(path), { recursive: true });
  for (let n = 1; ; n++) {
    const at = join(backupsOf(path), `${name}${n > 1 ? `-${n}` : ''}${endOf(path)}`);
    if (!existsSync(at)) return at;
  }
}

/** A copy from before the database is changed by a newer program. */
export async function copyBefore(db: Db, path: string, step: number): Promise<void> {
  await db.run(sql`VACUUM INTO ${freeName(path, `before-step-${step + 1}`)}`);
  tidy(path);
}

/** A copy from before everything is replaced. Says where it lies. */
export async function copyBeforeRestore(store: Store, now: number, copy: Copying): Promise<string> {
  const to = freeName(store.file, `before-restore-${day(now)}`);
  await copy(to);
  tidy(store.file);
  return to;
}

const day = (now: number) => new Date(now).toISOString().slice(0, 10);

/** Today's copy, if there is none yet. Says whether one was made. */
export async function copyOfToday(store: Store, now: number, copy: Copying): Promise<boolean> {
  const to = join(backupsOf(store.file), `day-${day(now)}${endOf(store.file)}`);
  if (existsSync(to)) return false;
  mkdirSync(dirname(to), { recursive: true });
  await copy(to);
  tidy(store.file);
  return true;
}
