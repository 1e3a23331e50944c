import { materials } from '../../../material';
import type { Cause } from '../cause';

/** Parts of a fragrance to the oils that make a quick one seize, a share; usual practice, its own sheet wins. */
const USUAL = 0.03;

/** A fragrance that drives the batter. */
export const quickFragrance: Cause = {
  id: 'quick-fragrance',
  defects: ['separated layers', 'unmixed streaks or specks', 'oily, streaked or crumbly'],
  evidence(c) {
    const [quick] = c.bases.flatMap((b) => materials.of(b).fragrance?.(b) ?? []);
    if (!quick) return undefined;
    return {
      fact: `its fragrance is known as ${quick.known}: ${(quick.share * 100).toFixed(1)} % of the oils`,
      strength: quick.share / USUAL,
      change: 'a calm fragrance, or this one stirred in by hand last, into cool batter'
    };
  }
};
