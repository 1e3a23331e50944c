import { flushSync } from 'svelte';
import { afterFrame } from './after-frame';
import { holdAlive } from './alive';

/** So long is gone on without a pause, ms; then the page is let draw and answer. */
const PIECE = 12;

/**
 * The parts of a large page, one after another, each in a task of its own: opening it never holds up the hand for as
 * long as all of it takes. While a page was just loaded it counts as not yet answering until its last part stands.
 */
export class InTurn {
  #come = $state(0);
  #left = false;

  /**
   * @param parts how many parts come
   * @param before what is fetched and worked out first, a little at each step
   */
  constructor(parts: number, before?: () => Iterator<void> | AsyncIterator<void>) {
    $effect(() => {
      const alive = holdAlive();
      void this.#run(parts, before?.()).finally(alive);
      return () => (this.#left = true);
    });
  }

  /** Whether a part has its turn or had it; the first is 1. */
  reached(part: number): boolean {
    return this.#come >= part;
  }

  /** How many entries of a list have come, so many with each part; all of them after the last. */
  entries(each: number): number {
    return this.#come * each;
  }

  /** Lets the parts come; of a list that is still empty all that will be added has come at once. */
  async #run(parts: number, before: Iterator<void> | AsyncIterator<void> | undefined): Promise<void> {
    await afterFrame();
    for (let done = !before; !done && !this.#left; await afterFrame()) {
      const until = performance.now() + PIECE;
      while (!done && performance.now() < until) done = (await before!.next()).done ?? true;
    }
    for (let part = 1; part <= parts && !this.#left; await afterFrame()) {
      const until = performance.now() + PIECE;
      // As many as are done in a moment: a quick machine needs no pause between them.
      do {
        this.#come = part;
        flushSync();
        part++;
      } while (part <= parts && !this.#left && performance.now() < until);
    }
    this.#come = Infinity;
  }
}
