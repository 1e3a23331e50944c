/** How long requests that are at work may take to end before a change of everything is given up, ms. */
const PATIENCE_MS = 20_000;

/**
 * Lets many work at once, or one alone: while the whole database is put in place, nobody else reads or writes it. Who comes
 * meanwhile waits.
 */
export class Gate {
  #inside = 0;
  #alone: Promise<void> | undefined;
  #left: (() => void) | undefined;

  /** Comes in, after whoever is alone; returns what goes out again. */
  async enter(): Promise<() => void> {
    while (this.#alone) await this.#alone;
    this.#inside++;
    let gone = false;
    return () => {
      if (gone) return;
      gone = true;
      this.#inside--;
      if (!this.#inside) this.#left?.();
    };
  }

  /**
   * Works alone: waits for all who are inside, and lets nobody in until it is done. `own` of them are the caller's.
   * @returns what came of it, or 'busy' where somebody is alone already or those inside do not end
   */
  async alone<T>(work: () => Promise<T>, own = 0): Promise<T | 'busy'> {
    if (this.#alone) return 'busy';
    let open: () => void = () => undefined;
    this.#alone = new Promise((done) => (open = done));
    try {
      if (!(await this.#emptied(own))) return 'busy';
      return await work();
    } finally {
      this.#alone = undefined;
      open();
    }
  }

  /** Waits until only so many are inside; whether they are. */
  async #emptied(own: number): Promise<boolean> {
    const until = Date.now() + PATIENCE_MS;
    while (this.#inside > own && Date.now() < until)
      await new Promise<void>((done) => {
        this.#left = done;
        setTimeout(done, 25);
      });
    this.#left = undefined;
    return this.#inside <= own;
  }
}
