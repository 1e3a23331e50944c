import type { Cause } from '../cause';

/** A mould that was not looked at, or that last held a dye. */
export const mouldNotClean: Cause = {
  id: 'mould-not-clean',
  defects: [
    'dye left from an earlier piece',
    'bubbles on the mould face',
    'unmixed streaks or specks',
    'mica or glitter where none should be'
  ],
  evidence(c) {
    const last = c.beside.lastColour;
    if (last?.dye)
      return {
        fact: `the mould last held ${last.name}, a dye`,
        strength: 1.2,
        change: 'cast one to throw away after a dye, or wash with the base’s own cleaner'
      };
    const prepare = c.frozen.tasks.find((t) => t.kind === 'prepare');
    const asked = prepare?.kind === 'prepare' && prepare.checks !== undefined;
    if (asked && !c.state.ticked.has('moulds'))
      return {
        fact: 'that the mould is clean and dry was not ticked',
        strength: 0.6,
        change: 'wash and dry it, and look at it against the light'
      };
    return last
      ? { fact: `the mould last held ${last.name}`, strength: 0.3, change: 'wash it before a paler piece' }
      : undefined;
  }
};
