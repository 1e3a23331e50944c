import type { RunTaught } from './run-taught';
import { TAUGHT_VERSION, taughtBy } from './run-taught';
import {
  eventsOf,
  forgetSummary,
  keepSummaries,
  keptSummaries,
  listRuns,
  readRuns,
  runsNow,
  runsWithoutSummary,
  type Db,
  type Store
} from '../database';

/** Runs that are worked out in one go, so that whoever asks meanwhile is answered between. */
const AT_ONCE = 10;

/**
 * What every run teaches. A run that is finished never changes what it teaches, so that it is worked out once and kept;
 * one that goes on is folded anew whenever it is asked.
 */
class TaughtByRuns {
  readonly #finished = new Map<string, RunTaught>();
  #read = false;
  /** Rises with every change, so that what was reckoned from it is known to be old. */
  #version = 0;
  #listed: { version: number; all: readonly RunTaught[] } = { version: -1, all: [] };

  /** All of it, latest first: runs that are finished, and those that go on. */
  async all(db: Db): Promise<RunTaught[]> {
    const { finished, open } = await this.apart(db);
    return latestFirst([...open, ...finished]);
  }

  /** The same apart; the finished ones are the same list as long as none is added: its version says so. */
  async apart(db: Db): Promise<{ finished: readonly RunTaught[]; open: RunTaught[]; version: number }> {
    if (!this.#read) {
      for (const [id, body] of await keptSummaries(db, TAUGHT_VERSION)) this.#learn(id, JSON.parse(body));
      this.#read = true;
    }
    const { count, open } = await runsNow(db);
    if (count - open.length !== this.#finished.size || open.some((id) => this.#finished.has(id)))
      await this.#learnAnew(db);
    const { good } = await readRuns(db, open);
    const going = await Promise.all(good.map(async (run) => taughtBy(run, await eventsOf(db, run.id))));
    return { finished: this.#inOrder(), open: going, version: this.#version };
  }

  /** Works out and keeps what finished runs teach, where it is not kept yet: a large record is slow to learn from only once. */
  async keepAll(store: Store): Promise<void> {
    const missing = await runsWithoutSummary(store.db, TAUGHT_VERSION);
    for (let i = 0; i < missing.length; i += AT_ONCE) {
      const { good } = await readRuns(store.db, missing.slice(i, i + AT_ONCE));
      const bodies = [];
      for (const run of good) {
        const taught = taughtBy(run, await eventsOf(store.db, run.id));
        this.#learn(run.id, taught);
        bodies.push({ runId: run.id, body: JSON.stringify(taught) });
      }
      await keepSummaries(store, TAUGHT_VERSION, bodies);
      await new Promise((next) => setImmediate(next));
    }
  }

  /** Forgets what a run taught, when something is added to it after its finish. */
  async forget(store: Store, runId: string): Promise<void> {
    this.#version++;
    if (this.#finished.delete(runId) || this.#read) await forgetSummary(store, runId);
  }

  /** Another server added something to a run: what it taught is reckoned anew when it is asked next. */
  drop(runId: string): void {
    if (this.#finished.delete(runId)) this.#version++;
  }

  /** Forgets everything: another database is in place. */
  clear(): void {
    this.#finished.clear();
    this.#version++;
    this.#read = false;
  }

  #learn(id: string, taught: RunTaught): void {
    this.#finished.set(id, taught);
    this.#version++;
  }

  #inOrder(): readonly RunTaught[] {
    if (this.#listed.version !== this.#version)
      this.#listed = { version: this.#version, all: latestFirst([...this.#finished.values()]) };
    return this.#listed.all;
  }

  /** Learns what is not known yet and forgets what is gone. */
  async #learnAnew(db: Db): Promise<void> {
    const rows = (await listRuns(db)).filter((r) => r.finishedAt !== null);
    const there = new Set(rows.map((r) => r.id));
    for (const id of this.#finished.keys())
      if (!there.has(id)) {
        this.#finished.delete(id);
        this.#version++;
      }
    const missing = rows.flatMap((r) => (this.#finished.has(r.id) ? [] : [r.id]));
    const { good } = await readRuns(db, missing);
    for (const run of good) this.#learn(run.id, taughtBy(run, await eventsOf(db, run.id)));
  }
}

/** In one order however they came to be known, so that sums are the same to the last digit. */
export const latestFirst = (all: RunTaught[]): RunTaught[] => all.sort((a, b) => b.point.at - a.point.at);

/** What the runs of the database that is open teach. */
export const taughtByRuns = new TaughtByRuns();
