import { wobble, type Casting, type Content } from '../../../pattern';
import type { Poured } from '../../flowing';
import type { Lay } from './fields';

/** It levels over all there is, or in its chamber. */
export function flow(act: Lay, casting: Casting, { mm3, content, chamber }: Poured): void {
  const own = act.chamberId === undefined ? undefined : chamber(act.chamberId);
  if (own) casting.chamber(content(act.cupId), mm3, own);
  else layVeined(casting, content(act.cupId), mm3);
}

/** A clean colour levels; one left in veins is bent as it runs out. */
function layVeined(casting: Casting, own: Content, mm3: number): void {
  casting.lay(own, mm3);
  if (own.unstirred) casting.stir(wobble(casting.section, 0.9, casting.chance));
}
