import { strongest, type Cause } from '../cause';
import { cupName, standings } from '../case';

/** The share off that a two-part mix stands; typical of data sheets. */
const MOST_OFF = 0.02;

/** Nearer to what was planned than this share nothing was weighed wrong. */
const SEEN = 0.004;

/** A mix that ended off its ratio. */
export const ratioOff: Cause = {
  id: 'ratio-off',
  defects: [
    'tacky or soft',
    'snapped or chipped on demould',
    'separated layers',
    'sweat marks',
    'ash bloom',
    'oily, streaked or crumbly'
  ],
  evidence(c) {
    return strongest(
      standings(c)
        // What the plan itself came to is its own affair.
        .filter((s) => s.harms && s.off > s.planned + SEEN)
        .map((s) => ({
          fact: `${cupName(c, s.mixId)} ended ${(s.off * 100).toFixed(1)} % off its ratio: ${s.words}`,
          strength: s.off / MOST_OFF,
          change: 'weigh both parts; let the rest follow an overshoot'
        }))
    );
  }
};
