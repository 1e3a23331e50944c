import { strongest, type Cause } from '../cause';

/** A part or a colour from a lot past its use-by: old hardener cures soft. */
export const oldLot: Cause = {
  id: 'old-lot',
  defects: ['tacky or soft', 'yellowed', 'unmixed streaks or specks'],
  evidence(c) {
    return strongest(
      (c.beside.oldLots ?? []).map(({ name, days }) => ({
        fact: `${name} was ${days} ${days === 1 ? 'day' : 'days'} past its use-by`,
        // A starting value of our own: a month over counts as once outside, two months as far as it goes.
        strength: Math.min(2, days / 30),
        change: 'take a fresh lot, or pour a test piece from the old one first'
      }))
    );
  }
};
