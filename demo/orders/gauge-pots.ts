import type { Plan } from '../../src/core/plan';

/** Order K: "Gauge" pots with a raised tide scale up the wall: the scale coated first, the wall in two goes. */
export const gauge: Plan = {
  version: 2,
  id: 'gauge-pots',
  name: 'Gauge pots',
  notes:
    'The core stands centred on its pin. The scale is coated lying on its side, then the pot is poured upright.',
  showFace: 'mould face',
  mixes: [
    { id: 'mix-scale', baseId: 'acrylic-gypsum', feeds: 'one cup' },
    { id: 'mix-wall', baseId: 'acrylic-gypsum', feeds: 'one cup' }
  ],
  cups: [
    {
      id: 'scale',
      letter: 'A',
      hatch: 'dots',
      name: 'foam',
      from: { mix: 'mix-scale' },
      recipe: [{ id: 'scale-white', colourantId: 'white-powder', percent: 2, of: 'supplied' }]
    },
    {
      id: 'wall',
      letter: 'B',
      hatch: 'slant',
      name: 'mudflat',
      from: { mix: 'mix-wall' },
      recipe: [{ id: 'wall-brown', colourantId: 'brown-oxide', percent: 1.2, of: 'supplied' }]
    }
  ],
  groups: [{ id: 'pots', name: 'pots 1–2', mouldId: 'gauge-pot', cavityId: 'pot', count: 2 }],
  steps: [
    {
      id: 'coat-scale',
      act: { kind: 'coat', cupId: 'scale', amount: { kind: 'volume', ml: 14 }, zone: 'scale', aside: 4 },
      where: ['pots'],
      gates: [],
      hands: { each: 3 },
      note: 'the mould on its side, the scale below'
    },
    { id: 'tap-scale', act: { kind: 'tap', minutes: 1, zone: 'scale' }, where: ['pots'], gates: [] },
    {
      id: 'wall-first',
      act: { kind: 'lay', cupId: 'wall', amount: { kind: 'to share', of: 0.5 } },
      where: ['pots'],
      gates: [{ id: 'scale-holds', all: [{ kind: 'state', state: 'set', of: 'layer below' }] }],
      hands: { each: 1 },
      note: 'upright, down one side of the core'
    },
    { id: 'tap-first', act: { kind: 'tap', minutes: 1 }, where: ['pots'], gates: [] },
    { id: 'thin-wall', act: { kind: 'rewet', cupId: 'wall', grams: 4 }, where: ['pots'], gates: [] },
    {
      id: 'wall-second',
      act: { kind: 'lay', cupId: 'wall', amount: { kind: 'rim' } },
      where: ['pots'],
      gates: [],
      hands: { each: 1 }
    },
    { id: 'tap-second', act: { kind: 'tap', minutes: 1 }, where: ['pots'], gates: [] },
    { id: 'demould-pots', act: { kind: 'demould' }, where: ['pots'], gates: [], hands: { each: 3 } },
    {
      id: 'sand-pots',
      act: { kind: 'sand', grits: [240, 400], wet: 'wet' },
      where: ['pots'],
      gates: [],
      hands: { each: 4 }
    },
    {
      id: 'seal-pots',
      act: { kind: 'seal', with: 'matte sealer', times: 2, every: 60 },
      where: ['pots'],
      gates: [{ id: 'dry', all: [{ kind: 'since', zero: { demoulded: 'pots' }, minutes: 2880 }] }],
      hands: { each: 3 }
    }
  ],
  order: { good: 11, rejects: 0.1 },
  spares: [],
  bench: {
    roomCelsius: 21,
    scaleIds: ['middle', 'fine'],
    vesselIds: [],
    readings: 'cumulative',
    losses: { cling: 0.03 }
  }
};
