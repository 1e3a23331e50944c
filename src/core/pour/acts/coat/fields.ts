import { type ActOf, amount, cup, minutes, zone } from '../../fields';

/** A thin first coat over a raised detail; the mould is tilted to let it run. */
export const fields = {
  cupId: cup(),
  amount: amount({ kind: 'deep', mm: 2 }),
  zone: zone(),
  aside: minutes('Minutes on each side', 1, 60)
};
export type Coat = ActOf<'coat', typeof fields>;
