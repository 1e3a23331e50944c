import { asc, gt, sql } from 'drizzle-orm';
import { EVERYTHING, type Change } from '../changes';
import type { Store } from './connection';
import { changes } from './schema';

/** So many changes are told one by one; more at once, and everything is taken as changed. */
const ONE_BY_ONE = 500;

/**
 * Reads what other servers wrote to the database of this one, by the numbers that each of their writes left in it. Nothing is
 * asked of a file: only this server writes it.
 */
export class WrittenElsewhere {
  /** The last number that was read; undefined before the first look, when nothing is known that could be old. */
  #last: number | undefined;
  #looking: Promise<void> | undefined;

  constructor(
    private readonly store: Store,
    private readonly told: (change: Change) => void
  ) {}

  /** Looks once; who asks while somebody looks waits for a look that begins after that one. */
  async look(): Promise<void> {
    if (this.store.file !== undefined) return;
    await this.#looking;
    this.#looking ??= this.#read().finally(() => (this.#looking = undefined));
    await this.#looking;
  }

  async #read(): Promise<void> {
    const [bounds] = await this.store.db.all<{ first: number | null; last: number | null }>(
      sql`SELECT min(seq) AS first, max(seq) AS last FROM changes`
    );
    const { first, last } = { first: Number(bounds?.first ?? 0), last: Number(bounds?.last ?? 0) };
    const from = this.#last;
    this.#last = last;
    if (from === undefined || last === from) return;
    // A number that went back is another database; one that is gone was heard by nobody here.
    if (last < from || first > from + 1 || last - from > ONE_BY_ONE) return this.told(EVERYTHING);
    const rows = await this.store.db
      .select()
      .from(changes)
      .where(gt(changes.seq, from))
      .orderBy(asc(changes.seq));
    this.#last = Math.max(last, ...rows.map((r) => r.seq));
    for (const { by, kind, id, revision } of rows)
      if (by !== this.store.name) this.told({ kind, id, revision });
  }
}
