import { wobble, type Casting } from '../../../pattern';
import { spotOf, type Poured } from '../../flowing';
import type { ColumnAct } from './fields';
import { postOutline } from './post';

/** Rings spread from the post and follow its outline. */
export function flow(act: ColumnAct, casting: Casting, { mm3, content }: Poured): void {
  const outline = postOutline(act, casting.section.area);
  casting.overPost(content(act.cupId).matter, mm3, spotOf(casting, act.at), outline);
  casting.stir(wobble(casting.section, 0.05, casting.chance));
}
