import { between, type Casting } from '../../../pattern';
import { spotOf, type Poured } from '../../flowing';
import type { Specks } from './fields';

/** How far over the footprint they fall, as shares of the way to the wall: from, to. */
const OVER = { 'all of it': [0, 0.95], 'the middle': [0, 0.45], 'the rim': [0.65, 0.95] } as const;
/** A speck sinks in by so much of its radius. */
const SINKS = 0.8;

/** Drops of uneven size fall into the surface. */
export function flow(act: Specks, casting: Casting, { mm3, content }: Poured): void {
  const { chance } = casting;
  const [from, to] = OVER[act.over];
  const sizes = Array.from({ length: act.drops }, () => Math.exp(act.spread * between(chance, -1.4, 1.4)));
  const all = sizes.reduce((s, v) => s + v, 0);
  const { matter } = content(act.cupId);
  const drops = sizes.map((size) => ({
    ...(placeIn(casting, from, to) ?? placeIn(casting, 0, 1) ?? { x: 0, y: 0 }),
    mm3: (mm3 * size) / all,
    matter
  }));
  const radius = Math.cbrt(mm3 / act.drops / (Math.PI * SINKS));
  casting.drops(drops, Math.max(casting.still, casting.level - SINKS * radius));
}

/** Throws until one hits: a ring has no middle, a corner no rim on one side. */
const THROWS = 400;

/** A place so far out, as shares of the way to the wall; nothing where the footprint has none there. */
function placeIn(casting: Casting, from: number, to: number): { x: number; y: number } | undefined {
  const { chance, section } = casting;
  for (let i = 0; i < THROWS; i++) {
    const place = { x: between(chance, -to, to), y: between(chance, -to, to) };
    const at = spotOf(casting, place);
    const out = Math.hypot(place.x, place.y);
    if (out >= from && out <= to && section.contains(at.x, at.y)) return at;
  }
  return undefined;
}
