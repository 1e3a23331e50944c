import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { createClient } from '@libsql/client';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openStore } from './open';
import { placeOf } from './address';

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'kirapen-address-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** What is said where a database cannot be opened: one sentence, one mend. */
async function saidOf(address: string): Promise<string> {
  const opened = openStore(address, 'drizzle');
  const fault = await opened.then(
    async (store) => {
      await store.close();
      return undefined;
    },
    (error: Error & { mend?: string }) => error
  );
  expect(fault?.mend, address).toMatch(/\w.*\.$/);
  expect(fault?.message).toMatch(/^\S.*\.$/);
  return fault!.message;
}

describe('where the database is', () => {
  it.each([
    ['./data/kirapen.db', { path: resolve('data/kirapen.db') }],
    ['file:/tmp/a.db', { path: '/tmp/a.db' }],
    ['C:\\a.db', { path: resolve('C:\\a.db') }],
    ['https://bench.example', { server: 'https://bench.example' }],
    ['libsql://bench.example:8080', { server: 'libsql://bench.example:8080' }]
  ])('%s', (address, place) => expect(placeOf(address)).toEqual(place));

  it.each([
    [':memory:', 'in memory'],
    ['file::memory:', 'in memory'],
    ['postgres://bench/plans', 'another kind'],
    ['mysql://a', 'another kind'],
    ['http://', 'names no server'],
    ['libsql://', 'names no server'],
    ['file:', 'names no file'],
    ['/tmp/a?b.db', 'holds a ?']
  ])('is none of these, and nothing is made of it: %s', async (address, said) => {
    expect(await saidOf(address)).toContain(said);
  });

  it('is no folder, and under no file', async () => {
    expect(await saidOf(folder)).toContain('is a folder');
    writeFileSync(join(folder, 'a file'), '');
    expect(await saidOf(join(folder, 'a file', 'x.db'))).toContain('is a file');
  });

  it('is no database of another program, which stays as it is', async () => {
    const path = join(folder, 'other.db');
    const other = createClient({ url: `file:${path}` });
    await other.execute('CREATE TABLE plans (anything INT)');
    expect(await saidOf(path)).toContain('another program');
    const { rows } = await other.execute("SELECT name FROM sqlite_master WHERE type = 'table'");
    expect(rows.map((r) => r.name)).toEqual(['plans']);
    other.close();
  });

  it('is no server that is not there', async () => {
    // Nobody listens on the first of all ports.
    expect(await saidOf('http://127.0.0.1:1')).toContain('does not answer');
  });

  it('is no server of another kind', async () => {
    const server = createServer((_, response) => response.writeHead(404).end('nothing here'));
    const port = await new Promise<number>((done) =>
      server.listen(0, '127.0.0.1', () => done((server.address() as AddressInfo).port))
    );
    expect(await saidOf(`http://127.0.0.1:${port}`)).toContain('no libSQL server');
    server.closeAllConnections();
    await new Promise((done) => server.close(done));
  });
});
