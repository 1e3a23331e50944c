import { AsyncLocalStorage } from 'node:async_hooks';
import { randomUUID } from 'node:crypto';
import type { Client } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { announce, type Change } from '../../changes';
import type { Db, Store, Tell } from '../connection';
import { Fault, faultOf } from '../fault';
import { changes } from '../schema';
import { again, patientlyUntil, Unsure } from './again';
import { WriteQueue } from './queue';

/** Nobody has written for so long, ms: the log is folded into the file, so that a copy of the file alone is whole. */
const IDLE_MS = 400;
/** So many changes stay for other servers to hear of; one that was away for longer takes everything as changed. */
const CHANGES_KEPT = 5000;
/** Old ones are taken away once in so many. */
const TIDIED_EVERY = 100;

/** A write that is under way. */
interface Under {
  tx: Db;
  tell: Tell;
}

/** The store over an open client: one write at a time from here, and what each changed is said once it is stored. */
export function storeOver(client: Client, db: Db, path: string | undefined): Store {
  const queue = new WriteQueue();
  const inside = new AsyncLocalStorage<Under>();
  const name = randomUUID();
  const fold = folding(client, queue, path);

  /** One transaction from begin to commit; what it changed is noted in it where other servers read it. */
  async function once<T>(work: (tx: Db, tell: Tell) => Promise<T>): Promise<{ result: T; told: Change[] }> {
    const told: Change[] = [];
    const tell: Tell = (change) => void told.push(change);
    let isWorked = false;
    try {
      const result = await db.transaction(
        async (transaction) => {
          const tx = transaction as unknown as Db;
          const done = await inside.run({ tx, tell }, () => work(tx, tell));
          if (path === undefined) await note(tx, told, name);
          isWorked = true;
          return done;
        },
        { behavior: 'immediate' }
      );
      return { result, told };
    } catch (error) {
      // Everything was done but the last word: whether it was heard cannot be known from here.
      if (isWorked && path === undefined) throw new Unsure('The answer was lost.', { cause: error });
      throw error;
    }
  }

  return {
    db,
    file: path,
    name,
    async write(work) {
      const outer = inside.getStore();
      if (outer) return work(outer.tx, outer.tell);
      const until = patientlyUntil();
      try {
        const { result, told } = await queue.run(() =>
          path === undefined ? again(() => once(work), until) : once(work)
        );
        for (const change of told) announce(change);
        return result;
      } catch (error) {
        throw faultOfWrite(error, path ?? 'of the workshop');
      } finally {
        fold.whenIdle();
      }
    },
    copyTo: (to) =>
      queue.run(async () => {
        await client.execute({ sql: 'VACUUM INTO ?', args: [to] });
      }),
    async close() {
      await fold.end();
      client.close();
    }
  };
}

/** Notes what was changed, for other servers, and takes away what all of them have long heard of. */
async function note(tx: Db, told: readonly Change[], by: string): Promise<void> {
  if (!told.length) return;
  const noted = await tx
    .insert(changes)
    .values(told.map((change) => ({ ...change, by })))
    .returning({ seq: changes.seq });
  const last = noted.at(-1)!.seq;
  if (noted.some(({ seq }) => seq % TIDIED_EVERY === 0))
    await tx.run(sql`DELETE FROM changes WHERE seq <= ${last - CHANGES_KEPT}`);
}

function faultOfWrite(error: unknown, where: string): unknown {
  if (error instanceof Unsure)
    return new Fault(
      'unreachable',
      'The database server went away before it said whether this was stored.',
      'Look whether it is there, then send it again if it is not.'
    );
  return faultOf(error, where) ?? error;
}

/** Folds the log into a file once nobody writes, and when it is closed. */
function folding(client: Client, queue: WriteQueue, path: string | undefined) {
  let idle: ReturnType<typeof setTimeout> | undefined;
  let closed = path === undefined;
  const fold = () =>
    closed ? undefined : client.execute('PRAGMA wal_checkpoint(TRUNCATE)').catch(() => undefined);
  return {
    whenIdle() {
      if (closed) return;
      clearTimeout(idle);
      idle = setTimeout(() => void queue.run(async () => fold()), IDLE_MS);
      idle.unref();
    },
    async end() {
      clearTimeout(idle);
      await queue.idle();
      await fold();
      closed = true;
    }
  };
}
