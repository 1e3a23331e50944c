import { evenSpot } from '../pattern';
import type { DrawnFace } from './faces';
import { cupIn, type Matter } from './matter';

/** Places of a face at which it is asked what is seen: by them a share is off by less than half a point. */
export const PLACES = 4096;

/** Of a face, how much is seen of each cup, 0..1, the most first in the order they are met; through what is clear. */
export type Shown = Map<string, number>;

/**
 * How much of a face, or of a part of it, is seen of each cup: counted at places that fill it evenly and are always the same, never
 * from pixels, so that the first figure is the last, and that of a small picture is that of a large one.
 *
 * @param places how many of them: fewer for a search
 * @param part whether a place belongs to what is asked about, by shares of the picture's sides
 */
export function shownOn(
  face: Pick<DrawnFace, 'sample' | 'paint'>,
  matters: readonly Matter[],
  places = PLACES,
  part: (x: number, y: number) => boolean = () => true
): Shown {
  const counts = new Map<number, number>();
  let all = 0;
  for (let i = 0; i < places; i++) {
    const [x, y] = evenSpot(i);
    if (!part(x, y)) continue;
    const code = face.sample(x, y);
    if (code < 0) continue;
    counts.set(code, (counts.get(code) ?? 0) + 1);
    all++;
  }
  const shown: Shown = new Map();
  for (const [code, n] of counts)
    for (const { matter, share } of face.paint.seen[code]!) {
      const cupId = cupIn(matters[matter]);
      if (cupId !== undefined) shown.set(cupId, (shown.get(cupId) ?? 0) + (n * share) / all);
    }
  return shown;
}

/** Places at which two pieces are laid over one another, and of them, how many may differ in pieces that an eye calls alike. */
const LAID_OVER = 900;
const ALIKE = 0.01;

/** Whether two pieces of one pour look different on a face: what the pour leaves to chance is seen there. */
export function differOn(
  one: { face: DrawnFace; matters: readonly Matter[] },
  other: { face: DrawnFace; matters: readonly Matter[] }
): boolean {
  const cupAt = ({ face, matters }: typeof one, x: number, y: number) => {
    const code = face.sample(x, y);
    return code < 0 ? undefined : cupIn(matters[face.paint.fronts[code]!]);
  };
  let differ = 0;
  for (let i = 0; i < LAID_OVER; i++) {
    const [x, y] = evenSpot(i);
    if (cupAt(one, x, y) !== cupAt(other, x, y)) differ++;
  }
  return differ > ALIKE * LAID_OVER;
}
