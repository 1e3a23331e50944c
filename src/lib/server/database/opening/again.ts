import { setTimeout as wait } from 'node:timers/promises';
import { codesOf } from '../fault';

/** So long a write is tried again while other servers write, from when it was asked for, ms. */
const PATIENCE_MS = 12_000;
/** Until when a write that is asked for now is tried, ms. */
export const patientlyUntil = (): number => Date.now() + PATIENCE_MS;
/** The first pause, and the longest, ms: each is twice the one before, and none exactly, so that two do not meet again. */
const FIRST_MS = 10;
const LONGEST_MS = 500;

/** Waits so long, ms. */
export const pause = (ms: number): Promise<void> => wait(ms);

/** Another had the database just then, or its connection was lost before anything was stored. */
const PASSES =
  /SQLITE_BUSY|SQLITE_LOCKED|STREAM_EXPIRED|TRANSACTION_CLOSED|HRANA_CLOSED|ECONNREFUSED|ECONNRESET|EPIPE|UND_ERR|TimeoutError|fetch failed|HTTP status 5\d\d/;

/** What is thrown where it is not known whether a write was stored. */
export class Unsure extends Error {}

/**
 * Does a write on a database that others write to as well: again from its beginning while one of them is in its way.
 *
 * @param until when it is given up: a write that waited for others behind a database that is away waits no longer than they
 * @throws what was wrong, where waiting does not mend it, or an `Unsure` at once: what may be stored is not done twice
 */
export async function again<T>(write: () => Promise<T>, until: number): Promise<T> {
  for (let longest = FIRST_MS; ; longest = Math.min(LONGEST_MS, longest * 2)) {
    try {
      return await write();
    } catch (error) {
      if (error instanceof Unsure || !PASSES.test(codesOf(error)) || Date.now() > until) throw error;
      await pause(longest * (0.5 + Math.random() / 2));
    }
  }
}
