import type { Casting } from '../../../pattern';
import { waysOf } from '../../flowing';
import type { Barrier } from './fields';

/** It keeps apart what is poured on either side, and stays in the piece. */
export function flow(act: Barrier, casting: Casting): void {
  casting.barrier = waysOf(casting, act.path)[0];
  casting.embed({ kind: 'line', way: casting.barrier ?? [], radius: LINE, low: 0, high: act.height });
}

/** Half the width of a line of beads or clay, mm. */
const LINE = 0.8;
