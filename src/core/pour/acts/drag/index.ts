import { defineAct } from '../../define';
import { pathWords } from '../../place';
import { flow } from './flow';
import { fields, type Drag } from './fields';

export type { Drag };

const DEPTH = { surface: 'on the surface', half: 'to half the depth', full: 'to the ground' } as const;

export const drag = defineAct({
  kind: 'drag',
  name: 'comb or drag a tool',
  group: 'move',
  fields,
  traits: ['drags'],
  also: ['stroke', 'comb', 'feather', 'loop', 'marble', 'swirl'],
  usually: { each: 0.5 },
  flow,
  varies: 'how far each drawn line runs',
  words: (act, { cavities }) => ({
    title: `drag a ${act.tool}`,
    where: `along ${pathWords(act.path)}, ${DEPTH[act.depth]}${act.strokes > 1 ? `, ${act.strokes} strokes` : ''}`,
    act: 'Drag',
    rest: `the ${act.tool} along ${pathWords(act.path)} of ${cavities}, ${DEPTH[act.depth]}`,
    hint: `${act.strokes === 1 ? 'one stroke' : `${act.strokes} strokes`}, the tool wiped between; then hands off`,
    confirm: 'Dragged'
  })
});
