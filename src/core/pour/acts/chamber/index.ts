import { formatAmount } from '../../../document';
import { defineAct } from '../../define';
import { grams } from '../../measured';
import { flow } from './flow';
import { fields, type ChamberAct } from './fields';

export type { ChamberAct };

export const chamber = defineAct({
  kind: 'chamber',
  group: 'pour in',
  fields,
  also: ['divider', 'partition'],
  usually: { each: 1 },
  flow,
  measures: (act, m) => `${act.rounds} rounds of ${grams(m.grams / act.rounds)}, levels kept even`,
  varies: 'the line where two colours meet',
  words: (act, { cup, cavities, part }) => ({
    line: `chamber ${part(act.chamberId ?? '')}: ${cup(act.cupId)}, ${formatAmount(act.amount)} in ${act.rounds} rounds`,
    more: `in ${act.rounds} rounds`,
    act: 'Fill the chamber',
    rest: `${part(act.chamberId ?? '')} of ${cavities} with ${cup(act.cupId)}, in ${act.rounds} rounds`,
    hint: 'turn about with the others; no level more than a finger ahead',
    confirm: 'Filled'
  })
});
