import type { Casting } from '../../../pattern';
import type { Lift } from './fields';

/** What stood round it closes, or takes the next pour. A barrier leaves what it kept apart as it stands. */
export function flow(act: Lift, casting: Casting): void {
  if (act.what === 'divider') casting.liftDivider();
  if (act.what === 'post') casting.liftPost();
  if (act.what === 'barrier') casting.liftBarrier();
}
