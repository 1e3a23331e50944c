/**
 * One queue for all writes. SQLite has one writer; the client's connections would otherwise fail busy, and a
 * long busy timeout freezes the event loop.
 */
export class WriteQueue {
  #tail: Promise<unknown> = Promise.resolve();

  /** Runs a write after all writes before it; a failed write does not hold up the next. */
  run<T>(write: () => Promise<T>): Promise<T> {
    const result = this.#tail.then(write);
    this.#tail = result.catch(() => undefined);
    return result;
  }

  /** Resolves when everything queued so far is written. */
  async idle(): Promise<void> {
    await this.#tail;
  }
}
