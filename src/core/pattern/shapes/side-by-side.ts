import type { Section } from './section';

type Point = readonly [number, number];

/** Something poured on bare ground at a place or along a way, mm³. */
export interface Side {
  matter: number;
  mm3: number;
  way: readonly Point[];
}

/** Points by which the borders are found. */
const POINTS = 12_000;
const ROUNDS = 60;

/**
 * Who (by number) has which part of bare ground when several pours stand beside one another: each place belongs to the nearest, the
 * borders shifted until each has ground by its volume. With a line between two of them the border runs along the line.
 */
export function sideBySide(
  section: Section,
  sides: readonly Side[],
  barrier?: readonly Point[]
): (x: number, y: number) => number {
  const points = pointsIn(section);
  const all = sides.reduce((s, side) => s + side.mm3, 0);
  if (barrier && sides.length === 2) {
    const beyond = sideOf(barrier);
    const [first, second] = beyond(...middleOf(sides[0]!.way)) < 0 ? [0, 1] : [1, 0];
    const values = points.map(([x, y]) => beyond(x, y)).sort((a, b) => a - b);
    const limit = values[Math.round((sides[first]!.mm3 / all) * (values.length - 1))]!;
    return (x, y) => (beyond(x, y) < limit ? first : second);
  }
  const weights = fair(points, sides, all);
  return (x, y) => nearest(x, y, sides, weights);
}

/** Weights on the distances by which every side has ground by its volume: raised where it has too little, again and again. */
function fair(points: readonly Point[], sides: readonly Side[], all: number): number[] {
  const distances = points.map(([x, y]) => sides.map((s) => distanceTo(x, y, s.way)));
  const weights = sides.map(() => 0);
  let step = Math.max(...distances.map((d) => Math.max(...d))) / 2;
  for (let round = 0; round < ROUNDS; round++) {
    const counts = sides.map(() => 0);
    for (const d of distances) counts[leastOf(d, weights)]!++;
    sides.forEach((s, i) => (weights[i]! += step * (s.mm3 / all - counts[i]! / points.length)));
    if (round > 20) step *= 0.94;
  }
  return weights;
}

const nearest = (x: number, y: number, sides: readonly Side[], weights: readonly number[]): number =>
  leastOf(
    sides.map((s) => distanceTo(x, y, s.way)),
    weights
  );

function leastOf(distances: readonly number[], weights: readonly number[]): number {
  let best = 0;
  for (let i = 1; i < distances.length; i++)
    if (distances[i]! - weights[i]! < distances[best]! - weights[best]!) best = i;
  return best;
}

/**
 * Distance from a way, mm; a single place is a way of one point.
 * @example distanceTo(0, 5, [[-10, 0], [10, 0]]) // 5
 */
export function distanceTo(x: number, y: number, way: readonly Point[]): number {
  let least = Infinity;
  way.forEach((a, i) => {
    const b = way[i + 1] ?? a;
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const long = dx * dx + dy * dy;
    const t = long > 0 ? Math.min(1, Math.max(0, ((x - a[0]) * dx + (y - a[1]) * dy) / long)) : 0;
    least = Math.min(least, Math.hypot(x - a[0] - t * dx, y - a[1] - t * dy));
  });
  return least;
}

/** On which side of a line a place is: its distance, below zero to the left of the way from its start to its end. */
function sideOf(way: readonly Point[]): (x: number, y: number) => number {
  const [a, b] = [way[0]!, way.at(-1)!];
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  return (x, y) => ((x - a[0]) * (b[1] - a[1]) - (y - a[1]) * (b[0] - a[0])) / long;
}

const middleOf = (way: readonly Point[]): [number, number] => [
  way.reduce((s, [x]) => s + x, 0) / way.length,
  way.reduce((s, [, y]) => s + y, 0) / way.length
];

/** Places spread evenly over a footprint, by a sequence that fills a square more evenly than chance does. */
function pointsIn(section: Section): Point[] {
  const points: Point[] = [];
  for (let i = 1; points.length < POINTS; i++) {
    const x = (2 * ((i * STEP_X) % 1) - 1) * section.half.width;
    const y = (2 * ((i * STEP_Y) % 1) - 1) * section.half.length;
    if (section.contains(x, y)) points.push([x, y]);
  }
  return points;
}

/** 1/p and 1/p² for the root p of p³ = p + 1: the two-dimensional sequence of golden-ratio kind. */
const STEP_X = 0.7548776662466927;
const STEP_Y = 0.5698402909980532;
