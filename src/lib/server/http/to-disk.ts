import { createWriteStream, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream } from 'node:stream/web';
import { Fault } from '../database';

/** A folder of its own that goes away with the work. */
export async function inFolder<T>(work: (folder: string) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'kirapen-'));
  try {
    return await work(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/**
 * Does something with what was sent, laid on the disk as it came: no upload has to fit into memory.
 * @throws Fault `no-backup` where nothing came
 */
export const withUpload = <T>(
  request: Request,
  work: (path: string, folder: string) => Promise<T>
): Promise<T> =>
  inFolder(async (folder) => {
    const path = join(folder, 'sent');
    const file = createWriteStream(path);
    if (request.body) await pipeline(Readable.fromWeb(request.body as ReadableStream), file);
    else file.end();
    if (!file.bytesWritten)
      throw new Fault('no-backup', 'No file came.', 'Choose a backup that was downloaded here.');
    return work(path, folder);
  });
