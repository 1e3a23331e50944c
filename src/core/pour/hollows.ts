import { noiseFrom, within, type Casting, type Corner } from '../pattern';
import { pathCopies, type Path } from './place';

/** How much of a hollow keeps what was rubbed into it, and how much is left beside it, wiped and not. */
const IN_HOLLOWS = 0.93;
const LEFT = { yes: 0.04, no: 0.55 } as const;

/** Colour that stays in the hollows of the face that touched the mould, over all that was dusted there before. */
export function intoHollows(
  casting: Casting,
  {
    hollows,
    colourantId = '',
    wiped
  }: { hollows: Path; colourantId?: string | undefined; wiped: 'yes' | 'no' }
): void {
  const { half } = casting.section;
  const outlines = pathCopies(hollows, half.length / half.width).map((copy) =>
    copy.map((p): Corner => [p.x * half.width, p.y * half.length])
  );
  const inside = (x: number, y: number) => outlines.some((outline) => within(outline, x, y));
  casting.filmOver({ colourantId, cover: (x, y) => (inside(x, y) ? IN_HOLLOWS : LEFT[wiped]) });
}

/** A relief that stands for one nobody has traced: how far apart its grooves wind and how wide they are, by the face's size. */
const APART = 0.16;
const WIDE = 0.016;
/** So much of a groove's width its edge takes: a wiped stain ends nowhere at once. */
const EDGE = 0.6;
/** The fine grooves between, beside the large ones. */
const FINE = { apart: 0.42, wide: 0.45 } as const;

/**
 * The same on a relief that only stands for the mould's own: grooves that wind over the face, and fine ones between. The picture
 * says that it is guessed.
 */
export function intoAnyRelief(
  casting: Casting,
  { colourantId = '', wiped, seed }: { colourantId?: string | undefined; wiped: 'yes' | 'no'; seed: number }
): void {
  const size = Math.sqrt(casting.section.area);
  const large = windings(seed, APART * size);
  const fine = windings(seed + 1, FINE.apart * APART * size);
  const deep = (mm: number, wide: number) => Math.min(1, Math.max(0, (1 - mm / (wide * size)) / EDGE));
  const cover = (x: number, y: number) => {
    const depth = Math.max(deep(large(x, y), WIDE), 0.8 * deep(fine(x, y), FINE.wide * WIDE));
    return LEFT[wiped] + (IN_HOLLOWS - LEFT[wiped]) * depth;
  };
  casting.filmOver({ colourantId, cover, guessed: true });
}

/** How far a place lies from the nearest of some winding lines so far apart, mm: where a field of hills passes their mean height. */
function windings(seed: number, apart: number): (x: number, y: number) => number {
  const noise = noiseFrom(seed);
  // Two fields turned against each other: the lattice of one alone would be seen.
  const height = (x: number, y: number) =>
    noise(0.8 * x - 0.6 * y, 0.6 * x + 0.8 * y, 0.3) + 0.7 * noise(1.2 * x + 1.1 * y, 1.2 * y - 1.1 * x, 0.8);
  const step = 0.05;
  return (x, y) => {
    const [u, v] = [x / apart, y / apart];
    const here = height(u, v);
    const steep = Math.hypot(height(u + step, v) - here, height(u, v + step) - here) / step;
    return (apart * Math.abs(here)) / Math.max(0.35, steep);
  };
}
