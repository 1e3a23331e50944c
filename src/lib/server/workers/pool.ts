import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { Piscina, queueOptionsSymbol, type TaskQueue } from 'piscina';
import { Fault } from '../database';
import type { JobName, Jobs, OrderToPlace } from './jobs';

/** How long each kind of work may take, waiting included, seconds: many times what the largest accepted takes. */
const SECONDS: Record<JobName, number> = {
  compute: 20,
  freeze: 20,
  tiles: 30,
  ahead: 30,
  days: 30,
  match: 20,
  picture: 30,
  sheet: 30,
  buyer: 30,
  record: 60,
  copy: 120,
  archive: 120,
  readArchive: 120,
  readBackup: 120
};
/** So many may wait; the next is told to come back. */
const QUEUE = 64;

/** Somebody stands at the bench with the parts weighed out: this waits for nothing else, and has a thread of its own. */
const URGENT: ReadonlySet<JobName> = new Set(['freeze', 'copy', 'readBackup', 'readArchive']);
/** Which work goes before which where several wait: what a page shows before what takes long anyway. */
const RANK: Partial<Record<JobName, number>> = { days: 2, match: 2, record: 3, archive: 3 };
const USUAL_RANK = 1;

type Waiting = Parameters<TaskQueue['push']>[0];

/** What waits for a thread: the least rank first, and of one rank what came first. */
class ByRank implements TaskQueue {
  readonly #waiting: Waiting[] = [];

  get size(): number {
    return this.#waiting.length;
  }

  shift(): Waiting | null {
    return this.#waiting.shift() ?? null;
  }

  push(task: Waiting): void {
    const rank = rankOf(task);
    const at = this.#waiting.findIndex((t) => rankOf(t) > rank);
    this.#waiting.splice(at < 0 ? this.#waiting.length : at, 0, task);
  }

  /** Back again, before the others of its rank. */
  unshift(task: Waiting): void {
    const rank = rankOf(task);
    const at = this.#waiting.findIndex((t) => rankOf(t) >= rank);
    this.#waiting.splice(at < 0 ? this.#waiting.length : at, 0, task);
  }

  remove(task: Waiting): void {
    const at = this.#waiting.indexOf(task);
    if (at >= 0) this.#waiting.splice(at, 1);
  }
}

const rankOf = (task: Waiting): number =>
  (task[queueOptionsSymbol] as { rank?: number } | null)?.rank ?? USUAL_RANK;

/** What a thread runs: read when the first is begun, since tests build their own. */
const built = (): string => join(process.env.KIRAPEN_HOME ?? process.cwd(), 'build/workers.js');

type Outcome<N extends JobName> = Awaited<ReturnType<Jobs[N]>>;

let pool: Piscina | undefined;
let urgent: Piscina | undefined;

/** The threads: begun with the first order, one less than the machine's cores so that the pages keep one. */
function threads(): Piscina {
  pool ??= new Piscina({
    filename: built(),
    minThreads: 1,
    maxThreads: Math.max(1, Math.min(3, availableParallelism() - 1)),
    maxQueue: QUEUE,
    taskQueue: new ByRank(),
    // What found no thread free waits with the others, not before them.
    stricterFIFO: true,
    idleTimeout: 60_000
  });
  return pool;
}

/** A thread for what waits for nothing else. */
function urgentThread(): Piscina {
  urgent ??= new Piscina({
    filename: built(),
    minThreads: 0,
    maxThreads: 1,
    maxQueue: QUEUE,
    idleTimeout: 600_000
  });
  return urgent;
}

/**
 * Does a piece of work in a thread of its own, so that nobody waits for someone else’s sum.
 * @param seconds the time it may take, waiting included
 * @throws Fault `took-too-long` past its time (the work is ended), or `too-busy` where too many wait already
 */
export async function inThread<N extends JobName>(
  job: N,
  input: Parameters<Jobs[N]>[0],
  seconds = SECONDS[job]
): Promise<Outcome<N>> {
  // While developing there is no built file for a thread to run.
  if (import.meta.env.DEV) return runHere({ job, input });
  const signal = AbortSignal.timeout(seconds * 1000);
  const order: OrderToPlace<N> = { job, input };
  const ranked = { ...order, [queueOptionsSymbol]: { rank: RANK[job] ?? USUAL_RANK } };
  const at = URGENT.has(job) ? urgentThread() : threads();
  try {
    return (await at.run(ranked, { signal })) as Outcome<N>;
  } catch (error) {
    if (signal.aborted)
      throw new Fault(
        'took-too-long',
        `This was given up after ${seconds} seconds.`,
        'Try it with less at once, or when the server has less to do.'
      );
    if (error instanceof Error && /queue/i.test(error.message))
      throw new Fault('too-busy', 'The server has too much to do just now.', 'Try again in a minute.');
    throw error;
  }
}

async function runHere<N extends JobName>(order: OrderToPlace<N>): Promise<Outcome<N>> {
  const { default: run } = await import('./thread');
  return (await run(order)) as Outcome<N>;
}

/** Ends the threads; work that is under way is given up. */
export async function endThreads(): Promise<void> {
  const ending = [pool, urgent];
  [pool, urgent] = [undefined, undefined];
  await Promise.all(ending.map((p) => p?.destroy()));
}
