import { like } from '../case';
import type { Cause } from '../cause';
import { figure } from '../../../quantity';

/** Under this a mould chills what is shot hot at its wall before it has run together, °C; usual practice of the trade. */
const COLD = 40;

/** Hot plastisol into a cold mould. */
export const mouldColdPlastisol: Cause = {
  id: 'mould-cold-plastisol',
  defects: ['bubbles on the mould face', 'short fill or ledge'],
  evidence(c) {
    if (!like(c, 'injected hot')) return undefined;
    const read = c.state.probed.get(c.groupId)?.celsius;
    if (read === undefined) return { note: 'the mould’s temperature before the first shot' };
    return read < COLD
      ? {
          fact: `the mould read ${figure(read, '°C', 0)} before the shot`,
          strength: (COLD - read) / COLD,
          change: 'warm the mould, and reject the first shot'
        }
      : undefined;
  }
};
