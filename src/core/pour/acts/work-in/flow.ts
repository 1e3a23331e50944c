import { wobble, type Casting, type Corner } from '../../../pattern';
import type { Poured } from '../../flowing';
import { pathCopies } from '../../place';
import type { WorkIn } from './fields';

/** How much the edge of what is worked in wanders: set by eye. */
const WANDERS = 0.2;

/** It takes the place of what is fluid within its outline, so deep as it is worked in, and the tool draws its edge out. */
export function flow(act: WorkIn, casting: Casting, { pot }: Poured): void {
  if (casting.bare || act.colourantId === undefined) return;
  const { half } = casting.section;
  const outlines = pathCopies(act.outline, half.length / half.width).map((copy) =>
    copy.map((p): Corner => [p.x * half.width, p.y * half.length])
  );
  const { content, density } = pot(act.colourantId);
  const mm3 = (act.grams / density) * 1000;
  for (const outline of outlines) casting.region(content, mm3 / outlines.length, outline);
  casting.stir(wobble(casting.section, WANDERS, casting.chance));
}
