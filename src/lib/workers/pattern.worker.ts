import { LRUCache } from 'lru-cache';
import {
  askingFace,
  barsShown,
  cutsFor,
  cutUp,
  differOn,
  muddiness,
  pieceOf,
  picturing,
  historyAt,
  type AskedFace,
  type Dividing,
  type Drawing,
  type Face,
  type FaceAnswer,
  type DrawnPiece,
  type Picture,
  type Searching,
  type ShownBar
} from '$core/piece';
import { handedOver } from '../plan/shown-picture';

/** What is asked of the pattern worker. Plans and shelves come as text, so that the same one is read once. */
export type PatternTask = Wanted &
  (
    | { kind: 'draw'; slot: string; face: Face; how: Drawing }
    | { kind: 'tell'; slot: string; face: Face; x: number; y: number }
    | { kind: 'mud'; slot: string }
    | { kind: 'chance'; slot: string; face: Face; seeds: readonly [string, string] }
    | { kind: 'bars'; slot: string; dividing: Dividing; size: number; most: number }
    | { kind: 'cuts'; slot: string; dividing: Dividing; cupId: string }
    | { kind: 'ask'; slot: string; asked: AskedFace }
    | { kind: 'stop'; slot: string }
  );

interface Wanted {
  plan: string;
  shelf: string;
  cavitySetId?: string;
  seed?: string;
  until?: string;
}

type Steps = Generator<() => Picture, Picture | undefined>;

/** Pieces that are kept traced: the faces and the cuts of one piece share it. */
const KEPT = 6;
/** Milliseconds of drawing before other messages are heard. */
const SLICE = 12;
/** Between two finer pictures of one drawing, ms at least; later it is a share of how long it is drawn already. */
const PAUSE = 160;
const PAUSE_SHARE = 0.25;
/** The page lays out what was just typed, or shows what it was just given, while nothing is drawn, ms. */
const BREATH = 32;
/** When each drawing was begun and last shown. */
const times = new WeakMap<Steps, { begun: number; shown: number }>();

/** Pieces as they were read; one that cannot be drawn is kept as that. */
const pieces = new LRUCache<string, { piece: DrawnPiece | undefined }>({ max: KEPT });
const drawings = new Map<string, Steps>();

function pieceFor({ plan, shelf, cavitySetId, seed, until }: Wanted): DrawnPiece | undefined {
  const key = [plan, shelf, cavitySetId, seed, until].join('\n');
  const before = pieces.get(key);
  if (before) return before.piece;
  const piece = pieceOf(JSON.parse(plan), JSON.parse(shelf), {}, { cavitySetId, seed, until });
  pieces.set(key, { piece });
  return piece;
}

self.onmessage = ({ data }: MessageEvent<PatternTask>) => {
  if (data.kind === 'stop') {
    drawings.delete(data.slot);
    cuttings.delete(data.slot);
    searches.delete(data.slot);
    return;
  }
  if (data.kind === 'draw') return begin(data);
  if (data.kind === 'ask') return beginSearch(data);
  if (data.kind === 'chance')
    return self.postMessage({ slot: data.slot, varies: varies(data, data.face, data.seeds) });
  const piece = pieceFor(data);
  if (data.kind === 'mud') return self.postMessage({ slot: data.slot, mud: piece ? muddiness(piece) : 0 });
  if (data.kind === 'bars') return piece && beginBars(piece, data);
  if (data.kind === 'cuts')
    return self.postMessage({
      slot: data.slot,
      cuts: piece ? cutsFor(piece, data.dividing, data.cupId) : []
    });
  self.postMessage({ slot: data.slot, told: piece && historyAt(piece, data.face, data.x, data.y) });
};

/** Whether two pieces of one pour differ on a face. */
function varies(wanted: Wanted, face: Face, seeds: readonly string[]): boolean {
  const [one, other] = seeds.map((seed) => {
    const piece = pieceFor({ ...wanted, seed });
    return piece && { face: piece.face(face), matters: piece.traced.matters };
  });
  return one !== undefined && other !== undefined && differOn(one, other);
}

/** A new drawing takes the place of the one in its slot, which is given up. */
function begin(task: Extract<PatternTask, { kind: 'draw' }>): void {
  const idle = drawings.size === 0;
  drawings.delete(task.slot);
  drawings.set(task.slot, started(task));
  if (idle) setTimeout(drawOn, BREATH);
}

/** The piece is traced when the drawing's turn comes, so that an overtaken one costs nothing. */
function* started(task: Extract<PatternTask, { kind: 'draw' }>): Steps {
  const piece = pieceFor(task);
  return piece && (yield* picturing(piece, task.face, task.how));
}

/** Whether a drawing is shown as far as it is: coarse at once, after that not more often than an eye follows, for each picture is work for the page too. */
function isDue(drawing: Steps): boolean {
  const now = performance.now();
  const { begun, shown } = times.get(drawing) ?? { begun: now, shown: -Infinity };
  const due = now - shown > Math.max(PAUSE, PAUSE_SHARE * (now - begun));
  if (due) times.set(drawing, { begun, shown: now });
  return due;
}

/** Draws for a while at each slot in turn, then lets new messages in. */
function drawOn(): void {
  let breath = 0;
  for (const [slot, drawing] of [...drawings]) {
    const until = performance.now() + SLICE;
    let step: IteratorResult<() => Picture, Picture | undefined>;
    try {
      do step = drawing.next();
      while (!step.done && performance.now() < until);
    } catch (error) {
      // One picture that fails takes no other with it: it is given up and the fault reported.
      drawings.delete(slot);
      reportError(error);
      continue;
    }
    if (step.done) drawings.delete(slot);
    else if (!isDue(drawing)) continue;
    breath = BREATH;
    const picture = step.done ? step.value : step.value();
    if (picture) handOver(slot, picture);
  }
  if (drawings.size) setTimeout(drawOn, breath);
}

function handOver(slot: string, drawn: Picture): void {
  const picture = handedOver(drawn);
  self.postMessage({ slot, picture }, { transfer: [picture.pixels] });
}

/** The cutting at once, then a bar at a time, with other messages heard between them; a new cutting overtakes. */
function beginBars(
  piece: DrawnPiece,
  { slot, dividing, size, most }: Extract<PatternTask, { kind: 'bars' }>
): void {
  const { bars, ...cutting } = cutUp(piece, dividing);
  self.postMessage({ slot, cutting: { ...cutting, bars: bars.map(({ faces: _, ...bar }) => bar) } });
  const shown = barsShown(piece, { ...cutting, bars: bars.slice(0, most) }, size);
  cuttings.set(slot, shown);
  const next = () => {
    if (cuttings.get(slot) !== shown) return;
    // The piece that is looked at comes first, its bars after it.
    if (drawings.size) return void setTimeout(next, BREATH);
    const step = shown.next();
    if (step.done) return void cuttings.delete(slot);
    const { picture, other, ...bar } = step.value;
    const faces = [handedOver(picture), handedOver(other)] as const;
    self.postMessage(
      { slot, bar: { ...bar, picture: faces[0], other: faces[1] } },
      { transfer: faces.map((f) => f.pixels) }
    );
    setTimeout(next);
  };
  next();
}

const cuttings = new Map<string, Generator<ShownBar>>();

const searches = new Map<string, Generator<Searching, FaceAnswer>>();

/** One pour tried at a time, so that a search is stopped at once and pictures are drawn meanwhile. */
function beginSearch({ slot, plan, shelf, asked }: Extract<PatternTask, { kind: 'ask' }>): void {
  const search = askingFace(JSON.parse(plan), JSON.parse(shelf), asked);
  searches.set(slot, search);
  const next = () => {
    if (searches.get(slot) !== search) return;
    const step = search.next();
    if (step.done) searches.delete(slot);
    self.postMessage({ slot, ...(step.done ? { answer: step.value } : { searching: step.value }) });
    if (!step.done) setTimeout(next);
  };
  next();
}
