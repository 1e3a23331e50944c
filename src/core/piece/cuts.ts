import type { Prism } from '../pattern';
import type { Face } from './faces';

/** How a casting is divided: how many pieces, which way the wires run, and what each takes with it, mm. */
export interface Dividing {
  pieces: number;
  how: 'straight' | 'on the diagonal' | 'into logs';
  kerf: number;
}

/** One piece of a cut casting: where it lay, mm from the middle, what it holds, and the two faces it is seen by. */
export interface Bar {
  name: string;
  from: { x: number; y: number };
  to: { x: number; y: number };
  /** ml of it, without what the blades took. */
  ml: number;
  faces: readonly [Face, Face];
}

/** A casting cut up: its bars from the left and from near, what the blades took, and the lines they run along. */
export interface Cutting {
  bars: Bar[];
  lostMl: number;
  /** Straight blades by where they run: along x at a y, or along y at an x, mm. */
  blades: { x?: number; y?: number }[];
}

/** Bars as near as this to a face that is easy to hold: length over width. */
const EASY = 1.4;

/** Rows and columns for so many blocks of a casting: as many as asked, each nearest to an easy face. */
export function gridFor(count: number, width: number, length: number): { across: number; away: number } {
  let best = { across: count, away: 1 };
  let least = Infinity;
  for (let across = 1; across <= count; across++) {
    if (count % across) continue;
    const away = count / across;
    const shape = width / across / (length / away);
    const off = Math.min(Math.abs(Math.log(shape / EASY)), Math.abs(Math.log(shape * EASY)));
    if (off < least) [best, least] = [{ across, away }, off];
  }
  return best;
}

/**
 * Where the bars of a casting come from. Straight: a bar is sliced along its length, a slab into a grid. Into logs: along
 * its length only. On the diagonal: blocks of a grid, each parted from its lower near edge to its upper far one; the last is left whole where their number is odd.
 */
export function cuttingOf(prism: Prism, level: number, { pieces, how, kerf }: Dividing): Cutting {
  const { width, length } = prism.shaped.section.half;
  const [w, l] = [2 * width, 2 * length];
  const grid = gridOf(how, pieces, w, l);
  const xs = strips(w, grid.across, kerf);
  const ys = strips(l, grid.away, kerf);
  const blocks = ys.flatMap((y) =>
    xs.map((x) => ({ from: { x: x.from, y: y.from }, to: { x: x.to, y: y.to } }))
  );
  const bars = blocks.flatMap((b, i) =>
    how === 'on the diagonal' && 2 * (i + 1) <= pieces
      ? halves(prism, level, b, { i, kerf })
      : [whole(prism, level, b, i)]
  );
  const all = prism.shaped.volumeAt(level);
  return {
    bars,
    lostMl: Math.max(0, all - bars.reduce((s, b) => s + b.ml, 0)),
    blades: [...between(xs).map((x) => ({ x })), ...between(ys).map((y) => ({ y }))]
  };
}

function gridOf(
  how: Dividing['how'],
  pieces: number,
  w: number,
  l: number
): { across: number; away: number } {
  const logs = w >= l ? { across: pieces, away: 1 } : { across: 1, away: pieces };
  if (how === 'into logs') return w >= l ? { across: 1, away: pieces } : { across: pieces, away: 1 };
  // A loaf is sliced; a slab, nearly as wide as long, is cut both ways.
  const loaf = Math.max(w, l) / Math.min(w, l) > 1.8;
  if (how === 'straight') return loaf ? logs : gridFor(pieces, w, l);
  return gridFor(Math.max(1, Math.ceil(pieces / 2)), w, l);
}

interface Strip {
  from: number;
  to: number;
}

/** Equal strips with a blade's width between them. */
function strips(side: number, count: number, kerf: number): Strip[] {
  const each = (side - (count - 1) * kerf) / count;
  return Array.from({ length: count }, (_, i) => {
    const from = -side / 2 + i * (each + kerf);
    return { from, to: from + each };
  });
}

const between = (of: readonly Strip[]) => of.slice(1).map((s, i) => (s.from + of[i]!.to) / 2);

type Block = Pick<Bar, 'from' | 'to'>;

/** A block left whole: seen by the side that was cut first and by its other side. */
function whole(prism: Prism, level: number, block: Block, i: number): Bar {
  const { from, to } = block;
  const across = to.x - from.x < to.y - from.y;
  // A hair inside the bar, so that the face is its own.
  const faceAt = (share: number): Face => {
    const at = across
      ? ([from.x + share * (to.x - from.x), from.y, 0] as const)
      : ([from.x, from.y + share * (to.y - from.y), 0] as const);
    const along = across ? ([0, to.y - from.y, 0] as const) : ([to.x - from.x, 0, 0] as const);
    return { kind: 'plane', at, along, up: [0, 0, level] };
  };
  // The side towards the middle first: an end piece is cut on that side only.
  const inner = (across ? from.x + to.x : from.y + to.y) < 0 ? 0.99 : 0.01;
  return {
    name: `${i + 1}`,
    ...block,
    ml: volumeIn(prism, level, block),
    faces: [faceAt(inner), faceAt(1 - inner)]
  };
}

/** A block parted on its diagonal: two wedges, each seen by the plane between them and by its own side. */
function halves(prism: Prism, level: number, block: Block, { i, kerf }: { i: number; kerf: number }): Bar[] {
  const { from, to } = block;
  const wide = to.x - from.x;
  const deep = to.y - from.y;
  const diagonal: Face = {
    kind: 'plane',
    at: [from.x, from.y, 0],
    along: [wide, 0, 0],
    up: [0, deep, level]
  };
  const side = (y: number): Face => ({
    kind: 'plane',
    at: [from.x, y, 0],
    along: [wide, 0, 0],
    up: [0, 0, level]
  });
  const under = volumeIn(prism, level, block, (y, z) => z / level < (y - from.y) / deep);
  const all = volumeIn(prism, level, block);
  // The blade runs down the slope and takes half its width from either wedge.
  const lost = (kerf * wide * Math.hypot(deep, level)) / 2000;
  return [
    {
      name: `${i + 1} under`,
      ...block,
      ml: Math.max(0, under - lost),
      faces: [diagonal, side(to.y - 0.01 * deep)]
    },
    {
      name: `${i + 1} over`,
      ...block,
      ml: Math.max(0, all - under - lost),
      faces: [diagonal, side(from.y + 0.01 * deep)]
    }
  ];
}

/** Slices of a block whose volume is added up, upward; each way in the plane they are about so wide, mm. */
const SLICES = 24;
const FINE = 0.9;
const slicesOf = (side: number) => Math.min(120, Math.max(12, Math.ceil(side / FINE)));

/** ml of a casting inside a block, where `of` says so: added up slice by slice. */
function volumeIn(
  prism: Prism,
  level: number,
  { from, to }: Block,
  of?: (y: number, z: number) => boolean
): number {
  const { section, volumeAt } = prism.shaped;
  const [nx, ny] = [slicesOf(to.x - from.x), slicesOf(to.y - from.y)];
  const [dx, dy, dz] = [(to.x - from.x) / nx, (to.y - from.y) / ny, level / SLICES];
  let ml = 0;
  for (let k = 0; k < SLICES; k++) {
    const z = (k + 0.5) * dz;
    const [kx, ky] = prism.shaped.scaleAt(z);
    if (!(kx > 0 && ky > 0)) continue;
    // A layer's own volume over its drawn area: a capacity that was measured counts, not the drawing.
    const layer = volumeAt((k + 1) * dz) - volumeAt(k * dz);
    const each = (layer * dx * dy) / (section.area * kx * ky);
    for (let j = 0; j < ny; j++) {
      const y = from.y + (j + 0.5) * dy;
      if (of && !of(y, z)) continue;
      for (let i = 0; i < nx; i++) if (section.contains((from.x + (i + 0.5) * dx) / kx, y / ky)) ml += each;
    }
  }
  return ml;
}

/** Solids that a blade would meet: what stands within half its size of a line the blades run along. */
export function struck(
  { blades }: Cutting,
  solids: readonly { x: number; y: number; radius: number }[]
): number {
  return solids.filter((s) =>
    blades.some((b) => (b.x === undefined ? Math.abs(s.y - b.y!) : Math.abs(s.x - b.x)) < s.radius)
  ).length;
}
