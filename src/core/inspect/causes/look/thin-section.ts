import type { Cause } from '../cause';
import { like } from '../case';
import { figure } from '../../../quantity';

/** Gypsum and concrete thinner than this break under the thumb, mm; a starting figure, the card of the material wins. */
const THIN = 6;

/** A brittle piece too thin to be bent out of its mould. */
export const thinSection: Cause = {
  id: 'thin-section',
  defects: ['snapped or chipped on demould'],
  evidence(c) {
    const group = c.frozen.computed.groups.find((g) => g.groupId === c.groupId);
    if (!group || !like(c, 'mineral') || group.depth >= THIN) return undefined;
    return {
      fact: `the piece is ${figure(group.depth, 'mm', 1)} thick; under ${figure(THIN, 'mm')} it breaks before it bends`,
      strength: THIN / Math.max(1, group.depth) - 1,
      change: 'a thicker piece, a mesh or fibres in it, and the mould peeled off the piece'
    };
  }
};
