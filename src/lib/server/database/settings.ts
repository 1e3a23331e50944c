import { eq, lt } from 'drizzle-orm';
import type { Db, Store } from './connection';
import { sessions, settings } from './schema';

/** A setting of the workshop, or undefined. */
export async function findSetting(db: Db, name: string): Promise<string | undefined> {
  const [row] = await db.select({ value: settings.value }).from(settings).where(eq(settings.name, name));
  return row?.value;
}

/** Keeps a setting. */
export async function saveSetting(store: Store, name: string, value: string): Promise<void> {
  const row = { name, value };
  await store.write((tx) =>
    tx.insert(settings).values(row).onConflictDoUpdate({ target: settings.name, set: row })
  );
}

/** Notes that someone signed in; sessions from before `oldest` end. */
export async function beginSession(store: Store, token: string, now: number, oldest: number): Promise<void> {
  await store.write(async (tx) => {
    await tx.delete(sessions).where(lt(sessions.seenAt, oldest));
    await tx.insert(sessions).values({ token, begunAt: now, seenAt: now });
  });
}

/** When a session was last seen, or undefined. */
export async function findSession(db: Db, token: string): Promise<number | undefined> {
  const [row] = await db.select({ seenAt: sessions.seenAt }).from(sessions).where(eq(sessions.token, token));
  return row?.seenAt;
}

/** Notes that a session is still used. */
export async function touchSession(store: Store, token: string, now: number): Promise<void> {
  await store.write((tx) => tx.update(sessions).set({ seenAt: now }).where(eq(sessions.token, token)));
}

/** Ends every session, on every device. */
export async function endSessions(store: Store): Promise<void> {
  await store.write(async (tx, tell) => {
    await tx.delete(sessions);
    tell({ kind: 'sessions', id: '', revision: 0 });
  });
}

/** Ends one session. */
export async function endSession(store: Store, token: string): Promise<void> {
  await store.write(async (tx, tell) => {
    await tx.delete(sessions).where(eq(sessions.token, token));
    tell({ kind: 'sessions', id: '', revision: 0 });
  });
}
