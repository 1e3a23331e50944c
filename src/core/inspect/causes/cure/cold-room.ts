import type { Cause } from '../cause';
import { like, rooms } from '../case';

/** A room this much colder than planned is worth a word, °C. */
const COLD = 3;

/** A room colder than the plan reckoned with. */
export const coldRoom: Cause = {
  id: 'cold-room',
  defects: ['tacky or soft', 'sweat marks', 'separated layers', 'colours run together', 'ash bloom'],
  evidence(c) {
    const { read, planned } = rooms(c);
    if (read === undefined) return { note: 'the room’s temperature' };
    if (read > planned - COLD || like(c, 'sets by cooling')) return undefined;
    return {
      fact: `the room was ${read} °C, planned for ${planned} °C`,
      strength: (planned - read) / 10,
      change: `warm the room to ${planned} °C, or plan for ${read} °C`,
      apply: (plan) => ({ ...plan, bench: { ...plan.bench, roomCelsius: read } })
    };
  }
};
