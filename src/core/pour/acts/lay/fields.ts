import { type ActOf, amount, cup, intoChamber } from '../../fields';

/** A layer that levels by itself, over the whole cavity or in one chamber of a divided one; levels stay even when all are filled alike. */
export const fields = { cupId: cup(), amount: amount(), chamberId: intoChamber() };
export type Lay = ActOf<'lay', typeof fields>;
