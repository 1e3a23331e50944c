import type { Cause } from '../cause';
import { like, rooms } from '../case';
import { figure } from '../../../quantity';

/** A room this much colder than planned is worth a word, °C. */
const COLD = 3;

/** A room colder than the plan reckoned with. */
export const coldRoom: Cause = {
  id: 'cold-room',
  defects: [
    'tacky or soft',
    'sweat marks',
    'separated layers',
    'colours run together',
    'ash bloom',
    'oily, streaked or crumbly'
  ],
  evidence(c) {
    const { read, planned } = rooms(c);
    if (read === undefined) return { note: 'the room’s temperature' };
    if (read > planned - COLD || like(c, 'sets by cooling')) return undefined;
    return {
      fact: `the room was ${figure(read, '°C')}, planned for ${figure(planned, '°C')}`,
      strength: (planned - read) / 10,
      change: `warm the room to ${figure(planned, '°C')}, or plan for ${figure(read, '°C')}`,
      apply: (plan) => ({ ...plan, bench: { ...plan.bench, roomCelsius: read } })
    };
  }
};
