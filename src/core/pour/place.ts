import { z } from 'zod';
import { signedArea, type Corner } from '../pattern';

const share = z.number().min(-1, 'is outside the cavity').max(1, 'is outside the cavity');

/**
 * A place in a cavity as its open face is drawn: shares of half its extent from the middle, −1 to 1, across to the right
 * and away from you. The same place fits any cavity shape and size.
 */
export const Place = z.object({ x: share, y: share });
export type Place = z.infer<typeof Place>;

/** Most places of one path. */
export const MOST_POINTS = 60;

/** A way over a cavity: through these places, closed into a ring where asked, done so many times evenly round the middle. */
export const Path = z.object({
  points: z.array(Place).min(1, 'needs a place').max(MOST_POINTS, `has more than ${MOST_POINTS} places`),
  closed: z.boolean().optional(),
  /** Copies turned about the middle, this one counted. */
  round: z.number().int().min(1).max(36).optional()
});
export type Path = z.infer<typeof Path>;

export const MIDDLE: Place = { x: 0, y: 0 };
/** Places nearer to the middle than this are called it. */
const NEAR = 0.12;

/** A place in words: “the middle”, “the far left”, “the right”. */
export function placeWords({ x, y }: Place): string {
  if (Math.hypot(x, y) < NEAR) return 'the middle';
  const away = Math.abs(y) < Math.abs(x) / 3 ? '' : aside(y, 'far', 'near');
  const side = Math.abs(x) < Math.abs(y) / 3 ? '' : aside(x, 'right', 'left');
  return `the ${[away, side || 'side'].filter(Boolean).join(' ')}`;
}

/** Where something is done: “in the middle”, “at the far left”. */
export function atPlace(place: Place): string {
  const words = placeWords(place);
  return `${words === 'the middle' ? 'in' : 'at'} ${words}`;
}

const aside = (v: number, plus: string, minus: string) => (v > 0 ? plus : minus);

/** A path in words: “a ring”, “6 lines round the middle”, “a line from the left to the right”. */
export function pathWords(path: Path): string {
  const [first, last] = [path.points[0]!, path.points.at(-1)!];
  const many = (path.round ?? 1) > 1;
  if (path.closed) return many ? `${path.round} rings round the middle` : 'a ring';
  if (path.points.length === 1) return many ? `${path.round} places round the middle` : placeWords(first);
  if (many) return `${path.round} lines round the middle`;
  return `a line from ${placeWords(first)} to ${placeWords(last)}`;
}

/** Every place of a path, its turned copies included: one list a copy. `aspect` is length over width of the cavity. */
export function pathCopies(path: Path, aspect = 1): Place[][] {
  const n = path.round ?? 1;
  return Array.from({ length: n }, (_, i) => {
    const turn = (2 * Math.PI * i) / n;
    return path.points.map((p) => turned(p, turn, aspect));
  });
}

/** A place turned about the middle, in a cavity `aspect` times as long as wide. */
function turned({ x, y }: Place, by: number, aspect: number): Place {
  const [sin, cos] = [Math.sin(by), Math.cos(by)];
  return { x: x * cos - y * aspect * sin, y: (x * sin) / aspect + y * cos };
}

/** How much a closed path encloses, mm², copies included, in a cavity of these half extents, mm. */
export function pathArea(path: Path, half: { width: number; length: number }): number {
  const corners = path.points.map((p): Corner => [p.x * half.width, p.y * half.length]);
  return Math.abs(signedArea(corners)) * (path.round ?? 1);
}

/** How long a path is, mm, copies included, in a cavity of these half extents, mm. */
export function pathLength(path: Path, half: { width: number; length: number }): number {
  const closed = path.closed ? [path.points[0]!] : [];
  const points = [...path.points, ...closed].map((p) => [p.x * half.width, p.y * half.length] as const);
  const own = points.slice(1).reduce((s, b, i) => {
    const a = points[i]!;
    return s + Math.hypot(b[0] - a[0], b[1] - a[1]);
  }, 0);
  return own * (path.round ?? 1);
}

/** A path whose place nearest to another is moved there. */
export function movedTo(path: Path, to: Place): Path {
  const far = (p: Place) => Math.hypot(p.x - to.x, p.y - to.y);
  const nearest = path.points.reduce((n, p, i) => (far(p) < far(path.points[n]!) ? i : n), 0);
  return { ...path, points: path.points.with(nearest, to) };
}
