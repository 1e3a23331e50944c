import type { Mould } from '../src/core/mould';

/** Fenwick Sluice's moulds. */
export const moulds: Mould[] = [
  {
    id: 'dome-knobs',
    name: 'Dome knobs, 34 mm',
    material: 'silicone',
    finish: 'gloss',
    notes: 'Six domes, mould face down at the pole. Poured from the left, so the last two level last.',
    cavities: [
      {
        id: 'dome',
        name: 'knob',
        count: 6,
        shape: { kind: 'hemisphere', radius: 17 },
        capacity: { from: 'dimensions' },
        dome: { mm: 0.8, factor: 0.5 }
      }
    ]
  },
  {
    id: 'roundel',
    name: 'Roundel, 90 × 9 mm',
    material: 'silicone',
    finish: 'satin',
    notes: 'Walls lean out a little.',
    cavities: [
      {
        id: 'roundel',
        name: 'roundel',
        count: 1,
        shape: { kind: 'frustum', baseRadius: 43, rimRadius: 45, depth: 9 },
        capacity: {
          from: 'water',
          emptyGrams: 118.2,
          fullGrams: 173.1,
          waterCelsius: 21,
          cavitiesFilled: 1
        },
        draft: 12.5
      }
    ]
  },
  {
    id: 'coat-hooks',
    name: 'Coat hooks',
    material: 'silicone',
    finish: 'satin',
    notes: 'Five single moulds in rotation; the stem thins to 11 mm.',
    cavities: [
      {
        id: 'hook',
        name: 'hook',
        count: 1,
        shape: { kind: 'taper', baseLength: 92, baseWidth: 28, rimLength: 96, rimWidth: 32, depth: 23 },
        capacity: { from: 'pour', ml: 64, note: 'mean of the first five' }
      }
    ]
  },
  {
    id: 'bookend',
    name: 'Bookend block',
    material: 'silicone',
    finish: 'matte',
    notes: 'A raised tide mark across the mould face.',
    cavities: [
      {
        id: 'bookend',
        name: 'bookend',
        count: 1,
        shape: { kind: 'taper', baseLength: 120, baseWidth: 100, rimLength: 124, rimWidth: 104, depth: 95 },
        capacity: { from: 'dimensions' },
        zones: [{ id: 'tide-mark', name: 'tide mark', from: 0, to: 12 }],
        draft: 1.2
      }
    ]
  },
  {
    id: 'slab',
    name: 'Saltings slab, 300 × 196 mm',
    material: 'lined timber',
    finish: 'satin',
    needs: 'liner',
    notes: 'Cut on the diagonal into forty bars.',
    cavities: [
      {
        id: 'slab',
        name: 'slab',
        count: 1,
        shape: { kind: 'taper', baseLength: 300, baseWidth: 196, rimLength: 300, rimWidth: 196, depth: 60 },
        capacity: { from: 'dimensions' },
        draft: 1
      }
    ]
  },
  {
    id: 'loaf',
    name: 'Loaf, ten bars',
    material: 'silicone',
    finish: 'satin',
    notes: 'In a timber jacket, or the long sides belly out.',
    cavities: [
      {
        id: 'loaf',
        name: 'loaf',
        count: 1,
        shape: { kind: 'taper', baseLength: 248, baseWidth: 80, rimLength: 252, rimWidth: 84, depth: 65 },
        capacity: { from: 'dimensions' },
        jacket: { mm: 5, squeeze: 0.02 }
      }
    ]
  },
  {
    id: 'soap-dish',
    name: 'Soap dish',
    material: 'silicone',
    finish: 'satin',
    notes: 'Cast upside down; wet sanded after a day.',
    cavities: [
      {
        id: 'dish',
        name: 'dish',
        count: 1,
        shape: { kind: 'taper', baseLength: 112, baseWidth: 80, rimLength: 118, rimWidth: 86, depth: 19 },
        capacity: { from: 'pour', ml: 152, note: 'the drain hollow taken off' }
      }
    ]
  },
  {
    id: 'pull-cords',
    name: 'Pull cords, six',
    material: 'aluminium',
    finish: 'gloss',
    heatLimit: 400,
    needs: 'release',
    pourHole: 9,
    notes: 'Warm it with the first shot, which is remelted.',
    cavities: [
      {
        id: 'cord',
        name: 'cord',
        count: 6,
        shape: { kind: 'cylinder', radius: 7, depth: 72 },
        capacity: { from: 'dimensions' },
        draft: 1.5
      }
    ]
  },
  {
    id: 'key-tags',
    name: 'Key tags, twelve',
    material: 'silicone',
    finish: 'gloss',
    notes: 'Numbers stand mirrored on the mould face.',
    cavities: [
      {
        id: 'tag',
        name: 'tag',
        count: 12,
        shape: {
          kind: 'prism',
          outline: [
            [6, 0],
            [54, 0],
            [60, 6],
            [60, 28],
            [54, 34],
            [6, 34],
            [0, 28],
            [0, 6]
          ],
          depth: 5
        },
        capacity: { from: 'dimensions' }
      }
    ]
  },
  {
    id: 'sample-tiles',
    name: 'Sample tiles, four',
    material: 'silicone',
    finish: 'satin',
    notes: 'Takes what is left over.',
    cavities: [
      {
        id: 'tile',
        name: 'tile',
        count: 4,
        shape: { kind: 'taper', baseLength: 40, baseWidth: 40, rimLength: 42, rimWidth: 42, depth: 6 },
        capacity: { from: 'dimensions' }
      }
    ]
  },
  {
    id: 'gauge-pot',
    name: 'Gauge pot with its core',
    material: 'silicone',
    finish: 'satin',
    notes: 'Cast upside down: the wall 9 mm round the core, the floor last. A raised tide scale up one side.',
    cavities: [
      {
        id: 'pot',
        name: 'pot',
        count: 1,
        shape: { kind: 'ring', innerRadius: 35, outerRadius: 44, depth: 92 },
        capacity: { from: 'pour', ml: 244, note: 'its floor of 10 mm with it' },
        zones: [{ id: 'scale', name: 'tide scale', from: 0, to: 82 }],
        draft: 1
      }
    ]
  },
  {
    id: 'buoy-balls',
    name: 'Buoy balls, two parts, four',
    material: 'silicone',
    finish: 'satin',
    pourHole: 14,
    notes: 'Keyed halves with a band round them; poured through the hole at the top.',
    cavities: [
      {
        id: 'ball',
        name: 'ball',
        count: 4,
        shape: { kind: 'ball', radius: 26 },
        capacity: { from: 'dimensions' }
      }
    ]
  },
  {
    id: 'kingfisher',
    name: 'Kingfisher, small, two',
    material: 'silicone',
    finish: 'satin',
    notes: 'Poured from the back; sawn flat before it goes into its tile.',
    cavities: [
      {
        id: 'bird',
        name: 'bird',
        count: 2,
        shape: {
          kind: 'prism',
          outline: [
            [0, 12],
            [10, 14],
            [16, 20],
            [26, 20],
            [44, 8],
            [56, 2],
            [46, 0],
            [28, 4],
            [16, 4],
            [10, 10]
          ],
          depth: 5
        },
        capacity: { from: 'dimensions' }
      }
    ]
  },
  {
    id: 'square-tile',
    name: 'Square tile, 100 × 100 mm',
    material: 'silicone',
    finish: 'gloss',
    notes: 'Two single moulds.',
    cavities: [
      {
        id: 'tile',
        name: 'tile',
        count: 1,
        shape: { kind: 'taper', baseLength: 100, baseWidth: 100, rimLength: 102, rimWidth: 102, depth: 10 },
        capacity: { from: 'dimensions' }
      }
    ]
  },
  {
    id: 'small-cubes',
    name: 'Small cubes, twelve',
    material: 'silicone',
    finish: 'gloss',
    notes: 'Fits the pressure pot.',
    cavities: [
      {
        id: 'cube',
        name: 'cube',
        count: 12,
        shape: { kind: 'box', length: 20, width: 20, depth: 20 },
        capacity: { from: 'dimensions' }
      }
    ]
  },
  {
    id: 'culvert-tray',
    name: 'Culvert tray with its divider',
    material: 'silicone',
    finish: 'satin',
    needs: 'release',
    notes: 'A thin sheet stands down the middle until both sides are full.',
    cavities: [
      {
        id: 'tray',
        name: 'tray',
        count: 1,
        shape: { kind: 'taper', baseLength: 300, baseWidth: 180, rimLength: 304, rimWidth: 184, depth: 18 },
        capacity: { from: 'dimensions' },
        chambers: [
          { id: 'left', name: 'left side', share: 0.5 },
          { id: 'right', name: 'right side', share: 0.5 }
        ],
        draft: 6
      }
    ]
  },
  {
    id: 'bumper',
    name: 'Door bumper',
    material: 'aluminium',
    finish: 'satin',
    heatLimit: 400,
    needs: 'release',
    pourHole: 9,
    notes: 'Three single moulds.',
    cavities: [
      {
        id: 'bumper',
        name: 'bumper',
        count: 1,
        shape: { kind: 'frustum', baseRadius: 16, rimRadius: 18, depth: 26 },
        capacity: { from: 'dimensions' },
        draft: 4
      }
    ]
  }
];
