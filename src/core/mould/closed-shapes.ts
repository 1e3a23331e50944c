import { figure } from '../quantity';
import type { Geometry } from './slices';
import type { Shape } from './shape';

/** Of an egg's height, what lies below where it is widest: its blunt end is down. */
const BLUNT = 0.4;
const ML = 1000;
const words = (mm3: number) => figure(Math.round(mm3 / 10) / 100, 'ml');
const round = (mm: number) => Math.round(mm * 100) / 100;
const clamped = (high: number) => (z: number) => Math.min(high, Math.max(0, z));

/** An egg on its blunt end: two half ellipsoids that share their widest section. V = ⅔ π r² h, whatever the share of each. */
export function eggOf({ radius, depth }: Extract<Shape, { kind: 'egg' }>): Geometry {
  const below = BLUNT * depth;
  const above = depth - below;
  const at = clamped(depth);
  /** How far up or down from the widest, as a share of that half. */
  const share = (z: number) => (at(z) < below ? (below - at(z)) / below : (at(z) - below) / above);
  const across = (z: number) => radius * Math.sqrt(Math.max(0, 1 - share(z) ** 2));
  // ∫ (1 − u²) of a half, from its widest section to so far out.
  const half = (u: number, high: number) => high * (u - u ** 3 / 3);
  const volume = (z: number) => {
    const lower = (2 / 3) * below;
    const u = share(z);
    return Math.PI * radius ** 2 * (at(z) < below ? lower - half(u, below) : lower + half(u, above));
  };
  return {
    depth,
    widest: below,
    volumeAt: (z) => volume(z) / ML,
    areaAt: (z) => Math.PI * across(z) ** 2,
    halfWidthAt: across,
    working: `⅔ π r² h, r ${figure(round(radius), 'mm')}, h ${figure(round(depth), 'mm')} = ${words(volume(depth))}`
  };
}

/** A cut stone on its point: from there straight out to its girdle, and in again to its table. A regular outline of so many sides. */
export function gemOf({
  radius,
  depth,
  crown,
  tableRadius,
  sides
}: Extract<Shape, { kind: 'gem' }>): Geometry {
  const girdle = Math.max(0, depth - crown);
  const at = clamped(depth);
  const across = (z: number) =>
    at(z) < girdle ? (radius * at(z)) / girdle : radius + ((tableRadius - radius) * (at(z) - girdle)) / crown;
  const area = (sides / 2) * Math.sin((2 * Math.PI) / sides);
  // ∫ of a radius that goes straight from one to another, squared: h (a² + ab + b²) / 3.
  const between = (a: number, b: number, high: number) => (area * high * (a * a + a * b + b * b)) / 3;
  const volume = (z: number) =>
    at(z) < girdle
      ? between(0, across(z), at(z))
      : between(0, radius, girdle) + between(radius, across(z), at(z) - girdle);
  return {
    depth,
    widest: girdle,
    volumeAt: (z) => volume(z) / ML,
    areaAt: (z) => area * across(z) ** 2,
    halfWidthAt: across,
    working: `a cone of ${sides} sides and the stump of one, ${figure([round(girdle), round(crown)], 'mm', undefined, [' and '])} high = ${words(volume(depth))}`
  };
}

/** What is wrong with a cut stone, or nothing. */
export function gemFault({
  radius,
  tableRadius,
  depth,
  crown
}: Extract<Shape, { kind: 'gem' }>): string | undefined {
  if (crown >= depth) return 'The height over the widest part is no less than the whole height.';
  if (tableRadius > radius) return 'The table is wider than the stone where it is widest.';
  return undefined;
}

/** The corners of a regular outline about its middle, the first to the right. */
export const regular = (sides: number, radius: number): [number, number][] =>
  Array.from({ length: sides }, (_, i) => {
    const a = (2 * Math.PI * i) / sides;
    return [radius * Math.cos(a), radius * Math.sin(a)];
  });
