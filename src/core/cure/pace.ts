import type { Behaviour } from './behaviour';
import { atPace, type Room } from './room';

/** Something that makes a cup run ahead of its card or lag behind it: a factor on its times, and what it is in plain words. */
export interface Pace {
  factor: number;
  why: string;
}

/**
 * All of them together, as one factor on a cup's times, 1 where nothing speeds or slows it.
 * @example together([{ factor: 1.5 }, { factor: 2 }]) // 3
 */
export const together = (paces: readonly Pace[]): number => paces.reduce((f, p) => f * p.factor, 1);

/**
 * The same material running ahead (under 1) or behind (over 1) by a factor on all of its times; its heat stays as reckoned.
 * @example Math.round(paced(byCureModel(40, undefined), 2).cupReaches('gelled', 100, 23)) // 80
 */
export function paced(behaviour: Behaviour, factor: number): Behaviour {
  if (factor === 1) return behaviour;
  // Its nights come when they come, however fast it goes.
  const paceOf = (room: Room) => atPace(room, factor);
  return {
    ...behaviour,
    pourUntil: (grams, room) => factor * behaviour.pourUntil(grams, paceOf(room)),
    goneBy: (grams, room) => factor * behaviour.goneBy(grams, paceOf(room)),
    layerReaches: (state, mm, room) => factor * behaviour.layerReaches(state, mm, paceOf(room)),
    cupReaches: (state, grams, room) => factor * behaviour.cupReaches(state, grams, paceOf(room)),
    warmsTo: (celsius, body, room) => factor * behaviour.warmsTo(celsius, body, paceOf(room)),
    layerFirm: (mm, room) => factor * behaviour.layerFirm(mm, paceOf(room))
  };
}
