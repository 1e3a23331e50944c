import { z } from 'zod';
import drawn from './faces.json';

/** What photographed faces of techniques are like, learnt from the techniques' own pours by `npm run faces`. */
const Library = z.object({
  /** What the first pour of each technique showed of its colours when this was learnt: another figure says that it is out of date. */
  of: z.record(z.string(), z.array(z.number())),
  /** Middle and spread within a technique of each trait. */
  mean: z.array(z.number()),
  spread: z.array(z.number()),
  /** The directions along which techniques differ most against how faces of one differ: rows of weights. */
  directions: z.array(z.array(z.number())),
  /** Faces along those directions, by technique. */
  faces: z.record(z.string(), z.array(z.array(z.number())))
});
export type Library = z.infer<typeof Library>;

/** The library that ships. */
export const library: Library = Library.parse(drawn);

/** Beyond so many spreads a trait says no more: it is out of the way. */
const CLIPPED = 5;

/** Traits in spreads within a technique from the middle of all. */
export const inSpreads = (
  { mean, spread }: Pick<Library, 'mean' | 'spread'>,
  traits: readonly number[]
): number[] => traits.map((v, i) => Math.min(CLIPPED, Math.max(-CLIPPED, (v - mean[i]!) / spread[i]!)));

/** A face along the directions in which techniques differ. */
export function along(
  of: Pick<Library, 'mean' | 'spread' | 'directions'>,
  traits: readonly number[]
): number[] {
  const z = inSpreads(of, traits);
  return of.directions.map((row) => row.reduce((s, w, i) => s + w * z[i]!, 0));
}

/** A technique by how near its faces come to a face. */
export interface Ranked {
  techniqueId: string;
  distance: number;
}

/** Of so many nearest faces the mean is a technique's distance. */
const NEAREST = 3;

/** Techniques by how near they come to a face, the nearest first. */
export function ranked(traits: readonly number[], from: Library = library): Ranked[] {
  const own = along(from, traits);
  return Object.entries(from.faces)
    .map(([techniqueId, faces]) => ({ techniqueId, distance: nearest(own, faces) }))
    .sort((a, b) => a.distance - b.distance);
}

function nearest(own: readonly number[], faces: readonly (readonly number[])[]): number {
  const far = faces
    .map((f) => Math.sqrt(f.reduce((s, v, i) => s + (v - own[i]!) ** 2, 0)))
    .sort((a, b) => a - b);
  const near = far.slice(0, NEAREST);
  return near.reduce((s, v) => s + v, 0) / Math.max(1, near.length);
}

/** A face nearer than this is like what the technique makes. Source: our trials, see docs/pictures.md. */
export const ALIKE = 5;
/** A second technique is named only within this of the first. */
const ALSO = 1.3;
const MOST = 3;

/** The techniques that are worth showing: the nearest, and those that are hardly farther. */
export function worthShowing(all: readonly Ranked[]): Ranked[] {
  const first = all[0]?.distance ?? 0;
  return all.filter((r) => r.distance <= ALSO * first).slice(0, MOST);
}
