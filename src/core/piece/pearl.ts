import type { CupDose } from '../batch';
import type { Colourant } from '../material';
import { noiseFrom, type Spot } from '../pattern';

/** Flakes that lie in layers and shine. */
const SHINES: ReadonlySet<Colourant['form']> = new Set(['mica', 'interference pearl']);
/** From so much of them on a cup shines as much as it will, percent. A starting figure. */
const FULL_SHINE = 1.5;

/** How much a cup shines by what pearl is stirred into it, 0 to 1. */
export const pearlOf = (doses: readonly CupDose[]): number =>
  Math.min(1, doses.reduce((s, d) => s + (SHINES.has(d.colourant.form) ? d.percent : 0), 0) / FULL_SHINE);

/** How far apart streaks of pearl lie where it was poured, of the face's size, and how much longer than wide they are. */
const STREAKS = { apart: 0.1, long: 3.2 } as const;
/** Steps of light from a colour's own to its lightest and to its darkest streak. */
const LIGHTS = 2;

/**
 * How pearl catches the light, in whole steps, by where its matter was poured: what has been stirred since has drawn its streaks out
 * with it, so they follow the flow.
 * @param size of the face, mm
 */
export function streaks(size: number): (from: Spot) => number {
  const noise = noiseFrom(23);
  const a = STREAKS.apart * size;
  return ({ x, y, z }) => {
    const [u, v, w] = [x / a / STREAKS.long, y / a, z / a];
    const light = noise(u, v, w) + 0.5 * noise(2.3 * u + 7, 2.9 * v, 2.3 * w);
    return Math.max(-LIGHTS, Math.min(LIGHTS, Math.round(1.5 * LIGHTS * light)));
  };
}

/** What a step of light adds to a colour, or takes from it, as a share. */
export const SHINE = 0.11;
