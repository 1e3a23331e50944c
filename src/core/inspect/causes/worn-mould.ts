import type { Cause } from './cause';

/** A mould that is worn gives its wear to every piece. */
export const wornMould: Cause = {
  id: 'worn-mould',
  defects: ['haze from a matte mould', 'snapped or chipped on demould', 'overfilled lip'],
  looks(c) {
    const mould = c.frozen.file.shelf.moulds.find((m) =>
      c.plan.groups.some((g) => g.id === c.groupId && g.mouldId === m.id)
    );
    if (!mould || (mould.condition ?? 'sound') === 'sound') return undefined;
    return {
      fact: `${mould.name} stands as ${mould.condition} on the shelf`,
      strength: mould.condition === 'torn' ? 1 : 0.5,
      change: 'a new mould of the same master, or this one for pieces whose face does not show'
    };
  }
};
