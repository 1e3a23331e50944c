import { EMPTY, type Prism, type Spot } from '../pattern';
import { paintOf, type Film, type Paint, type Showing } from './paint';
import type { Palette } from '../plan/looks/looks';
import type { ResolvedPlan } from '../plan/resolve';
import { matterWithin, type Traced } from './traced';
import { unrolled } from './wall';

/** A face to look at: the mould's side, the open side, the wall laid out flat, or a cut straight down through it. */
export type Face = { kind: 'mould face' } | { kind: 'open face' } | { kind: 'wall' } | CutFace | Plane;

/** A cut: its line by a heading from the right, degrees, and how far to the left of the middle it passes, mm. */
export interface CutFace {
  kind: 'cut';
  heading: number;
  off: number;
}

type Vector = readonly [number, number, number];

/** Any plane: its lower left corner in the cavity, mm from the middle and from the mould face, and its two sides. */
export interface Plane {
  kind: 'plane';
  at: Vector;
  along: Vector;
  up: Vector;
}

/** The picture of a face: how large it is, mm, and what is seen at each place. */
export interface DrawnFace {
  width: number;
  height: number;
  /** The code of what is seen, at shares of the sides from the upper left; −1 outside the piece. */
  sample(x: number, y: number): number;
  /** The spot of the prism in front at a place; undefined outside the piece. */
  spotAt(x: number, y: number): Spot | undefined;
  paint: Paint;
}

/** Where the sight goes on from a place of a face into the piece: the spot so many mm behind it. */
type Sight = (mm: number) => Spot | undefined;

/** Depths at which what lies behind a face is looked at, mm; each stands for the stretch up to the next. */
const DEPTHS = [0, 0.6, 1.8, 5, 14] as const;
/** So far inside the wall or under the surface a face is looked at, as a share of the height there is: on it is neither. */
const INSIDE = 1e-7;

/** A face of a piece as it will be seen: the mould face mirrored, since it is turned over to be looked at. */
export function drawnFace(
  plan: ResolvedPlan,
  traced: Traced,
  { palette, showing = 'dry' }: { palette: Palette; showing?: Showing | undefined },
  face: Face
): DrawnFace {
  // A cut is looked at, not through.
  const behind = showing === 'lit from behind' && face.kind !== 'cut' && face.kind !== 'plane';
  const paint = paintOf(plan, traced, palette, behind || showing !== 'lit from behind' ? showing : 'dry');
  const { section } = traced.prism.shaped;
  const [width, height] = [2 * section.half.width, 2 * section.half.length];
  if (face.kind === 'plane') return drawnPlane(traced, paint, face);
  if (face.kind === 'wall') return drawnWall(traced, paint);
  if (face.kind === 'cut') return drawnPlane(traced, paint, planeOfCut(traced, face));
  const sightAt = face.kind === 'mould face' ? mouldSight(traced) : openSight(traced);
  const deep = topOf(traced.prism, traced.engine.level);
  const mirrored = face.kind === 'mould face' ? -1 : 1;
  const placeOf = (px: number, py: number) => [mirrored * (px - 0.5) * width, (0.5 - py) * height] as const;
  return {
    width,
    height,
    paint,
    spotAt: (px, py) => {
      const [x, y] = placeOf(px, py);
      return section.contains(x, y) ? sightAt(x, y)(0) : undefined;
    },
    sample: (px, py) => {
      const [x, y] = placeOf(px, py);
      if (!section.contains(x, y)) return -1;
      if (behind) return through(traced, paint, sightAt(x, y), deep);
      const bare = () => seen(traced, paint, sightAt(x, y), deep);
      return (face.kind === 'mould face' ? paint.filmAt(traced.casting, x, y, bare) : undefined) ?? bare();
    }
  };
}

/** From the mould face up: its bottom, or where the wall stands under the eye. */
function mouldSight({ prism, engine }: Traced): (x: number, y: number) => Sight {
  const { section, volumeAt } = prism.shaped;
  return (x, y) => {
    const level = prism.mouldLevel(x, y) ?? 0;
    const start = (volumeAt(level) * 1000) / section.area;
    if (start > engine.level) return () => undefined;
    const [kx, ky] = prism.shaped.scaleAt(level);
    return (mm) => {
      if (mm > 0) return prism.spotAt(x, y, level + mm);
      const k = level > 0 ? 1 - INSIDE : 1;
      return kx > 0 && ky > 0
        ? { x: (x / kx) * k, y: (y / ky) * k, z: start + INSIDE * engine.level }
        : { x: 0, y: 0, z: INSIDE * engine.level };
    };
  };
}

/** From the open side down, past what is milled off. */
function openSight({ prism, casting }: Traced): (x: number, y: number) => Sight {
  const top = topOf(prism, casting.level) - casting.milled;
  if (prism.shaped.widest !== undefined)
    return (x, y) => {
      const start = Math.min(top, prism.upperLevel(x, y));
      return (mm) => prism.spotAt(x, y, (start - mm) * (1 - INSIDE));
    };
  return (x, y) => (mm) => {
    const [kx, ky] = prism.shaped.scaleAt(top - mm);
    // The rim's places stand for the surface's own, however high it stands.
    const at = prism.shaped.scaleAt(top);
    return kx > 0 && ky > 0 && top - mm >= 0
      ? prism.spotAt(x * at[0], y * at[1], (top - mm) * (1 - INSIDE))
      : undefined;
  };
}

/** The true level of a prism's height, mm. */
export const topOf = (prism: Prism, height: number): number =>
  prism.shaped.levelAt((height * prism.shaped.section.area) / 1000);

/** How deep a cut is looked into, mm. */
const THROUGH = 12;

/** A cut straight down: along its line to the right, up to the open side. */
function planeOfCut({ prism, engine }: Traced, { heading, off }: CutFace): Plane {
  const { section, depth } = prism.shaped;
  const a = (heading * Math.PI) / 180;
  const [c, s] = [Math.cos(a), Math.sin(a)];
  const { from, to } = lineThrough(section, { c, s, off });
  return {
    kind: 'plane',
    at: [c * from - s * off, s * from + c * off, 0],
    along: [c * (to - from), s * (to - from), 0],
    up: [0, 0, Math.max(depth, topOf(prism, engine.level))]
  };
}

/** What is seen on a plane, and behind it where that is not hidden. */
function drawnPlane(traced: Traced, paint: Paint, { at, along, up }: Plane): DrawnFace {
  const [width, height] = [Math.hypot(...along), Math.hypot(...up)];
  const into = cross(along, up).map((v) => -v / (width * height));
  const sightAt =
    (px: number, py: number): Sight =>
    (mm) => {
      const [x, y, z] = [0, 1, 2].map((i) => at[i]! + px * along[i]! + (1 - py) * up[i]! + mm * into[i]!);
      return traced.prism.spotAt(x!, y!, z!);
    };
  return {
    width,
    height,
    paint,
    spotAt: (px, py) => sightAt(px, py)(0),
    sample: (px, py) => {
      const sight = sightAt(px, py);
      return sight(0) ? seen(traced, paint, sight, THROUGH) : -1;
    }
  };
}

/** What is seen on the outer wall, and behind it where that is not hidden. */
function drawnWall(traced: Traced, paint: Paint): DrawnFace {
  const { width, height, spotBehind } = unrolled(traced.prism, topOf(traced.prism, traced.engine.level));
  return {
    width,
    height,
    paint,
    spotAt: (px, py) => spotBehind(px, py, 0),
    sample: (px, py) => {
      const sight: Sight = (mm) => spotBehind(px, py, mm);
      return sight(0) ? seen(traced, paint, sight, THROUGH) : -1;
    }
  };
}

const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0]
];

/** From where to where a line over a footprint can be inside it, mm along the line. */
function lineThrough(
  section: Prism['shaped']['section'],
  { c, s, off }: { c: number; s: number; off: number }
): { from: number; to: number } {
  const most = Math.hypot(section.half.width, section.half.length);
  const inside = Array.from({ length: 2001 }, (_, i) => most * (i / 1000 - 1)).filter((t) =>
    section.contains(c * t - s * off, s * t + c * off)
  );
  return inside.length ? { from: inside[0]!, to: inside.at(-1)! } : { from: -1, to: 1 };
}

/** What is seen along a sight: the matter in front, and where that does not hide, what lies behind it. */
function seen(traced: Traced, paint: Paint, sight: Sight, deep: number): number {
  // Looked at, it is moved to where its matter was poured: by that pearl has its streaks.
  const spot = sight(0);
  const first = matterOn(traced, spot);
  if (!spot || first < 0) return -1;
  return paint.sheened(paint.codeOf(filmsAlong(traced, paint, { first, sight, deep })), first, spot);
}

/** The films along a sight, down to what hides the rest. */
function filmsAlong(
  traced: Traced,
  paint: Paint,
  { first, sight, deep }: { first: number; sight: Sight; deep: number }
): Film[] {
  const hides = paint.hides(first);
  if (hides <= OPAQUE) return [{ matter: first, mm: OPAQUE }];
  const depths = hides > CLEAR ? evenly(deep) : DEPTHS;
  const films: Film[] = [];
  for (let i = 0; i + 1 < depths.length; i++) {
    const matter = i ? matterOn(traced, sight((depths[i]! + depths[i + 1]!) / 2)) : first;
    if (matter < 0) break;
    const mm = depths[i + 1]! - depths[i]!;
    const last = films.at(-1);
    if (last?.matter === matter) last.mm += mm;
    else films.push({ matter, mm });
    if (films.at(-1)!.mm >= paint.hides(matter)) break;
  }
  return films;
}

/** All that light from behind goes through along a sight, in looks of one thickness, what is in front first. */
function through(traced: Traced, paint: Paint, sight: Sight, deep: number): number {
  const front = matterOn(traced, sight(0));
  if (front < 0) return -1;
  const films = [{ matter: front, mm: 0 }];
  const mm = deep / LOOKS;
  for (let i = 0; i < LOOKS; i++) {
    const matter = matterOn(traced, sight((i + 0.5) * mm));
    if (matter < 0) continue;
    const last = films.at(-1)!;
    if (last.matter === matter) last.mm += mm;
    else films.push({ matter, mm });
  }
  return paint.codeOf(films);
}

/** What hides in less than this is looked at no deeper, and what hides in more than that is clear, mm. */
const OPAQUE = 0.9;
const CLEAR = 9;
/** Looks through what is clear. */
const LOOKS = 16;
const evenly = (deep: number): number[] => Array.from({ length: LOOKS + 1 }, (_, i) => (deep * i) / LOOKS);

const matterOn = (traced: Traced, spot: Spot | undefined): number =>
  spot ? matterWithin(traced, spot) : EMPTY;
