import type { Cause } from '../cause';
import { filled } from '../case';
import { figure } from '../../../quantity';

/** More by this share stands over a rim. */
const OVER = 0.02;

/** More went in than the cavity takes. */
export const pouredOver: Cause = {
  id: 'poured-over',
  defects: ['overfilled lip', 'too dark, too light or another hue'],
  evidence(c) {
    const took = filled(c);
    if (!took) return { note: 'what was poured into the cavities, in grams' };
    const over = took.poured / took.planned - 1;
    return over > OVER
      ? {
          fact: `${figure(took.poured, 'g', 1)} were poured for ${figure(took.planned, 'g', 1)}`,
          strength: over * 10,
          change: 'stop at the rim; the rest goes to the spare cavities'
        }
      : undefined;
  }
};
