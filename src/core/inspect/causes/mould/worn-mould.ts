import type { Cause } from '../cause';
import { mouldHere } from '../case';

/** A mould that is worn gives its wear to every piece. */
export const wornMould: Cause = {
  id: 'worn-mould',
  defects: ['haze from a matte mould', 'snapped or chipped on demould'],
  evidence(c) {
    const mould = mouldHere(c);
    if (!mould || (mould.condition ?? 'sound') === 'sound') return undefined;
    return {
      fact: `${mould.name} stands as ${mould.condition} on the shelf`,
      // A card says how it is, not by how much: starting values.
      strength: mould.condition === 'torn' ? 1 : 0.5,
      change: 'a new mould of the same master, or this one for pieces whose face does not show'
    };
  }
};
