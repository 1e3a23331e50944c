import type { Casting } from '../../../pattern';
import type { Dust } from './fields';

/** A film on the mould face, fading as it was brushed; what touched the mould first stays in front. */
export function flow(act: Dust, casting: Casting): void {
  const { width, length } = casting.section.half;
  const fade = FADES[act.fade];
  const over = act.over === 'the raised parts' || act.wiped !== 'no' ? RAISED : 1;
  casting.film({
    colourantId: act.colourantId ?? '',
    cover: (x, y) => over * act.cover * fade(x / width, y / length)
  });
}

/** Of the face, what stands raised on it where no relief is known: brushed or wiped there, so much of a coat is left. */
const RAISED = 0.25;

const between01 = (v: number) => Math.min(1, Math.max(0, v));
/** How much of the cover is there, over the face as shares from the middle. */
const FADES: Record<Dust['fade'], (x: number, y: number) => number> = {
  evenly: () => 1,
  'to the left': (x) => between01(0.5 + 0.8 * x),
  'to the right': (x) => between01(0.5 - 0.8 * x),
  away: (_, y) => between01(0.5 - 0.8 * y),
  outward: (x, y) => between01(1.15 - Math.hypot(x, y))
};
