import type { Cause } from '../cause';
import { like } from '../case';
import { figure } from '../../../quantity';

/** Under this hard fats begin to set again, °C; usual practice of the trade. */
const SETS = 30;

/** Cold soap: its fats set again before it thickened. */
export const stoodPastProbe: Cause = {
  id: 'stood-past-probe',
  defects: ['separated layers', 'ash bloom', 'unmixed streaks or specks'],
  evidence(c) {
    if (!like(c, 'goes by trace')) return undefined;
    const read = [...c.state.probed.values()].map((p) => p.celsius);
    if (!read.length) return { note: 'the temperatures of oils and lye when they met' };
    const least = Math.min(...read);
    return least < SETS
      ? {
          fact: `a probe read ${figure(least, '°C', 0)}; under ${figure(SETS, '°C')} hard fats set again and look like trace`,
          strength: (SETS - least) / 10,
          change: `oils and lye at ${figure(38, '°C')} or above, and mix through`
        }
      : undefined;
  }
};
