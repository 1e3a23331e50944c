import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openStore, type Store } from '../database';
import { findSetting } from '../database';
import {
  hasPassphrase,
  isInvited,
  isLoopback,
  isOurs,
  isSignedIn,
  setPassphrase,
  signIn,
  signOut,
  signOutEverywhere,
  STAYS_MS
} from '.';
import { Tries } from './tries';

describe('whose request it is', () => {
  it.each([
    ['127.0.0.1', true],
    ['127.3.2.1', true],
    ['localhost', true],
    ['::1', true],
    ['[::1]', true],
    ['0.0.0.0', false],
    ['192.168.1.5', false],
    ['localhost.example', false]
  ])('listening on %s, only this machine: %s', (host, own) => expect(isLoopback(host)).toBe(own));

  it.each([
    ['localhost:5180', '127.0.0.1', undefined, true],
    ['[::1]:5180', '127.0.0.1', undefined, true],
    ['evil.example', '127.0.0.1', undefined, false],
    ['evil.example:5180', '0.0.0.0', undefined, false],
    ['127.0.0.1.evil.example', '0.0.0.0', undefined, false],
    ['192.168.1.5:5180', '0.0.0.0', undefined, true],
    ['192.168.1.5:5180', '127.0.0.1', undefined, false],
    ['bench.example', '0.0.0.0', 'shop.example, bench.example', true],
    ['', '0.0.0.0', undefined, false],
    [null, '127.0.0.1', undefined, false]
  ])('Host %s on %s with %s: %s', (host, listening, named, ours) =>
    expect(isOurs(host, listening, named)).toBe(ours)
  );

  const url = (path: string) => new URL(`http://127.0.0.1:5180${path}`);
  const invited = (path: string, headers: Record<string, string>, method = 'GET') =>
    isInvited(new Request(url(path), { method, headers }), url(path));
  const elsewhere = { 'sec-fetch-site': 'cross-site' };
  const visit = { ...elsewhere, 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'document' };

  it.each([
    ['a program', '/api/v1/plans', {}, true],
    ['its own page', '/api/v1/plans', { 'sec-fetch-site': 'same-origin' }, true],
    ['a typed address', '/plans', { 'sec-fetch-site': 'none' }, true],
    ['a link elsewhere', '/plans', visit, true],
    ['a link elsewhere to data', '/api/v1/plans', visit, false],
    ['a script elsewhere', '/api/v1/plans', { ...elsewhere, 'sec-fetch-mode': 'no-cors' }, false],
    ['a frame elsewhere', '/plans', { ...visit, 'sec-fetch-dest': 'iframe' }, false],
    ['another origin', '/plans', { origin: 'http://evil.example' }, false],
    ['another port here', '/plans', { origin: 'http://127.0.0.1:9999' }, false],
    ['an origin that is hidden', '/plans', { origin: 'null' }, false]
  ])('%s', (_, path, headers, taken) => expect(invited(path, headers)).toBe(taken));

  it('lets no form elsewhere send anything', () => {
    expect(invited('/plans', visit, 'POST')).toBe(false);
  });
});

describe('wrong tries', () => {
  it('make an address wait after five, for a quarter of an hour from the first', () => {
    const tries = new Tries();
    for (let i = 0; i < 5; i++) {
      expect(tries.waitOf('a', i)).toBe(0);
      tries.wrong('a', i);
    }
    expect(tries.waitOf('a', 5)).toBe(15 * 60_000 - 5);
    expect(tries.waitOf('b', 5)).toBe(0);
    expect(tries.waitOf('a', 15 * 60_000)).toBe(0);
  });

  it('make everyone wait after forty from many addresses, and one right clears only its own', () => {
    const tries = new Tries();
    for (let i = 0; i < 40; i++) tries.wrong(`address ${i}`, 0);
    expect(tries.waitOf('new', 1)).toBeGreaterThan(0);
    tries.right('address 1');
    expect(tries.waitOf('new', 1)).toBe(0);
  });
});

describe('signing in', () => {
  let folder: string;
  let store: Store;
  beforeAll(async () => {
    folder = mkdtempSync(join(tmpdir(), 'kirapen-door-'));
    store = await openStore(join(folder, 'door.db'), 'drizzle');
  });
  afterAll(async () => {
    await store.close();
    rmSync(folder, { recursive: true });
  });
  const enter = async (address = 'here') => {
    const done = await signIn(store, 'heron by the sluice', address, 1000);
    if (typeof done !== 'object' || !('token' in done)) throw new Error(JSON.stringify(done));
    return done.token;
  };

  it('wants ten letters, and keeps no passphrase as it is', async () => {
    expect(await hasPassphrase(store)).toBe(false);
    await expect(setPassphrase(store, 'short')).rejects.toThrow('10 letters');
    await setPassphrase(store, 'heron by the sluice');
    expect(await findSetting(store.db, 'passphrase')).not.toContain('heron');
  });

  it('takes the right one, and no other', async () => {
    expect(await signIn(store, 'heron by the sluicf', 'there', 1000)).toBe('wrong');
    expect(await isSignedIn(store, await enter(), 2000)).toBe(true);
    expect(await isSignedIn(store, 'made up', 2000)).toBe(false);
    expect(await isSignedIn(store, undefined, 2000)).toBe(false);
  });

  it('makes a guesser wait, even with the right one', async () => {
    for (let i = 0; i < 5; i++) await signIn(store, `guess number ${i}`, 'guesser', 1000);
    expect(await signIn(store, 'heron by the sluice', 'guesser', 1001)).toHaveProperty('wait');
  });

  it('ends with time, with signing out, everywhere at once, and with another passphrase', async () => {
    const late = await enter();
    expect(await isSignedIn(store, late, 1000 + STAYS_MS + 1)).toBe(false);
    const [one, two] = [await enter(), await enter()];
    await signOut(store, one);
    expect(await isSignedIn(store, one, 2000)).toBe(false);
    expect(await isSignedIn(store, two, 2000)).toBe(true);
    await signOutEverywhere(store);
    expect(await isSignedIn(store, two, 2000)).toBe(false);
    const three = await enter();
    await setPassphrase(store, 'another passphrase');
    expect(await isSignedIn(store, three, 2000)).toBe(false);
  });
});
