import type { Cause } from '../cause';
import { acted, like } from '../case';

/** The face of cold-process soap met the air unprotected. */
export const noSpray: Cause = {
  id: 'no-spray',
  defects: ['ash bloom'],
  evidence(c) {
    if (!like(c, 'ashes')) return undefined;
    const all = acted(c, 'shields');
    if (!all.length)
      return {
        fact: 'no spray and no cover is in the plan',
        strength: 0.5,
        change: 'spray alcohol on the open face at once and again, no flame near; or cover it'
      };
    return all.some((a) => a.entry.status === 'skipped')
      ? {
          fact: 'the spray or the cover was left out',
          strength: 1,
          change: 'spray, or cover, right after the pour'
        }
      : undefined;
  }
};
