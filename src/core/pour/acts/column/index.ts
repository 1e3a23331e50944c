import { defineAct } from '../../define';
import { grams } from '../../measured';
import { atPlace } from '../../place';
import { flow } from './flow';
import { fields, type ColumnAct } from './fields';
import { postArea } from './post';
import { counted, figure } from '../../../quantity';

export type { ColumnAct };

export const column = defineAct({
  kind: 'column',
  name: 'pour over a post',
  group: 'pour in',
  fields,
  traits: ['in turns'],
  also: ['post', 'rings', 'column pour'],
  usually: { each: 2 },
  flow,
  measures: (act, m) =>
    `${act.rounds} rounds of ${grams(m.grams / act.rounds)}; the post leaves ${figure((postArea(act, m.area) * m.level) / 1000, 'ml', 0)} to refill`,
  varies: 'the outline of each ring of colour',
  words: (act, { cup, cavities }) => ({
    title: `pour ${cup(act.cupId)} over the post`,
    where: `${atPlace(act.at)}, in ${counted(act.rounds, 'round')}`,
    act: 'Pour over the post',
    rest: `${cup(act.cupId)} in ${counted(act.rounds, 'round')}, in ${cavities}`,
    hint: 'over its top, in turn with the other jugs, the same grams each round',
    confirm: 'Poured'
  })
});
