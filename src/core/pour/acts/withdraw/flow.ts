import type { Casting } from '../../../pattern';
import { spotOf } from '../../flowing';
import type { Withdraw } from './fields';

/** What stood there leaves; the rest flows in. */
export function flow(act: Withdraw, casting: Casting): void {
  casting.withdraw(act.ml * 1000, spotOf(casting, act.at));
}
