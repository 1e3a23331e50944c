/** Wrong passphrases that one address, and all addresses together, may try within the time. */
const MOST_TRIES = { address: 5, all: 40 };
const WITHIN_MS = 15 * 60_000;

/** Counts wrong tries, so that nobody can guess at leisure. Time is passed in. */
export class Tries {
  #wrong: { address: string; at: number }[] = [];

  /** How long, ms, an address has to wait before its next try; 0 for none. */
  waitOf(address: string, now: number): number {
    this.#wrong = this.#wrong.filter((w) => now - w.at < WITHIN_MS);
    const own = this.#wrong.filter((w) => w.address === address);
    const until = (list: readonly { at: number }[], most: number) =>
      list.length < most ? 0 : list[list.length - most]!.at + WITHIN_MS - now;
    return Math.max(until(own, MOST_TRIES.address), until(this.#wrong, MOST_TRIES.all));
  }

  wrong(address: string, now: number): void {
    this.#wrong.push({ address, at: now });
  }

  /** A right one clears the address. */
  right(address: string): void {
    this.#wrong = this.#wrong.filter((w) => w.address !== address);
  }
}
