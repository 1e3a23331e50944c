import { strongest, type Cause } from '../cause';
import { cupName, standings } from '../case';

/** Soap with more fat left over than planned: too little lye, or too much of an oil. */
export const fatOver: Cause = {
  id: 'fat-over',
  defects: ['oily, streaked or crumbly', 'tacky or soft'],
  evidence(c) {
    return strongest(
      standings(c)
        .filter((s) => s.felt && s.off > s.planned)
        .map((s) => ({
          fact: `${cupName(c, s.mixId)} ended with ${s.words}`,
          strength: s.off - s.planned,
          change: 'weigh lye and oils to the gram; let the rest follow an overshoot'
        }))
    );
  }
};
