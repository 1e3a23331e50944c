import type { Plan } from '../../src/core/plan';

/** Order D: "Night Heron" loaf, two dark colours that must stay apart. */
export const nightHeron: Plan = {
  version: 2,
  id: 'night-heron',
  name: 'Night Heron loaf',
  notes: 'Ten bars. Heron and sluice black must stay apart in the cut; seed-shaped embeds; piped foam top.',
  showFace: 'cut',
  mixes: [
    {
      id: 'mix',
      baseId: 'bar-soap',
      feeds: 'split'
    }
  ],
  cups: [
    {
      id: 'heron',
      letter: 'A',
      hatch: 'slant',
      name: 'heron',
      from: {
        mix: 'mix'
      },
      recipe: [
        {
          id: 'heron-indigo',
          colourantId: 'indigo',
          percent: 0.8,
          of: 'supplied'
        },
        {
          id: 'heron-charcoal',
          colourantId: 'charcoal',
          percent: 1,
          of: 'supplied'
        }
      ]
    },
    {
      id: 'black',
      letter: 'B',
      hatch: 'rings',
      name: 'sluice black',
      from: {
        mix: 'mix'
      },
      recipe: [
        {
          id: 'black-charcoal',
          colourantId: 'charcoal',
          percent: 1.5,
          of: 'supplied'
        }
      ]
    },
    {
      id: 'foam',
      letter: 'C',
      hatch: 'dots',
      name: 'foam',
      from: {
        mix: 'mix'
      },
      recipe: [
        {
          id: 'foam-white',
          colourantId: 'white-powder',
          percent: 1.5,
          of: 'supplied'
        }
      ]
    },
    {
      id: 'jug',
      letter: 'D',
      hatch: 'weave',
      name: 'night jug',
      from: {
        cups: [
          { cupId: 'heron', share: 0.53 },
          { cupId: 'black', share: 0.47 }
        ]
      },
      recipe: []
    }
  ],
  groups: [
    {
      id: 'loaf',
      name: 'loaf',
      mouldId: 'loaf',
      cavityId: 'loaf',
      count: 1,
      cutInto: 10,
      embeds: [
        {
          id: 'seeds',
          kind: 'object',
          name: 'seed-shaped embeds',
          each: 10,
          grams: 3.2,
          density: 1.04,
          from: 22,
          height: 14,
          look: { outline: 'round', lies: 'flat', colours: ['#d8c29a', '#a5835a'] }
        }
      ]
    }
  ],
  steps: [
    {
      id: 'swirl-night',
      act: {
        kind: 'swirl',
        cupId: 'jug',
        amount: { kind: 'to share', of: 0.85 },
        path: {
          points: [
            { x: -0.9, y: 0.6 },
            { x: 0.9, y: 0.6 },
            { x: 0.9, y: -0.6 },
            { x: -0.9, y: -0.6 },
            { x: -0.9, y: 0.3 },
            { x: 0.9, y: 0.1 }
          ]
        },
        from: 'low'
      },
      where: ['loaf'],
      gates: [],
      hands: { each: 4 },
      note: 'heron in the corner of the jug, black in the middle; along the long side, without stirring'
    },
    {
      id: 'top-foam',
      act: { kind: 'top', cupId: 'foam', amount: { kind: 'rim' }, how: 'piped' },
      where: ['loaf'],
      gates: [],
      hands: { each: 5 },
      note: 'in rows once it holds its shape; seeds between the future cuts'
    },
    {
      id: 'spray-loaf',
      act: { kind: 'spray', what: 'alcohol', times: 2, every: 10 },
      where: ['loaf'],
      gates: []
    },
    { id: 'demould-loaf', act: { kind: 'demould' }, where: ['loaf'], gates: [] },
    {
      id: 'cut-loaf',
      act: { kind: 'cut', pieces: 10, how: 'straight', kerf: 0 },
      where: ['loaf'],
      gates: [
        {
          id: 'gate-cut',
          all: [{ kind: 'since', zero: { demoulded: 'loaf' }, minutes: 60 }],
          notAfter: { zero: { demoulded: 'loaf' }, minutes: 2880 }
        }
      ],
      hands: { each: 10 }
    },
    {
      id: 'air-loaf',
      act: { kind: 'air', minutes: 40320 },
      where: ['loaf'],
      gates: [],
      note: 'four weeks on the rack'
    }
  ],
  order: {
    good: 10,
    rejects: 0.1
  },
  spares: [
    {
      id: 'tiles',
      mouldId: 'sample-tiles',
      cavityId: 'tile',
      count: 4
    }
  ],
  bench: {
    roomCelsius: 21,
    scaleIds: ['bench', 'fine'],
    vesselIds: [],
    readings: 'cumulative',
    losses: {
      cling: 0.02,
      vessel: 8
    }
  }
};
