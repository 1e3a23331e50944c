import { defineAct } from '../../define';
import { grams } from '../../measured';
import { pathLength, pathWords } from '../../place';
import { flow } from './flow';
import { fields, type Ribbon } from './fields';
import { figure } from '../../../quantity';

export type { Ribbon };

const HOW = { drizzled: 'Drizzle', piped: 'Pipe', 'drawn thin': 'Draw' } as const;

export const ribbon = defineAct({
  kind: 'ribbon',
  name: 'drizzle, pipe or draw a line',
  group: 'pour in',
  fields,
  also: ['drizzle', 'pipe', 'petals', 'line', 'ring', 'hearts', 'thread'],
  traits: (act) => (act.how === 'piped' ? ['bagged'] : []),
  usually: { each: 1 },
  // A line that is piped or laid thick is drawn from a cup that no longer levels.
  lasts: (act) => (act.how === 'drawn thin' ? 'levels' : 'sets'),
  flow,
  measures: (act, m) => {
    const mm = pathLength(act.path, m.half);
    if (!(mm > 0)) return undefined;
    const across = (m.ml * 1000) / mm;
    // A line stands no higher than it is wide, nor than its mould is deep: what is more runs out to the sides.
    const highest = Math.min(act.width, m.depth);
    const stands =
      across / act.width <= highest
        ? `${figure(across / act.width, 'mm', 1)} high`
        : `${figure(across / highest, 'mm', 1)} wide once it has spread`;
    return `${figure(mm, 'mm', 0)} of line, ${grams(m.grams)}, ${stands}`;
  },
  varies: 'the thickness of each drawn line',
  words: (act, { cup, cavities }) => ({
    title: `${HOW[act.how].toLowerCase()} ${cup(act.cupId)}`,
    where: `${pathWords(act.path)}, ${figure(act.width, 'mm')} wide${act.how === 'drawn thin' ? ', drawn thin' : ''}`,
    act: HOW[act.how],
    rest: `${cup(act.cupId)} as ${pathWords(act.path)}, ${figure(act.width, 'mm')} wide, in ${cavities}`,
    hint: 'one even movement, the tip close to the surface',
    confirm: 'Drawn'
  })
});
