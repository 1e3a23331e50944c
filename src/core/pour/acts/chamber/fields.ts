import { type ActOf, amount, count, cup, intoChamber } from '../../fields';

/** Into one chamber of a divider, in rounds, so that the levels stay even and the divider stands. */
export const fields = {
  cupId: cup(),
  amount: amount({ kind: 'share', of: 1 }),
  chamberId: intoChamber(),
  rounds: count('Rounds', 3, 40)
};
export type ChamberAct = ActOf<'chamber', typeof fields>;
