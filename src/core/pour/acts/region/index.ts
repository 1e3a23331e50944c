import { defineAct } from '../../define';
import { grams } from '../../measured';
import { pathArea } from '../../place';
import { poured } from '../../pouring';
import { refilled } from '../../refilled';
import { flow } from './flow';
import { fields, type Region } from './fields';
import { figure } from '../../../quantity';

export type { Region };

export const region = defineAct({
  kind: 'region',
  name: 'fill an area',
  group: 'pour in',
  fields,
  also: ['area', 'zone', 'inlay', 'trace', 'picture', 'mill out', 'refill'],
  traits: (act) => (act.edges === 'crisp' ? ['refills'] : []),
  usually: { each: 2 },
  apply: (act, stand, step) => (act.edges === 'crisp' ? refilled : poured)(act, stand, step),
  lasts: () => 'sets',
  flow,
  edges: { early: 'colour peels out where it is milled too soon' },
  measures: (act, m) => {
    const mm2 = pathArea(act.outline, m.half);
    if (!(mm2 > 0)) return undefined;
    const deep = `${figure((m.ml * 1000) / mm2, 'mm', 1)} deep`;
    return `${(mm2 / 100).toFixed(1)} cm² of outline, ${grams(m.grams)}, ${deep}`;
  },
  varies: 'how each edge of the picture blurs',
  words: (act, { cup, cavities }) => ({
    title: `fill an area with ${cup(act.cupId)}`,
    where: `within ${within(act)}, ${act.edges} edges${act.edges === 'crisp' ? ', milled out and refilled' : ''}`,
    act: act.edges === 'crisp' ? 'Mill out and refill' : 'Lay',
    rest: `${cup(act.cupId)} within ${within(act)} in ${cavities}`,
    hint:
      act.edges === 'crisp'
        ? 'only what is fully cured; shallow passes, dust wiped out before the colour'
        : 'along the grain of the picture; the tip keeps to the line',
    confirm: 'Filled'
  })
});

/** An outline of many corners is no ring: it is what was traced. */
const within = ({ outline }: Region) =>
  (outline.round ?? 1) > 1 ? `${outline.round} outlines round the middle` : 'its outline';
