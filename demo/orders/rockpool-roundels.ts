import type { Plan } from '../../src/core/plan';

/** Order B: "Rockpool" door number roundels, six a turn, one mix split into four cups. */
export const rockpool: Plan = {
  version: 2,
  id: 'rockpool-roundels',
  name: 'Rockpool roundels',
  notes: 'Eleven door numbers. Heavy white lacing: foam sinks through what lies on it and makes cells.',
  showFace: 'mould face',
  mixes: [
    {
      id: 'mix',
      baseId: 'clear-slow',
      feeds: 'split'
    }
  ],
  cups: [
    {
      id: 'foam',
      letter: 'A',
      hatch: 'dots',
      name: 'foam',
      from: {
        mix: 'mix'
      },
      recipe: [
        {
          id: 'foam-white',
          colourantId: 'white-paste',
          percent: 2.4,
          of: 'supplied'
        }
      ]
    },
    {
      id: 'heron',
      letter: 'B',
      hatch: 'slant',
      name: 'heron',
      from: {
        mix: 'mix'
      },
      recipe: [
        {
          id: 'heron-blue',
          colourantId: 'blue-paste',
          percent: 0.6,
          of: 'supplied'
        },
        {
          id: 'heron-brown',
          colourantId: 'brown-paste',
          percent: 0.3,
          of: 'supplied'
        }
      ]
    },
    {
      id: 'lavender',
      letter: 'D',
      hatch: 'level',
      name: 'sea lavender',
      from: {
        mix: 'mix'
      },
      recipe: [
        {
          id: 'lavender-violet',
          colourantId: 'violet-paste',
          percent: 0.9,
          of: 'supplied'
        },
        {
          id: 'lavender-pearl',
          colourantId: 'interference-blue',
          percent: 0.5,
          of: 'supplied'
        }
      ]
    },
    {
      id: 'black',
      letter: 'C',
      hatch: 'rings',
      name: 'sluice black',
      from: {
        mix: 'mix'
      },
      recipe: [
        {
          id: 'black-black',
          colourantId: 'black-paste',
          percent: 0.5,
          of: 'supplied'
        }
      ]
    }
  ],
  groups: [
    {
      id: 'roundels',
      name: 'roundels 1–6',
      mouldId: 'roundel',
      cavityId: 'roundel',
      count: 6
    }
  ],
  steps: [
    {
      id: 'lay-foam',
      act: { kind: 'lay', cupId: 'foam', amount: { kind: 'volume', ml: 13.2 } },
      where: ['roundels'],
      gates: [],
      hands: { each: 0.5 },
      note: 'over the whole bottom; let it level'
    },
    {
      id: 'puddle-heron',
      act: {
        kind: 'puddle',
        cupId: 'heron',
        amount: { kind: 'volume', ml: 24.2 },
        at: { x: 0, y: 0 },
        from: 'low'
      },
      where: ['roundels'],
      gates: [],
      hands: { each: 0.4 },
      note: 'from low, so that it pushes the foam outward'
    },
    {
      id: 'puddle-lavender',
      act: {
        kind: 'puddle',
        cupId: 'lavender',
        amount: { kind: 'volume', ml: 9.9 },
        at: { x: 0, y: 0 },
        from: 'high'
      },
      where: ['roundels'],
      gates: [],
      hands: { each: 0.4 },
      note: 'into the heron'
    },
    {
      id: 'puddle-black',
      act: { kind: 'puddle', cupId: 'black', amount: { kind: 'rim' }, at: { x: 0, y: 0 }, from: 'high' },
      where: ['roundels'],
      gates: [],
      hands: { each: 0.3 }
    },
    {
      id: 'withdraw-centre',
      act: { kind: 'withdraw', ml: 5, at: { x: 0, y: 0 } },
      where: ['roundels'],
      gates: [],
      hands: { each: 0.3 },
      note: 'with the syringe; all of it moves inward; then hands off'
    },
    { id: 'demould-roundels', act: { kind: 'demould' }, where: ['roundels'], gates: [] },
    {
      id: 'sand-roundels',
      act: { kind: 'sand', grits: [400, 800, 1500], wet: 'wet' },
      where: ['roundels'],
      gates: [{ id: 'gate-sand', all: [{ kind: 'since', zero: { demoulded: 'roundels' }, minutes: 2880 }] }],
      hands: { each: 3 }
    }
  ],
  order: {
    good: 11,
    rejects: 0.2
  },
  spares: [],
  bench: {
    roomCelsius: 21,
    scaleIds: ['middle', 'fine'],
    vesselIds: [],
    readings: 'cumulative',
    losses: {
      cling: 0.03,
      vessel: 2
    }
  }
};
