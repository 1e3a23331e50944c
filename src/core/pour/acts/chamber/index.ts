import { counted } from '../../../quantity';
import { defineAct } from '../../define';
import { grams } from '../../measured';
import { flow } from './flow';
import { fields, type ChamberAct } from './fields';

export type { ChamberAct };

export const chamber = defineAct({
  kind: 'chamber',
  name: 'fill a chamber',
  group: 'pour in',
  fields,
  traits: ['in turns'],
  also: ['divider', 'partition'],
  usually: { each: 1 },
  flow,
  measures: (act, m) => `${act.rounds} rounds of ${grams(m.grams / act.rounds)}, levels kept even`,
  varies: 'the line where two colours meet',
  words: (act, { cup, cavities, part }) => ({
    title: `fill ${act.chamberId === undefined ? 'a chamber' : part(act.chamberId)} with ${cup(act.cupId)}`,
    where: `in ${counted(act.rounds, 'round')}`,
    act: 'Fill the chamber',
    rest: `${act.chamberId === undefined ? 'a chamber' : part(act.chamberId)} of ${cavities} with ${cup(act.cupId)}, in ${counted(act.rounds, 'round')}`,
    hint: 'in turn with the others; no level more than a finger ahead',
    confirm: 'Filled'
  })
});
