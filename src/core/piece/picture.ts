import { seenBy, type Vision } from '../colour';
import { chanceFrom, drawing, EMPTY, type Alike, type Raster } from '../pattern';
import { ofTheirOwn, type LearnedHistory, type Plan } from '../document';
import type { Shelf } from '../shelf';
import { drawnFace, type DrawnFace, type Face } from './faces';
import { fill } from '../plan/fill';
import { paletteOf } from '../plan/looks/looks';
import type { Showing } from './paint';
import { resolve } from '../plan/resolve';
import { pixelsOf, type Bytes, type BytesOf } from './pixels';
import { shownOn } from './shown';
import type { KeptTrace } from './kept-trace';
import { cupIn, type Matter } from './matter';
import { traced, type Traced } from './traced';

/** A piece of a plan ready to be looked at from any side. */
export interface DrawnPiece {
  traced: Traced;
  /** A side of it: dry unless it is said otherwise. */
  face(face: Face, showing?: Showing): DrawnFace;
}

/** Which piece of a plan: its cavity set of cavities (the first when absent), the seed of what is left to chance, and the last step that is done. */
export interface WhichPiece {
  cavitySetId?: string | undefined;
  seed?: string | undefined;
  until?: string | undefined;
  /** What was traced of it before, where one piece after another is looked at that differ little. */
  kept?: KeptTrace | undefined;
}

/** The seed of the piece that is drawn where none is named. */
const USUAL_SEED = '1';

/** Traces one piece of a plan; nothing where the plan has no such cavities. */
export function pieceOf(
  document: Plan,
  shelf: Shelf,
  learned: LearnedHistory,
  asked: WhichPiece
): DrawnPiece | undefined {
  const plan = resolve(document, shelf, learned);
  const { filled } = fill(plan);
  const [first] = ofTheirOwn(document.groups);
  const own =
    asked.cavitySetId === undefined
      ? (filled.find((f) => f.cavitySet.group.id === first?.id) ?? filled[0])
      : filled.find((f) => f.cavitySet.id === asked.cavitySetId);
  // A shape that cannot be has no inside to pour into.
  if (!own || own.cavity.problems.some((p) => p.code === 'shape-impossible')) return undefined;
  const { seed = USUAL_SEED, until, kept } = asked;
  const made = traced(plan, own, { seed, until, kept, others: filled });
  const poured = (id: string) =>
    own.pours.filter((p) => p.cupId === id).reduce((s, p) => s + p.each * p.count, 0);
  const palette = paletteOf(plan, poured);
  return { traced: made, face: (face, showing) => drawnFace(plan, made, { palette, showing }, face) };
}

/** A picture of a face, drawn so far: pixels, red green blue and opacity, row by row. */
export interface Picture {
  width: number;
  height: number;
  rgba: Uint8ClampedArray<ArrayBuffer>;
  /** mm across and up. */
  mm: { width: number; height: number };
  /** Share of the pour that each cup is, what was drawn out again counted: a jug's colours apart where they lie apart. */
  poured: { cupId: string; share: number }[];
  /** Of the whole face, the share that is seen of each cup, 0..1, through what is clear; none until it is counted. */
  shows: { cupId: string; share: number }[];
  /** The share that is of no cup: of what is set in, or dusted on. */
  besides: number;
  /** Whether what shows is counted: from then on it stays as it is. */
  counted: boolean;
  /** Where a cup's letter can stand: in the middle of the largest part of it, shares of the sides. */
  labels: { cupId: string; x: number; y: number; room: number }[];
  done: boolean;
  /** No cup has a colour yet: what is drawn are tones that stand in for them. */
  standIn?: boolean;
  /** What lies on the face follows a relief of its own: the mould's is not known. */
  guessed?: boolean;
}

/** A part of a picture to be drawn as large as the whole: shares of its sides from the upper left. */
export interface PicturePart {
  x: number;
  y: number;
  /** Share of each side that is shown, 0..1. */
  side: number;
}

const WHOLE: PicturePart = { x: 0, y: 0, side: 1 };

/** How a face is to be drawn: the longer side in pixels, for whose eyes, and which part of it. */
export interface Drawing {
  size: number;
  vision?: Vision | undefined;
  part?: PicturePart | undefined;
  /** Dry when absent. */
  showing?: Showing | undefined;
}

/** A face drawn from coarse to fine; the longer side is so many pixels. Each step offers the picture so far. */
export function* picturing(
  piece: DrawnPiece,
  face: Face,
  { size, vision = 'everyone', part = WHOLE, showing }: Drawing
): Generator<() => Picture, Picture> {
  const drawn = piece.face(face, showing);
  const scale = size / Math.max(drawn.width, drawn.height);
  const [width, height] = [drawn.width, drawn.height].map((mm) => Math.max(4, Math.round(mm * scale)));
  const sample = (x: number, y: number) => drawn.sample(part.x + x * part.side, part.y + y * part.side);
  const bytes = bytesIn(drawn.paint.colours, vision);
  const figures: Figured = { drawn, bytes, poured: pouredOf(piece.traced) };
  const steps = drawing(width!, height!, sample, alikeBy(bytes));
  for (;;) {
    const { value, done } = steps.next();
    const soFar = () => pictureOf(piece, figures, value, done === true);
    if (done) return soFar();
    yield soFar;
    // A first sight of it waits for no figure.
    figures.shows ??= listed(shownOn(drawn, piece.traced.matters));
  }
}

type Shares = Picture['shows'];
const listed = (of: ReadonlyMap<string, number>): Shares =>
  [...of].map(([cupId, share]) => ({ cupId, share }));

/** What was poured of each cup, as shares of all of it. */
function pouredOf({ matters, poured }: Traced): Shares {
  const all = [...poured.values()].reduce((s, ml) => s + ml, 0);
  const by = new Map<string, number>();
  for (const [matter, ml] of poured) {
    const cupId = cupIn(matters[matter]);
    if (cupId !== undefined) by.set(cupId, (by.get(cupId) ?? 0) + (all ? ml / all : 0));
  }
  return listed(by);
}

/** What of a picture is known beside its pixels. */
interface Figured {
  drawn: DrawnFace;
  bytes: BytesOf;
  poured: Shares;
  shows?: Shares | undefined;
}

function pictureOf(
  { traced: { matters } }: DrawnPiece,
  { drawn: { paint, ...drawn }, bytes, poured, shows }: Figured,
  raster: Raster,
  done: boolean
): Picture {
  const cupAt = paint.fronts.map((front) => cupIn(matters[front]));
  return {
    width: raster.width,
    height: raster.height,
    rgba: pixelsOf(raster, bytes),
    mm: { width: drawn.width, height: drawn.height },
    poured,
    shows: shows ?? [],
    besides: shows ? Math.max(0, 1 - shows.reduce((s, x) => s + x.share, 0)) : 0,
    counted: shows !== undefined,
    labels: done ? labelsOf(raster, cupAt) : [],
    done,
    ...(paint.standIn ? { standIn: true } : {}),
    ...(paint.guessed ? { guessed: true } : {})
  };
}

/** The bytes of each code's colour, as these eyes see it, worked out once. */
function bytesIn(colours: readonly string[], vision: Vision): BytesOf {
  const known: Bytes[] = [];
  return (code) => (known[code] ??= bytesOf(seenBy(colours[code]!, vision)));
}

/** Colours so near in every channel are one, and no border is seen between those: of 255. */
const [ONE_COLOUR, NO_BORDER] = [3, 10];

/** Whether two codes of a picture look alike; what is outside the piece is like nothing else. */
function alikeBy(bytes: BytesOf): Alike {
  return (code, other, nearly) => {
    if (code === other) return true;
    if (code < 0 || other < 0) return false;
    const most = nearly ? NO_BORDER : ONE_COLOUR;
    const [a, b] = [bytes(code), bytes(other)];
    return Math.abs(a[0] - b[0]) <= most && Math.abs(a[1] - b[1]) <= most && Math.abs(a[2] - b[2]) <= most;
  };
}

const bytesOf = (hex: string): Bytes => [
  parseInt(hex.slice(1, 3), 16),
  parseInt(hex.slice(3, 5), 16),
  parseInt(hex.slice(5, 7), 16)
];

/** Places are looked for on a grid of so many to the longer side. */
const GRID = 72;
/** A letter stands where there is so much of the picture's side about it. */
const ROOM = 0.03;

/** For each cup the place that is farthest from anything else: there its letter is on nothing but itself. */
function labelsOf(
  { width, height, codes }: Raster,
  cupAt: readonly (string | undefined)[]
): Picture['labels'] {
  const step = Math.max(width, height) / GRID;
  const [w, h] = [Math.max(1, Math.floor(width / step)), Math.max(1, Math.floor(height / step))];
  const cups = Array.from({ length: w * h }, (_, i) => {
    const x = Math.floor(((i % w) + 0.5) * step);
    const y = Math.floor((Math.floor(i / w) + 0.5) * step);
    const code = codes[Math.min(height - 1, y) * width + Math.min(width - 1, x)]!;
    return code < 0 ? undefined : cupAt[code];
  });
  const best = new Map<string, Picture['labels'][number]>();
  cups.forEach((cupId, i) => {
    if (cupId === undefined) return;
    const [x, y] = [i % w, Math.floor(i / w)];
    const room = roomAbout(cups, { x, y, w, h }, Math.ceil((best.get(cupId)?.room ?? 0) * GRID));
    if (room / GRID > (best.get(cupId)?.room ?? 0))
      best.set(cupId, { cupId, x: (x + 0.5) / w, y: (y + 0.5) / h, room: room / GRID });
  });
  return [...best.values()].filter((l) => l.room >= ROOM);
}

/** How many steps about a place everything is the same cup; 0 at once where it is not `least`. */
function roomAbout(
  cups: readonly (string | undefined)[],
  { x, y, w, h }: { x: number; y: number; w: number; h: number },
  least: number
): number {
  const own = cups[y * w + x];
  const same = (i: number, j: number) => i >= 0 && j >= 0 && i < w && j < h && cups[j * w + i] === own;
  const whole = (r: number) => {
    for (let d = -r; d <= r; d++)
      if (!same(x + d, y - r) || !same(x + d, y + r) || !same(x - r, y + d) || !same(x + r, y + d))
        return false;
    return true;
  };
  if (least > 0 && !whole(least)) return 0;
  let r = 0;
  while (whole(r + 1)) r++;
  return r;
}

/** Places at which it is asked what lies close by. */
const PAIRS = 1500;
/** What is closer together than this is one colour to the eye, mm: some three minutes of arc at arm's length (0.6 m). */
const BLENDS = 0.5;

/**
 * How far the colours have run into one another, 0 (clean) to 1 (stirred through): how often two places too close for the
 * eye to part are of different colours, over how often any two places are. Chips keep their edges: they are their body's.
 */
export function muddiness({ traced: { engine, prism, matters } }: DrawnPiece): number {
  const { section } = prism.shaped;
  const chance = chanceFrom(90001);
  const isBody = (m: Matter) => m.kind === 'chip' || (m.kind === 'cup' && m.tone === 'full');
  const told = matters.map((m, i) =>
    isBody(m) ? matters.findIndex((o) => isBody(o) && cupIn(o) === cupIn(m)) : i
  );
  const at = (x: number, y: number, z: number) => {
    const matter = engine.matterAt({ x, y, z });
    return told[matter] ?? matter;
  };
  const counts = new Map<number, number>();
  let [near, differ] = [0, 0];
  for (let tries = 0; near < PAIRS && tries < 8 * PAIRS; tries++) {
    const x = (2 * chance() - 1) * section.half.width;
    const y = (2 * chance() - 1) * section.half.length;
    const z = chance() * engine.level;
    const angle = 2 * Math.PI * chance();
    const [x2, y2] = [x + BLENDS * Math.cos(angle), y + BLENDS * Math.sin(angle)];
    if (!section.contains(x, y) || !section.contains(x2, y2)) continue;
    const [one, other] = [at(x, y, z), at(x2, y2, z)];
    if (one === EMPTY || other === EMPTY) continue;
    near++;
    if (one !== other) differ++;
    counts.set(one, (counts.get(one) ?? 0) + 1);
  }
  const alike = [...counts.values()].reduce((s, n) => s + (n / near) ** 2, 0);
  return near && alike < 1 ? Math.min(1, differ / near / (1 - alike)) : 0;
}

/** What is at a place of a face, and how it came there: the cup, the step that put it there, and those that moved it since, the last first. */
export interface SpotHistory {
  cupId: string | undefined;
  stepId: string;
  moved: string[];
}

/** What is in front at a place of a face, shares of the picture's sides from the upper left; nothing outside it. */
export function historyAt(
  { traced: piece, face }: DrawnPiece,
  which: Face,
  x: number,
  y: number
): SpotHistory | undefined {
  const spot = face(which).spotAt(x, y);
  if (!spot) return undefined;
  const { casting, engine, matters } = piece;
  const found = engine.historyOf(spot);
  if (found.by < 0) return undefined;
  const own = casting.steps[found.by]!;
  const moved = [...new Set(found.moved.map((i) => casting.steps[i]!))].filter((id) => id !== own);
  return { cupId: cupIn(matters[found.matter]), stepId: own, moved };
}

/** A face drawn to the end. */
export function wholePicture(piece: DrawnPiece, face: Face, how: Drawing): Picture {
  const steps = picturing(piece, face, how);
  for (;;) {
    const { value, done } = steps.next();
    if (done) return value;
  }
}
