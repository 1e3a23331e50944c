/** What is seen of a matter, as a share. */
export interface SeenOf {
  matter: number;
  share: number;
}

/** Colours of a picture by numbers, given out as they are met: the same look, the same number. */
export class Codes {
  /** #rrggbb of each. */
  readonly colours: string[] = [];
  /** The matter in front. */
  readonly fronts: number[] = [];
  /** What is seen of each matter, one behind the other: shares that sum to 1. */
  readonly seen: (readonly SeenOf[])[] = [];
  /** The code that each counts as: itself, or the one that it only shines on, or lies over by a guess. */
  readonly plain: number[] = [];
  readonly #known = new Map<string, number>();

  /** The code of a look, made where it is met for the first time. */
  of(
    key: string,
    made: () => { colour: string; front: number; seen: readonly SeenOf[]; plain?: number }
  ): number {
    const before = this.#known.get(key);
    if (before !== undefined) return before;
    const { colour, front, seen, plain = this.colours.length } = made();
    this.#known.set(key, this.colours.length);
    this.fronts.push(front);
    this.seen.push(seen);
    this.plain.push(plain);
    return this.colours.push(colour) - 1;
  }

  /** Another colour of what counts as a code that is there already; of nothing where that is no code. */
  like(code: number, key: string, colour: () => string): number {
    return this.of(`${key} ${code}`, () => ({
      colour: colour(),
      front: this.fronts[code] ?? -1,
      seen: this.seen[code] ?? [],
      ...(code < 0 ? {} : { plain: code })
    }));
  }
}
