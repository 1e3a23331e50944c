import type { Cause } from '../cause';
import { mouldHere } from '../case';

/** A gloss face from a mould that has none. */
export const matteMould: Cause = {
  id: 'matte-mould',
  defects: ['haze from a matte mould'],
  evidence(c) {
    const mould = mouldHere(c);
    return mould && mould.finish !== 'gloss'
      ? {
          fact: `${mould.name} has a ${mould.finish} face`,
          strength: mould.finish === 'matte' ? 1 : 0.6,
          change: 'a gloss mould, or sand and polish the piece'
        }
      : undefined;
  }
};
