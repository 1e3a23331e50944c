import type { Casting } from '../../../pattern';
import type { Poured } from '../../flowing';
import type { ChamberAct } from './fields';

/** It fills its chamber; without one on the mould's card it takes the next strip of bare ground. */
export function flow(act: ChamberAct, casting: Casting, { mm3, content, chamber }: Poured): void {
  const own = act.chamberId === undefined ? undefined : chamber(act.chamberId);
  if (own) casting.chamber(content(act.cupId), mm3, own);
  else casting.strip(content(act.cupId).matter, mm3);
}
