import type { Base, Colourant } from '../material';
import { lookOf, type Lab, type Look } from './spectrum';

/** The states a piece is seen in. The card's own colour is of the cured, dry piece. */
export type Finish = 'wet' | 'dry' | 'sealed' | 'aged';

interface Shift {
  /** Lightness and chroma as multiples, and what is added to b*: yellowing. */
  light: number;
  chroma: number;
  yellow: number;
}
const none: Shift = { light: 1, chroma: 1, yellow: 0 };

/**
 * How much each base's look moves from the dry piece. Starting values, typical of the trade: concrete and gypsum
 * lighten as they dry and deepen when sealed, soap base and clear resin yellow with time.
 */
const SHIFTS: Record<Base['kind'], Partial<Record<Finish, Shift>>> = {
  concrete: {
    wet: { light: 0.8, chroma: 1.1, yellow: 0 },
    sealed: { light: 0.9, chroma: 1.12, yellow: 0 }
  },
  gypsum: {
    wet: { light: 0.88, chroma: 1.08, yellow: 0 },
    sealed: { light: 0.95, chroma: 1.08, yellow: 0 }
  },
  resin: { aged: { light: 0.99, chroma: 1, yellow: 2 } },
  soap: { wet: { light: 0.97, chroma: 1.04, yellow: 1 }, aged: { light: 0.99, chroma: 0.97, yellow: 4 } },
  'melt and pour': { aged: { light: 0.99, chroma: 0.98, yellow: 2 } },
  plastisol: { aged: { light: 0.98, chroma: 1, yellow: 2 } },
  rubber: {}
};
/** Inks dry a little darker than they pour. */
const INK_DRIES = 0.95;

/** A dry piece's colour in another state. `ink` where a dye carries the colour. */
export function finished(lab: Lab, kind: Base['kind'], finish: Finish, ink = false): Look {
  const shift = SHIFTS[kind][finish] ?? none;
  const dries = ink && finish !== 'wet' ? INK_DRIES : 1;
  return lookOf({
    l: lab.l * shift.light * dries,
    a: lab.a * shift.chroma,
    b: lab.b * shift.chroma + shift.yellow
  });
}

/** Whether a recipe's colour is carried by a dye. */
export const isInk = (doses: readonly { colourant: Colourant }[]): boolean =>
  doses.some((d) => d.colourant.form === 'ink');
