import type { Casting } from '../../../pattern';
import type { Poured } from '../../flowing';
import type { Lay } from './fields';

/** It levels over all there is, or in its chamber. */
export function flow(act: Lay, casting: Casting, { mm3, content, chamber }: Poured): void {
  const own = act.chamberId === undefined ? undefined : chamber(act.chamberId);
  if (own) casting.chamber(content(act.cupId), mm3, own);
  else casting.lay(content(act.cupId), mm3);
}
