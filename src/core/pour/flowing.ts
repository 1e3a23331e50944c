import { smoothWay, type Casting, type Content, type SolidBody, type Spot } from '../pattern';
import { pathCopies, type Path, type Place } from './place';

type Point = readonly [number, number];

/** A thing to set in: half its width and half its height, mm; a ball of one matter, or a body of its own. */
export interface SetIn {
  radius: number;
  tall: number;
  /** The nth of several: each lies its own way round. */
  body?(n: number): SolidBody;
  /** Where its foot stands, when that does not follow from how it is set in. */
  from?: number;
  matterAt?(spot: Spot): number;
}

/** One act, or one round of it, as it is done in a casting: how much it pours and what its cups hold. */
export interface Poured {
  /** mm³ for one cavity; 0 for an act that pours nothing. */
  mm3: number;
  content(cupId: string): Content;
  /** A pot's own dry colour, and its density, g/ml. */
  pot(colourantId: string): { content: Content; density: number };
  /** The chamber a step names: its share of the footprint from the left. */
  chamber(id: string): { id: string; from: number; to: number } | undefined;
  /** One of a group’s objects to set in: half its width where it is widest and half its height, mm; undefined where none is kept. */
  object(id: string | undefined): SetIn | undefined;
}

/** A place in mm of a casting's footprint. */
export const spotOf = ({ section }: Casting, { x, y }: Place): { x: number; y: number } => ({
  x: x * section.half.width,
  y: y * section.half.length
});

/** The ways of a path in mm, one a copy round the middle, without corners and kept inside the wall. */
export function waysOf(casting: Casting, path: Path): Point[][] {
  const { half } = casting.section;
  return pathCopies(path, half.length / half.width).map((copy) => {
    const points = copy.map((p): Point => [p.x * half.width, p.y * half.length]);
    return smoothWay(points, path.closed === true);
  });
}
