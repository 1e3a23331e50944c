import { mkdirSync, statSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { Fault } from '../fault';

/** Where a database lies: in a file here, or on a libSQL server. */
export type Place = { path: string } | { server: string };

const REMOTE = /^(libsql|https?|wss?):$/i;

const refused = (sentence: string, mend: string) => new Fault('not-readable', sentence, mend);
const NAME_ONE = 'Name a file with KIRAPEN_DB, or a libSQL server (https://… or libsql://…).';

/**
 * Reads what KIRAPEN_DB says: a path, a `file:` address, or a libSQL server's.
 * @throws Fault with its mend where it is none of these: nothing is made of an address that was meant otherwise
 */
export function placeOf(address: string): Place {
  const said = address.trim();
  if (/^(file:)?:memory:/i.test(said))
    throw refused('A database in memory forgets everything when Kirapen stops.', NAME_ONE);
  // One letter and a colon is a drive, not a kind of address.
  const [scheme] = /^[a-z][a-z0-9+.-]+:/i.exec(said) ?? [];
  if (scheme !== undefined && REMOTE.test(scheme)) {
    const url = URL.canParse(said) ? new URL(said) : undefined;
    if (!url?.hostname)
      throw refused(`“${said}” names no server.`, 'Write its name behind it, as in https://bench.example.');
    return { server: said };
  }
  if (scheme !== undefined && scheme.toLowerCase() !== 'file:')
    throw refused(`“${said}” is an address of another kind of database.`, NAME_ONE);
  const path = said.replace(/^file:/i, '');
  if (!path) throw refused('KIRAPEN_DB names no file.', NAME_ONE);
  if (/[?#%]/.test(path))
    throw refused(
      `The name “${path}” holds a ${/[?#%]/.exec(path)![0]}, which no name of a database may.`,
      'Name the file without it.'
    );
  return { path: resolve(path) };
}

/** Makes the folder of a new database, and refuses what is no file, or lies under one. */
export function prepare(path: string): void {
  const folder = dirname(path);
  try {
    mkdirSync(folder, { recursive: true });
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'EEXIST' || code === 'ENOTDIR')
      throw refused(
        `${folder} is a file, so that no database can lie in it.`,
        'Name another place with KIRAPEN_DB.'
      );
    throw error;
  }
  const there = statSync(path, { throwIfNoEntry: false });
  if (there && !there.isFile())
    throw refused(
      `${path} is ${there.isDirectory() ? 'a folder' : 'no file'}, not a database.`,
      'Name a file with KIRAPEN_DB.'
    );
}
