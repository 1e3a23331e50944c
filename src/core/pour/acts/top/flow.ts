import { wobble, type Casting } from '../../../pattern';
import type { Poured } from '../../flowing';
import type { Top } from './fields';

/** It stands on what is there. */
export function flow(act: Top, casting: Casting, { mm3, content }: Poured): void {
  casting.lay(content(act.cupId), mm3);
  if (act.how !== 'piped') casting.stir(wobble(casting.section, 0.2, casting.chance));
}
