import { type ActOf, count, maybe, oneOf, path, quantity } from '../../fields';

/** A tool drawn through: straight, round or along a figure; how deep, and how hard. */
export const fields = {
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
  strokes: count('Strokes', 1, 60),
  apart: maybe(quantity('Side by side', 'mm', 0, { max: 300 }))
};
export type Drag = ActOf<'drag', typeof fields>;
