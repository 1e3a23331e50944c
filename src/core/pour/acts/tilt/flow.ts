import { tumbling, wobble, type Casting } from '../../../pattern';
import type { Tilt } from './fields';

/** What is fluid runs to the lowered side, its surface first: it rolls over itself along that way. */
export function flow(act: Tilt, casting: Casting): void {
  const { section, chance, still, level } = casting;
  const much = Math.min(1, act.degrees / 45);
  const heading = (act.towards * Math.PI) / 180;
  const rolls = tumbling(section, { low: still, high: level }, { count: 12, turn: 0.3 + 0.5 * much }, chance);
  // A roll turns from its heading upward: backwards, so that what is on top goes first.
  casting.tumble(rolls.map((r) => ({ ...r, heading, turn: -Math.abs(r.turn) })));
  casting.stir(wobble(section, 0.5 * much, chance));
}
