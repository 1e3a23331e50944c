import { createHash, randomBytes } from 'node:crypto';
import {
  beginSession,
  endSession,
  endSessions,
  findSession,
  findSetting,
  saveSetting,
  touchSession,
  type Store
} from '../database';
import { hashed, isPassphrase, SHORTEST } from './passphrase';
import { Tries } from './tries';

/** The cookie's name, and how long a device that is used stays signed in. */
export const COOKIE = 'kirapen';
export const STAYS_MS = 30 * 86_400_000;
/** A session that is in use is noted no more often than this, and believed for as long without asking the store. */
const NOTED_MS = 60_000;
const SETTING = 'passphrase';

const tries = new Tries();
const believed = new Map<string, number>();
const hashOf = (token: string) => createHash('sha256').update(token).digest('base64url');

/** Whether the workshop has a passphrase. */
export const hasPassphrase = async (store: Store): Promise<boolean> =>
  (await findSetting(store.db, SETTING)) !== undefined;

/** Sets the passphrase and signs everyone out. Throws a sentence where it is too short. */
export async function setPassphrase(store: Store, passphrase: string): Promise<void> {
  if (passphrase.trim().length < SHORTEST) throw new Error(`A passphrase has ${SHORTEST} letters or more.`);
  await saveSetting(store, SETTING, await hashed(passphrase));
  await signOutEverywhere(store);
}

/** Takes the passphrase of the environment, unless it is the one already. */
export async function takePassphrase(store: Store, passphrase: string): Promise<void> {
  const stored = await findSetting(store.db, SETTING);
  if (stored === undefined || !(await isPassphrase(passphrase, stored)))
    await setPassphrase(store, passphrase);
}

/** What came of a try to sign in: a cookie, or how long to wait, ms. */
export type SignedIn = { token: string } | { wait: number } | 'wrong';

/** Tries a passphrase. Slow on purpose, and fewer times the more often it was wrong. */
export async function signIn(
  store: Store,
  passphrase: string,
  address: string,
  now: number
): Promise<SignedIn> {
  const wait = tries.waitOf(address, now);
  if (wait > 0) return { wait };
  // Counted before it is known, so that many tries at once count too.
  tries.wrong(address, now);
  const stored = await findSetting(store.db, SETTING);
  if (stored === undefined || !(await isPassphrase(passphrase, stored))) return 'wrong';
  tries.right(address);
  const token = randomBytes(32).toString('base64url');
  await beginSession(store, hashOf(token), now, now - STAYS_MS);
  return { token };
}

/** Whether a cookie belongs to someone who signed in and has not been away too long. */
export async function isSignedIn(store: Store, token: string | undefined, now: number): Promise<boolean> {
  if (!token) return false;
  const key = hashOf(token);
  if (now - (believed.get(key) ?? -Infinity) < NOTED_MS) return true;
  const seen = await findSession(store.db, key);
  if (seen === undefined || now - seen > STAYS_MS) return false;
  if (now - seen > NOTED_MS) await touchSession(store, key, now);
  believed.set(key, now);
  return true;
}

/** Signs this device out. */
export async function signOut(store: Store, token: string): Promise<void> {
  believed.delete(hashOf(token));
  await endSession(store, hashOf(token));
}

/** Somebody was signed out on another server: who is signed in is asked of the store again. */
export function forgetWhoSignedIn(): void {
  believed.clear();
}

/** Signs every device out. */
export async function signOutEverywhere(store: Store): Promise<void> {
  believed.clear();
  await endSessions(store);
}
