import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';

/** scrypt's cost, block size and lanes: about 32 MB and a tenth of a second for each try. */
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 };
const LENGTH = 32;
/** Shortest passphrase that is taken. */
export const SHORTEST = 10;

const derive = (passphrase: string, salt: Buffer): Promise<Buffer> =>
  new Promise((done, failed) =>
    scrypt(passphrase.normalize('NFKC'), salt, LENGTH, COST, (error, key) =>
      error ? failed(error) : done(key)
    )
  );

/** What is stored of a passphrase: the way it was hashed, its salt and its hash. */
export async function hashed(passphrase: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await derive(passphrase, salt);
  return `scrypt$${salt.toString('base64url')}$${key.toString('base64url')}`;
}

/** Whether a passphrase is the one that was stored. */
export async function isPassphrase(passphrase: string, stored: string): Promise<boolean> {
  const [way, salt, key] = stored.split('$');
  if (way !== 'scrypt' || !salt || !key) return false;
  const wanted = Buffer.from(key, 'base64url');
  const given = await derive(passphrase, Buffer.from(salt, 'base64url'));
  return wanted.length === given.length && timingSafeEqual(wanted, given);
}
