import type { Casting } from '../../../pattern';
import { waysOf } from '../../flowing';
import type { Barrier } from './fields';

/** It keeps apart what is poured on either side, and stays in the piece. */
export function flow(act: Barrier, casting: Casting): void {
  const [way] = waysOf(casting, act.path);
  if (way) casting.standBarrier(way, act.height);
}
