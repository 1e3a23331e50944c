import type { Shape } from '$core/mould';

/** The shapes a cavity can be said to have, each with dimensions to begin from. */
export const SHAPES: { kind: Shape['kind']; name: string; blank: Shape }[] = [
  { kind: 'hemisphere', name: 'half ball', blank: { kind: 'hemisphere', radius: 17 } },
  { kind: 'ball', name: 'ball, in two parts', blank: { kind: 'ball', radius: 26 } },
  { kind: 'egg', name: 'egg, in two parts', blank: { kind: 'egg', radius: 22, depth: 60 } },
  {
    kind: 'gem',
    name: 'cut stone',
    blank: { kind: 'gem', radius: 20, tableRadius: 12, depth: 26, crown: 8, sides: 8 }
  },
  { kind: 'cap', name: 'dome', blank: { kind: 'cap', rimRadius: 30, depth: 10 } },
  { kind: 'cylinder', name: 'round, straight sides', blank: { kind: 'cylinder', radius: 30, depth: 10 } },
  {
    kind: 'frustum',
    name: 'round, tapered sides',
    blank: { kind: 'frustum', baseRadius: 28, rimRadius: 30, depth: 10 }
  },
  { kind: 'box', name: 'box, straight sides', blank: { kind: 'box', length: 80, width: 50, depth: 25 } },
  {
    kind: 'taper',
    name: 'box, tapered sides',
    blank: { kind: 'taper', baseLength: 80, baseWidth: 50, rimLength: 84, rimWidth: 54, depth: 25 }
  },
  { kind: 'ring', name: 'ring', blank: { kind: 'ring', innerRadius: 20, outerRadius: 35, depth: 8 } },
  {
    kind: 'prism',
    name: 'any outline, straight sides',
    blank: {
      kind: 'prism',
      outline: [
        [0, 0],
        [80, 0],
        [80, 50],
        [0, 50]
      ],
      depth: 20
    }
  },
  {
    kind: 'table',
    name: 'measured depths',
    blank: {
      kind: 'table',
      rows: [
        { depth: 0, ml: 0 },
        { depth: 10, ml: 20 },
        { depth: 20, ml: 50 }
      ]
    }
  }
];
/** A shape to begin from. */
export const blankOf = (of: Shape['kind']): Shape => SHAPES.find((s) => s.kind === of)!.blank;
