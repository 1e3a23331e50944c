import type { Casting } from '../../../pattern';
import type { Poured } from '../../flowing';
import type { Coat } from './fields';

/** A thin skin on the mould face: it runs over all of it. */
export function flow(act: Coat, casting: Casting, { mm3, content }: Poured): void {
  casting.lay(content(act.cupId), mm3);
}
