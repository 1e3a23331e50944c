import { strongest, type Cause } from '../cause';
import { cupName, stirs } from '../case';

/** Less of the card's time than this counts as short. */
const SHORT = 0.8;

/** Stirred for less time than its card asks. */
export const stirredShort: Cause = {
  id: 'stirred-short',
  defects: ['tacky or soft', 'unmixed streaks or specks', 'separated layers', 'oily, streaked or crumbly'],
  evidence(c) {
    return strongest(
      stirs(c)
        .filter((s) => s.took < s.planned * SHORT)
        .map((s) => ({
          fact: `${cupName(c, s.mixId)} was stirred for ${s.took.toFixed(1)} min of ${s.planned.toFixed(1)}`,
          strength: s.planned / Math.max(0.1, s.took) - 1,
          change: 'stir the card’s whole time, and scrape sides and bottom'
        }))
    );
  }
};
