import { differenceCiede2000 } from 'culori/fn';
import type { Lab } from './spectrum';

const ciede = differenceCiede2000();

/**
 * CIEDE2000 of two colours (D65 Lab on both sides): 1 is just seen side by side, 5 reads as one in a cut.
 * @example deltaE(labOfHex('#5b7d95'), labOfHex('#5b7d96')) // 0.42258
 */
export const deltaE = (a: Lab, b: Lab): number => ciede({ mode: 'lab65', ...a }, { mode: 'lab65', ...b });
