import { formatAmount } from '../../../plan/document';
import { defineAct } from '../../define';
import { amount, intoChamber, count, cup, type ActOf } from '../../fields';

/** Into one chamber of a divider, in rounds, so that the levels stay even and the divider stands. */
const fields = {
  cupId: cup(),
  amount: amount({ kind: 'share', of: 1 }),
  chamberId: intoChamber(),
  rounds: count('Rounds', 3, 40)
};
export type Chamber = ActOf<'chamber', typeof fields>;

export const chamber = defineAct({
  kind: 'chamber',
  group: 'pour in',
  fields,
  also: ['divider', 'partition'],
  usually: { each: 1 },
  words: (act, { cup, cavities, part }) => ({
    line: `chamber ${part(act.chamberId ?? '')}: ${cup(act.cupId)}, ${formatAmount(act.amount)} in ${act.rounds} rounds`,
    act: 'Fill the chamber',
    rest: `${part(act.chamberId ?? '')} of ${cavities} with ${cup(act.cupId)}, in ${act.rounds} rounds`,
    hint: 'turn about with the others; no level more than a finger ahead',
    confirm: 'Filled'
  })
});
