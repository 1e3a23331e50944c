import type { Spot } from '../spot';

/** A disc, mm. */
export interface Disc {
  x: number;
  y: number;
  radius: number;
}

/** Moves a place that lies in a disc, by the disc’s number; one that does not is left where it is. */
export type Move = (disc: number, spot: Spot, weight: number) => void;

/** Squares along each side of what the discs cover together. */
const ACROSS = 32;

/** A disc counts as so much wider, a share, so that rounding never leaves one out. */
const A_LITTLE = 1e-9;

/**
 * Which of many discs may cover a place: a board of squares over all of them, each with the discs that touch it, in order. Of
 * a hundred vortices two or three turn a place; only those are looked at.
 */
export class NearBy {
  /** Where the discs of each square begin in `#discs`, one place more than there are squares. */
  readonly #starts: Int32Array;
  /** Discs by their number, square after square, rising within each. */
  readonly #discs: Int32Array;
  readonly #left: number;
  readonly #top: number;
  readonly #perX: number;
  readonly #perY: number;

  constructor(discs: readonly Disc[]) {
    const wide = discs.map((d) => ({ ...d, radius: d.radius * (1 + A_LITTLE) }));
    this.#left = Math.min(...wide.map((d) => d.x - d.radius));
    this.#top = Math.min(...wide.map((d) => d.y - d.radius));
    this.#perX = ACROSS / Math.max(1e-9, Math.max(...wide.map((d) => d.x + d.radius)) - this.#left);
    this.#perY = ACROSS / Math.max(1e-9, Math.max(...wide.map((d) => d.y + d.radius)) - this.#top);
    const squares = Array.from({ length: ACROSS ** 2 }, (): number[] => []);
    wide.forEach((disc, i) => {
      for (const square of this.#touched(disc)) squares[square]!.push(i);
    });
    this.#starts = new Int32Array(squares.length + 1);
    squares.forEach((own, i) => (this.#starts[i + 1] = this.#starts[i]! + own.length));
    this.#discs = Int32Array.from(squares.flat());
  }

  /** Takes a place through every disc that it comes to, the first disc first; `move` leaves it inside the disc. */
  through(spot: Spot, move: Move, weight: number): void {
    let square = this.#squareAt(spot.x, spot.y);
    if (square < 0) return;
    for (let i = this.#starts[square]!; i < this.#starts[square + 1]!; i++) {
      const disc = this.#discs[i]!;
      move(disc, spot, weight);
      const now = this.#squareAt(spot.x, spot.y);
      if (now === square) continue;
      square = now;
      // On to the first disc here that comes after it.
      i = this.#starts[square]! - 1;
      while (i + 1 < this.#starts[square + 1]! && this.#discs[i + 1]! <= disc) i++;
    }
  }

  /** The same from the last disc to the first. */
  backThrough(spot: Spot, move: Move, weight: number): void {
    let square = this.#squareAt(spot.x, spot.y);
    if (square < 0) return;
    for (let i = this.#starts[square + 1]! - 1; i >= this.#starts[square]!; i--) {
      const disc = this.#discs[i]!;
      move(disc, spot, weight);
      const now = this.#squareAt(spot.x, spot.y);
      if (now === square) continue;
      square = now;
      i = this.#starts[square + 1]!;
      while (i > this.#starts[square]! && this.#discs[i - 1]! >= disc) i--;
    }
  }

  /** The square a place lies in; less than 0 where no disc reaches. */
  #squareAt(x: number, y: number): number {
    const i = Math.floor((x - this.#left) * this.#perX);
    const j = Math.floor((y - this.#top) * this.#perY);
    return i < 0 || j < 0 || i >= ACROSS || j >= ACROSS ? -1 : j * ACROSS + i;
  }

  /** The squares that a disc touches. */
  #touched({ x, y, radius }: Disc): number[] {
    const side = (mm: number, from: number, per: number) =>
      Math.min(ACROSS - 1, Math.max(0, Math.floor((mm - from) * per)));
    const [from, to] = [side(x - radius, this.#left, this.#perX), side(x + radius, this.#left, this.#perX)];
    const [low, high] = [side(y - radius, this.#top, this.#perY), side(y + radius, this.#top, this.#perY)];
    const found: number[] = [];
    for (let j = low; j <= high; j++)
      for (let i = from; i <= to; i++) if (this.#reaches(i, j, { x, y, radius })) found.push(j * ACROSS + i);
    return found;
  }

  /** Whether a disc reaches into a square: by the place of it that lies nearest. */
  #reaches(i: number, j: number, { x, y, radius }: Disc): boolean {
    const nearest = (mm: number, low: number, high: number) => Math.min(high, Math.max(low, mm));
    const dx = x - nearest(x, this.#left + i / this.#perX, this.#left + (i + 1) / this.#perX);
    const dy = y - nearest(y, this.#top + j / this.#perY, this.#top + (j + 1) / this.#perY);
    return dx * dx + dy * dy <= radius * radius;
  }
}
