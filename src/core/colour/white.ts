import type { Colourant } from '../material';
import { deepReflectance, mixtureOf } from './pigment';
import { labOf } from './spectrum';

/** A little of a white in this stays white, L*. */
const PALE = 88;
const PLAIN = { kind: 'resin' as const, colour: '#f1ede0', density: 1.1 };

/** How light 3 % of a colourant is, deep in a plain pale resin, L*: what is white in the cup, whatever it is called. */
export const paleness = (colourant: Colourant): number =>
  labOf(deepReflectance(mixtureOf({ base: PLAIN, doses: [{ colourant, percent: 3 }] }))).l;

/** Whether a colourant whitens what it is stirred into. */
export const isWhite = (colourant: Colourant): boolean => paleness(colourant) > PALE;
