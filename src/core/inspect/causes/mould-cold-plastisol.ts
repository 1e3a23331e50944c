import type { Cause } from './cause';
import { made } from './case';

/** The first shots into a cold metal mould. */
export const mouldColdPlastisol: Cause = {
  id: 'mould-cold-plastisol',
  defects: ['bubbles on the mould face', 'short fill or ledge'],
  looks(c) {
    const mould = c.frozen.file.shelf.moulds.find((m) =>
      c.plan.groups.some((g) => g.id === c.groupId && g.mouldId === m.id)
    );
    if (!made(c, 'plastisol') || mould?.material === 'silicone') return undefined;
    return {
      fact: `hot plastisol into ${mould?.name ?? 'a mould'} of ${mould?.material ?? 'metal'}, its temperature not told`,
      strength: 0.4,
      change: 'warm the mould, and reject the first shot'
    };
  }
};
