import { materials, type Colourant, type Shift } from '../../material';
import { lookOf, type Lab, type Look } from '../spectrum/spectrum';

/** The states a piece is seen in. The card's own colour is of the cured, dry piece. */
export type Finish = 'wet' | 'dry' | 'sealed' | 'aged';

const none: Shift = { light: 1, chroma: 1, yellow: 0 };

/** Inks dry a little darker than they pour. */
const INK_DRIES = 0.95;

/**
 * A dry piece's colour in another state, by how its material's look moves.
 * @param ink where a dye carries the colour
 * @example finished(labOfHex('#808080'), 'gypsum', 'wet').hex // '#707070'
 */
export function finished(lab: Lab, kind: string, finish: Finish, ink = false): Look {
  const shift = (finish === 'dry' ? undefined : materials.of({ kind }).optics.shifts[finish]) ?? none;
  const dries = ink && finish !== 'wet' ? INK_DRIES : 1;
  return lookOf({
    l: lab.l * shift.light * dries,
    a: lab.a * shift.chroma,
    b: lab.b * shift.chroma + shift.yellow
  });
}

/**
 * Whether a recipe's colour is carried by a dye.
 * @example isInk([]) // false
 */
export const isInk = (doses: readonly { colourant: Colourant }[]): boolean =>
  doses.some((d) => d.colourant.form === 'ink');
