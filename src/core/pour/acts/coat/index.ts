import { formatAmount } from '../../../plan/document';
import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { amount, cup, minutes, zone, type ActOf } from '../../fields';

/** A thin first coat over a raised detail; the mould is tilted to let it run. */
const fields = {
  cupId: cup(),
  amount: amount({ kind: 'deep', mm: 2 }),
  zone: zone(),
  aside: minutes('Minutes on each side', 1, 60)
};
export type Coat = ActOf<'coat', typeof fields>;

export const coat = defineAct({
  kind: 'coat',
  group: 'pour in',
  fields,
  also: ['detail', 'zone', 'first coat'],
  usually: { each: 0.5 },
  passes: (act) => 2 * act.aside,
  words: (act, { cup, cavities, part }) => ({
    line: `coat ${act.zone ? part(act.zone) : 'the detail'} with ${cup(act.cupId)}, ${formatAmount(act.amount)}, ${duration(act.aside)} a side`,
    act: 'Coat',
    rest: `${act.zone ? part(act.zone) : 'the detail'} of ${cavities} with ${cup(act.cupId)}`,
    hint: `tilt it ${duration(act.aside)} to each side and let it run`,
    confirm: 'Coated'
  })
});
