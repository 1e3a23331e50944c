import { between, type Casting } from '../../../pattern';
import { spotOf, type Poured } from '../../flowing';
import type { Specks } from './fields';

/** How far over the footprint they fall, as shares of the way to the wall: from, to. */
const OVER = { 'all of it': [0, 0.95], 'the middle': [0, 0.45], 'the rim': [0.65, 0.95] } as const;
/** A speck sinks in by so much of its radius. */
const SINKS = 0.8;

/** Drops of uneven size fall into the surface. */
export function flow(act: Specks, casting: Casting, { mm3, content }: Poured): void {
  const { chance, section } = casting;
  const [from, to] = OVER[act.over];
  const sizes = Array.from({ length: act.drops }, () => Math.exp(act.spread * between(chance, -1.4, 1.4)));
  const all = sizes.reduce((s, v) => s + v, 0);
  const { matter } = content(act.cupId);
  const drops = sizes.map((size) => {
    for (;;) {
      const place = { x: between(chance, -to, to), y: between(chance, -to, to) };
      const { x, y } = spotOf(casting, place);
      const out = Math.hypot(place.x, place.y);
      if (out >= from && out <= to && section.contains(x, y))
        return { x, y, mm3: (mm3 * size) / all, matter };
    }
  });
  const radius = Math.cbrt(mm3 / act.drops / (Math.PI * SINKS));
  casting.drops(drops, Math.max(casting.still, casting.level - SINKS * radius));
}
