import { randomUUID } from 'node:crypto';
import { mkdir, readdir, readFile, rename, rm, stat, utimes, writeFile } from 'node:fs/promises';
import { join } from 'node:path';

/** Pictures that are kept at most: some thirty kilobytes each. */
const MOST = 400;

/**
 * Pictures kept on disk by what they are of, so that they are drawn once and not once a start. What is asked for stays
 * longest. A disk that is full, or a folder that cannot be written, costs drawing them again and nothing else.
 *
 * @param folder where they lie; made when the first is kept
 */
export class KeptPictures {
  readonly #folder: string;
  readonly #most: number;

  constructor(folder: string, most = MOST) {
    this.#folder = folder;
    this.#most = most;
  }

  /** The picture kept under a name of letters and digits, or nothing. */
  async find(name: string): Promise<Uint8Array<ArrayBuffer> | undefined> {
    const path = join(this.#folder, name);
    try {
      const bytes = new Uint8Array(await readFile(path));
      const now = new Date();
      await utimes(path, now, now);
      return bytes;
    } catch {
      return undefined;
    }
  }

  /** Keeps a picture: whole or not at all, whenever the machine stops. */
  async keep(name: string, bytes: Uint8Array): Promise<void> {
    const part = join(this.#folder, `${name}.${randomUUID()}.part`);
    try {
      await mkdir(this.#folder, { recursive: true });
      await writeFile(part, bytes);
      await rename(part, join(this.#folder, name));
      await this.#sweep();
    } catch {
      await rm(part, { force: true }).catch(() => undefined);
    }
  }

  /** Takes away those that were asked for longest ago. */
  async #sweep(): Promise<void> {
    const names = await readdir(this.#folder);
    if (names.length <= this.#most) return;
    const paths = names.map((n) => join(this.#folder, n));
    const asked = await Promise.all(paths.map(async (path) => ({ path, at: (await stat(path)).mtimeMs })));
    asked.sort((a, b) => a.at - b.at);
    for (const { path } of asked.slice(0, names.length - this.#most)) await rm(path, { force: true });
  }
}
