import { distanceTo, within, type Casting, type Corner } from '../../../pattern';
import { pathCopies, type Path } from '../../place';
import type { Dust } from './fields';

/** A film on the mould face, fading as it was brushed; what touched the mould first stays in front. */
export function flow(act: Dust, casting: Casting): void {
  const { width, length } = casting.section.half;
  const fade = FADES[act.fade];
  const over = act.over === 'the raised parts' || act.wiped !== 'no' ? RAISED : 1;
  const zone = act.within ? brushedIn(casting, act.within) : () => 1;
  casting.film({
    colourantId: act.colourantId ?? '',
    cover: (x, y) => over * act.cover * zone(x, y) * fade(x / width, y / length)
  });
}

/** Of the face, what stands raised on it where no relief is known: brushed or wiped there, so much of a coat is left. */
const RAISED = 0.25;

/** A soft brush leaves an edge so wide, of the face’s half width: it fades out inside the outline. */
const SOFT = 0.12;

/** How much of a coat lies at a place that was brushed within an outline and its copies: none outside, all of it well inside. */
function brushedIn({ section: { half } }: Casting, outline: Path): (x: number, y: number) => number {
  const zones = pathCopies(outline, half.length / half.width).map((copy) =>
    copy.map((p): Corner => [p.x * half.width, p.y * half.length])
  );
  const edge = SOFT * Math.min(half.width, half.length);
  return (x, y) =>
    Math.max(
      0,
      ...zones.map((zone) =>
        within(zone, x, y) ? Math.min(1, distanceTo(x, y, [...zone, zone[0]!]) / edge) : 0
      )
    );
}

const between01 = (v: number) => Math.min(1, Math.max(0, v));
/** How much of the cover is there, over the face as shares from the middle. */
const FADES: Record<Dust['fade'], (x: number, y: number) => number> = {
  evenly: () => 1,
  'to the left': (x) => between01(0.5 + 0.8 * x),
  'to the right': (x) => between01(0.5 - 0.8 * x),
  away: (_, y) => between01(0.5 - 0.8 * y),
  outward: (x, y) => between01(1.15 - Math.hypot(x, y))
};
