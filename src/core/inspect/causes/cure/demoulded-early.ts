import { duration } from '../../../quantity';
import type { Cause } from '../cause';
import { demouldOf } from '../case';

const words = duration;

/** Taken out before the early edge of its window. */
export const demouldedEarly: Cause = {
  id: 'demoulded-early',
  defects: ['snapped or chipped on demould', 'tacky or soft'],
  evidence(c) {
    const d = demouldOf(c);
    if (!d) return { note: 'when the piece left its mould' };
    if (d.after >= d.from * 0.98) return undefined;
    return {
      fact: `demoulded ${words(d.after)} after the last pour; firm from ${words(d.from)}`,
      strength: d.from / Math.max(1, d.after) - 1,
      change: `wait until ${words(d.from)} after the last pour`
    };
  }
};
