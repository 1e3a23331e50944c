import type { Cause } from '../cause';
import { mouldHere } from '../case';

/** Less lean than this holds a rigid piece, degrees; usual practice for rigid moulds. */
const LEAST = 1;

/** A cavity that does not let go by itself. */
export const undercut: Cause = {
  id: 'undercut',
  defects: ['snapped or chipped on demould'],
  evidence(c) {
    const group = c.plan.groups.find((g) => g.id === c.groupId);
    const cavity = mouldHere(c)?.cavities.find((x) => x.id === group?.cavityId);
    return cavity?.draft !== undefined && cavity.draft < LEAST
      ? {
          fact: `its walls lean out by ${cavity.draft}°`,
          strength: LEAST - cavity.draft,
          change: 'flex the mould all round before pulling, or split it'
        }
      : undefined;
  }
};
