import type { Cause } from '../cause';
import { mouldHere } from '../case';

/** A mould that needs release or a liner, and nobody looked whether it had it. */
export const releaseNotLookedAt: Cause = {
  id: 'release-not-looked-at',
  defects: ['snapped or chipped on demould'],
  evidence(c) {
    const mould = mouldHere(c);
    const prepare = c.frozen.tasks.find((t) => t.kind === 'prepare');
    const asked = prepare?.kind === 'prepare' && prepare.checks?.some((k) => k.id === 'moulds');
    if (!mould || !asked || (mould.needs ?? 'nothing') === 'nothing' || c.state.ticked.has('moulds'))
      return undefined;
    return {
      fact: `${mould.name} needs ${mould.needs === 'liner' ? 'a liner' : 'release'}, and its check was not ticked`,
      // It may have been there all the same: a starting value.
      strength: 0.7,
      change: `a thin, even ${mould.needs === 'liner' ? 'liner' : 'coat of release'} before every pour, ticked before the clock starts`
    };
  }
};
