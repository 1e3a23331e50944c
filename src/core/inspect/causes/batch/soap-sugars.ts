import { materials } from '../../../material';
import type { Cause } from '../cause';
import { rooms } from '../case';
import { figure } from '../../../quantity';

/** From so much of the oils on it is felt, a share; and a room from which it is too much, °C. Usual practice of the trade. */
const MUCH = 0.02;
const WARM = 24;

/** Sugars and a warm room drive soap through its gel too hot. */
export const soapSugars: Cause = {
  id: 'soap-sugars',
  defects: ['overheated', 'separated layers'],
  evidence(c) {
    const sugars = c.bases.flatMap((b) => materials.of(b).sugars?.(b) ?? []);
    const share = sugars.reduce((s, a) => s + a.share, 0);
    const { read, planned } = rooms(c);
    const room = read ?? planned;
    const strength = share / MUCH + Math.max(0, room - WARM) / 10 - 0.5;
    if (!share || strength <= 0) return undefined;
    return {
      fact: `${(share * 100).toFixed(1)} % ${sugars.flatMap((a) => a.names).join(' and ')} in it, in a room of ${figure(room, '°C')}`,
      strength,
      change: 'less sugar, cooler oils and lye, and leave the loaf unwrapped in a cool place'
    };
  }
};
