import { formatAmount } from '../../../document';
import { defineAct } from '../../define';
import { grams } from '../../measured';
import { placeWords } from '../../place';
import { flow } from './flow';
import { fields, type ColumnAct } from './fields';
import { postArea } from './post';
import { figure } from '../../../quantity';

export type { ColumnAct };

export const column = defineAct({
  kind: 'column',
  group: 'pour in',
  fields,
  traits: ['in turns'],
  also: ['post', 'rings', 'turn about'],
  usually: { each: 2 },
  flow,
  measures: (act, m) =>
    `${act.rounds} rounds of ${grams(m.grams / act.rounds)}; the post leaves ${figure((postArea(act, m.area) * m.level) / 1000, 'ml', 0)} to refill`,
  varies: 'the outline of each ring of colour',
  words: (act, { cup, cavities }) => ({
    line: `column ${cup(act.cupId)}, ${formatAmount(act.amount)}, over the post at ${placeWords(act.at)} in ${act.rounds} rounds`,
    more: `over the post at ${placeWords(act.at)} in ${act.rounds} rounds`,
    act: 'Pour over the post',
    rest: `${cup(act.cupId)} in ${act.rounds} rounds, in ${cavities}`,
    hint: 'over its top, turn about with the other jugs, the same grams a round',
    confirm: 'Poured'
  })
});
