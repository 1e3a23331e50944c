import type { Shelf } from '../src/core/plan';
import { startingLibrary } from '../src/core/shelf';

/** The cards on Fenwick Sluice's shelf: its own moulds beside the starting library. */
export const cards: Shelf = {
  moulds: [
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
          capacity: { from: 'dimensions' }
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
          }
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
          capacity: { from: 'dimensions' }
        }
      ]
    }
  ],
  ...startingLibrary
};
