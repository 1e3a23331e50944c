import { wobble, type Casting, type Corner } from '../../../pattern';
import { pathCopies } from '../../place';
import type { Poured } from '../../flowing';
import type { Region } from './fields';

/** How much the edge of a region wanders where it is worked into what is fluid. */
const BLURS = 0.14;

/** Blurred: pushed into what is fluid, flush with it. Crisp: in the place of what was milled out. */
export function flow(act: Region, casting: Casting, { mm3, content }: Poured): void {
  const { half } = casting.section;
  const outlines = pathCopies(act.outline, half.length / half.width).map((copy) =>
    copy.map((p): Corner => [p.x * half.width, p.y * half.length])
  );
  const own = content(act.cupId);
  const each = mm3 / outlines.length;
  if (act.edges === 'crisp') return outlines.forEach((outline) => casting.refill(own, each, outline));
  if (casting.bare) {
    for (const outline of outlines) casting.beside(own.matter, each, [...outline, outline[0]!]);
    return;
  }
  for (const outline of outlines) casting.region(own, each, outline);
  casting.stir(wobble(casting.section, BLURS, casting.chance));
}
