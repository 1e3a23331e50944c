import type { Plan } from '../../src/core/plan';

/** Order N: "Fog bank" loaf: grey, out of its mould, and a white top of the same recipe piped on the next day. */
export const fogBank: Plan = {
  version: 2,
  id: 'fog-bank',
  name: 'Fog bank',
  notes: 'Two sittings, one recipe: the loaf today, its top tomorrow, on what is firm and out of the mould.',
  showFace: 'cut',
  mixes: [{ id: 'mix', baseId: 'bar-soap', feeds: 'split' }],
  cups: [
    {
      id: 'fog',
      letter: 'A',
      hatch: 'slant',
      name: 'fog',
      from: { mix: 'mix' },
      recipe: [
        { id: 'fog-charcoal', colourantId: 'charcoal', percent: 0.3, of: 'supplied' },
        { id: 'fog-white', colourantId: 'white-powder', percent: 0.5, of: 'supplied' }
      ]
    },
    {
      id: 'foam',
      letter: 'B',
      hatch: 'dots',
      name: 'foam',
      from: { mix: 'mix' },
      recipe: [{ id: 'foam-white', colourantId: 'white-powder', percent: 1.5, of: 'supplied' }]
    }
  ],
  groups: [{ id: 'loaf', name: 'loaf', mouldId: 'loaf', cavityId: 'loaf', count: 1, cutInto: 10 }],
  steps: [
    {
      id: 'pour-fog',
      act: { kind: 'lay', cupId: 'fog', amount: { kind: 'rim' } },
      where: ['loaf'],
      gates: [],
      hands: { each: 2 }
    },
    { id: 'tap-fog', act: { kind: 'tap', minutes: 0.5 }, where: ['loaf'], gates: [] },
    {
      id: 'spray-fog',
      act: { kind: 'spray', what: 'alcohol', times: 2, every: 10 },
      where: ['loaf'],
      gates: []
    },
    { id: 'demould-loaf', act: { kind: 'demould' }, where: ['loaf'], gates: [], hands: { each: 3 } },
    {
      id: 'pipe-foam',
      act: { kind: 'top', cupId: 'foam', amount: { kind: 'deep', mm: 14 }, how: 'piped' },
      where: ['loaf'],
      gates: [],
      hands: { each: 8 },
      note: 'rosettes in two rows, clear of the cuts'
    },
    {
      id: 'spray-foam',
      act: { kind: 'spray', what: 'alcohol', times: 2, every: 10 },
      where: ['loaf'],
      gates: []
    },
    {
      id: 'cut-logs',
      act: { kind: 'cut', pieces: 2, how: 'into logs', kerf: 0.5 },
      where: ['loaf'],
      gates: [{ id: 'top-firm', all: [{ kind: 'since', zero: { stepDone: 'pipe-foam' }, minutes: 1440 }] }],
      hands: { each: 2 }
    },
    {
      id: 'cut-bars',
      act: { kind: 'cut', pieces: 10, how: 'straight', kerf: 0.5 },
      where: ['loaf'],
      gates: [],
      hands: { each: 5 }
    },
    {
      id: 'air-bars',
      act: { kind: 'air', minutes: 40_320 },
      where: ['loaf'],
      gates: [],
      note: 'four weeks, turned once a week'
    }
  ],
  order: { good: 10, rejects: 0 },
  spares: [],
  bench: {
    roomCelsius: 21,
    scaleIds: ['bench', 'fine'],
    vesselIds: [],
    readings: 'cumulative',
    losses: { cling: 0.03 }
  }
};
