import { mkdtempSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { KeptPictures } from './kept-pictures';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'kirapen-pictures-'));
});
afterEach(() => rmSync(folder, { recursive: true }));

const bytes = (...of: number[]) => Uint8Array.from(of);

describe('kept pictures', () => {
  it('are found again by another who opens the folder, byte by byte', async () => {
    const there = join(folder, 'made', 'when needed');
    await new KeptPictures(there).keep('abc', bytes(1, 2, 3));
    expect(await new KeptPictures(there).find('abc')).toEqual(bytes(1, 2, 3));
    expect(await new KeptPictures(there).find('abd')).toBeUndefined();
    expect(readdirSync(there)).toEqual(['abc']);
  });

  it('make room for the next: what was asked for longest ago goes first', async () => {
    const kept = new KeptPictures(folder, 3);
    for (const [i, name] of ['a', 'b', 'c'].entries()) {
      await kept.keep(name, bytes(i));
      utimesSync(join(folder, name), i + 1, i + 1);
    }
    expect(await kept.find('a')).toEqual(bytes(0));
    await kept.keep('d', bytes(3));
    expect(readdirSync(folder).sort()).toEqual(['a', 'c', 'd']);
  });

  it('are done without where nothing can be written', async () => {
    const file = join(folder, 'a file');
    writeFileSync(file, '');
    const kept = new KeptPictures(join(file, 'below'));
    await kept.keep('a', bytes(1));
    expect(await kept.find('a')).toBeUndefined();
  });
});
