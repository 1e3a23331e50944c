import type { Colourant } from '../../material';
import { PLAIN_BASE } from '../pigment/optics';
import { deepReflectance, mixtureOf } from '../pigment/pigment';
import { labOf } from './spectrum';

/** A little of a white in this stays white, L*. */
const PALE = 88;

/**
 * How light 3 % of a colourant is, deep in a plain pale resin, L*: what is white in the cup, whatever it is called.
 * @example paleness(colourant('blue-paste')) // 30.792
 */
export const paleness = (colourant: Colourant): number =>
  labOf(deepReflectance(mixtureOf({ base: PLAIN_BASE, doses: [{ colourant, percent: 3 }] }))).l;

/**
 * Whether a colourant whitens what it is stirred into.
 * @example isWhite(colourant('blue-paste')) // false
 */
export const isWhite = (colourant: Colourant): boolean => paleness(colourant) > PALE;
