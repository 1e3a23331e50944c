import { createHash } from 'node:crypto';
import { appendFileSync, closeSync, openSync, readSync, statSync, truncateSync } from 'node:fs';
import { Fault } from '../fault';

/** After the last page of a copy: what its pages sum to. SQLite reads past it, so that a sealed copy is a database still. */
const MARK = 'KIRAPEN SHA-256 ';
const LENGTH = MARK.length + 64 + 1;
const CHUNK = 1 << 20;

const damaged = (sentence: string) =>
  new Fault(
    'no-backup',
    sentence,
    'Choose a backup that was downloaded here, whole and unchanged. Nothing was changed.'
  );

/** The bytes of a file from its start, in pieces. */
export function* piecesOf(path: string, bytes = statSync(path).size): Generator<Uint8Array, void> {
  const file = openSync(path, 'r');
  try {
    for (let at = 0; at < bytes;) {
      const piece = Buffer.alloc(Math.min(CHUNK, bytes - at));
      const read = readSync(file, piece, 0, piece.length, at);
      if (!read) return;
      at += read;
      yield piece.subarray(0, read);
    }
  } finally {
    closeSync(file);
  }
}

function sumOf(path: string, bytes: number): string {
  const hash = createHash('sha256');
  for (const piece of piecesOf(path, bytes)) hash.update(piece);
  return hash.digest('hex');
}

/** Writes what a copy sums to behind its last page. */
export function seal(path: string): void {
  appendFileSync(path, `${MARK}${sumOf(path, statSync(path).size)}\n`);
}

/**
 * Takes the seal off a copy that was sent, after checking it. One without (of an earlier program) is taken as it is, if it ends
 * with a whole page.
 * @throws Fault `no-backup` where it was changed, cut short, or is no database at all
 */
export function unseal(path: string): void {
  const { size } = statSync(path);
  const head = Buffer.concat([...piecesOf(path, Math.min(size, 100))]);
  if (size < 512 || head.toString('latin1', 0, 16) !== 'SQLite format 3\0')
    throw damaged('The file that was sent is no backup of Kirapen.');
  const tail = Buffer.alloc(LENGTH);
  const file = openSync(path, 'r');
  readSync(file, tail, 0, LENGTH, Math.max(0, size - LENGTH));
  closeSync(file);
  const text = tail.toString('latin1');
  if (text.startsWith(MARK)) {
    if (sumOf(path, size - LENGTH) !== text.slice(MARK.length, -1))
      throw damaged('The backup was changed or damaged since it was made: its checksum does not fit.');
    truncateSync(path, size - LENGTH);
    return;
  }
  const page = head.readUInt16BE(16);
  if (size % (page === 1 ? 65_536 : Math.max(512, page)))
    throw damaged('The backup was cut short or damaged since it was made.');
}
