import { defineAct } from '../../define';
import { flow } from './flow';
import { fields, type Mill } from './fields';
import { figure, type Message } from '../../../quantity';

export type { Mill };

/** How the machine was set, where that is said. */
const settings = ({ turns, feed }: Mill): Message =>
  [
    turns === undefined ? '' : `${turns} turns a minute`,
    feed === undefined ? '' : `fed ${figure(feed, 'mm')} a minute`
  ]
    .filter(Boolean)
    .join(', ');

export const mill = defineAct({
  kind: 'mill',
  name: 'mill the face',
  group: 'after',
  fields,
  traits: ['mills'],
  also: ['surface', 'plane', 'router'],
  usually: { each: 6 },
  flow,
  edges: { early: 'colour peels out' },
  words: (act, { cavities }) => ({
    title: `mill ${figure(act.depth, 'mm')} off`,
    where: settings(act),
    act: 'Mill',
    rest: `${figure(act.depth, 'mm')} off ${cavities}`,
    hint: 'only what is fully cured; shallow passes',
    confirm: 'Milled'
  })
});
