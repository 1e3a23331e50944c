import { defineAct } from '../../define';
import { count, oneOf, path, quantity, type ActOf } from '../../fields';
import { pathWords } from '../../place';

/** A tool drawn through: straight, round or along a figure; how deep, and how hard. */
const fields = {
  tool: oneOf('Tool', ['stick', 'needle', 'comb', 'skewer', 'brush', 'spatula'], 'stick'),
  path: path('Along', {
    points: [
      { x: 0, y: -0.8 },
      { x: 0, y: 0.8 }
    ]
  }),
  depth: oneOf('Depth', ['surface', 'half', 'full'], 'surface'),
  width: quantity('Width', 'mm', 3, { min: 0.3, max: 80 }),
  strength: quantity('How hard', '%', 0.5, { max: 1 }),
  strokes: count('Strokes', 1, 60)
};
export type Drag = ActOf<'drag', typeof fields>;

const DEPTH = { surface: 'on the surface', half: 'to half the depth', full: 'to the ground' } as const;

export const drag = defineAct({
  kind: 'drag',
  group: 'move',
  fields,
  traits: ['drags'],
  also: ['stroke', 'comb', 'feather', 'loop', 'marble', 'swirl'],
  usually: { each: 0.5 },
  words: (act, { cavities }) => ({
    line: `drag a ${act.tool} along ${pathWords(act.path)}, ${DEPTH[act.depth]}${act.strokes > 1 ? `, ${act.strokes} strokes` : ''}`,
    act: 'Drag',
    rest: `the ${act.tool} along ${pathWords(act.path)} of ${cavities}, ${DEPTH[act.depth]}`,
    hint: `${act.strokes === 1 ? 'one stroke' : `${act.strokes} strokes`}, the tool wiped between; then hands off`,
    confirm: 'Dragged'
  })
});
