import type { Cause } from '../cause';
import { filled } from '../case';
import { figure } from '../../../quantity';

/** Less by this share shows. */
const SHORT = 0.02;

/** Less went in than the cavity takes. */
export const pouredUnder: Cause = {
  id: 'poured-under',
  defects: ['short fill or ledge', 'sunk sprue or dent', 'too dark, too light or another hue'],
  evidence(c) {
    const took = filled(c);
    if (!took) return { note: 'what was poured into the cavities, in grams' };
    const short = 1 - took.poured / took.planned;
    return short > SHORT
      ? {
          fact: `${figure(took.poured, 'g', 1)} were poured of ${figure(took.planned, 'g', 1)}`,
          strength: short * 10,
          change: 'mix for what clings and for the meniscus; top the sprue while it shrinks'
        }
      : undefined;
  }
};
