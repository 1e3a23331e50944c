import type { Plan } from '../../src/core/plan';

/** Order C: "Saltings" guest bars, one 3.6 kg slab, one batch split inside its trace. */
export const saltings: Plan = {
  version: 2,
  id: 'saltings-bars',
  name: 'Saltings guest bars',
  notes: 'One slab, forty bars cut on the diagonal. Column pour over the reed-shaped post.',
  showFace: 'mould face',
  mixes: [
    {
      id: 'mix',
      baseId: 'bar-soap',
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
          colourantId: 'white-powder',
          percent: 1,
          of: 'supplied'
        }
      ]
    },
    {
      id: 'samphire',
      letter: 'B',
      hatch: 'weave',
      name: 'samphire',
      from: {
        mix: 'mix'
      },
      recipe: [
        {
          id: 'samphire-green',
          colourantId: 'chrome-green',
          percent: 1.2,
          of: 'supplied'
        }
      ]
    },
    {
      id: 'mudflat',
      letter: 'C',
      hatch: 'slant',
      name: 'mudflat',
      from: {
        mix: 'mix'
      },
      recipe: [
        {
          id: 'mudflat-brown',
          colourantId: 'brown-oxide',
          percent: 0.8,
          of: 'supplied'
        }
      ]
    }
  ],
  groups: [
    {
      id: 'slab',
      name: 'slab',
      mouldId: 'slab',
      cavityId: 'slab',
      count: 1,
      cutInto: 40
    }
  ],
  steps: [
    {
      id: 'column-foam',
      act: {
        kind: 'column',
        cupId: 'foam',
        amount: { kind: 'to share', of: 0.45 },
        at: { x: 0, y: 0 },
        rounds: 4,
        post: 'reed'
      },
      where: ['slab'],
      gates: [],
      hands: { each: 2 },
      note: 'over the reed-shaped post, turn about with the next two jugs'
    },
    {
      id: 'column-samphire',
      act: {
        kind: 'column',
        cupId: 'samphire',
        amount: { kind: 'to share', of: 0.75 },
        at: { x: 0, y: 0 },
        rounds: 4,
        post: 'reed'
      },
      where: ['slab'],
      gates: [],
      hands: { each: 2 },
      note: 'over the post, in rounds'
    },
    {
      id: 'column-mudflat',
      act: {
        kind: 'column',
        cupId: 'mudflat',
        amount: { kind: 'rim' },
        at: { x: 0, y: 0 },
        rounds: 4,
        post: 'reed'
      },
      where: ['slab'],
      gates: [],
      hands: { each: 2 },
      note: 'over the post, in rounds'
    },
    {
      id: 'lift-post',
      act: { kind: 'lift', what: 'post' },
      where: ['slab'],
      gates: [],
      note: 'straight up; all jugs scraped into the void'
    },
    {
      id: 'spray-slab',
      act: { kind: 'spray', what: 'alcohol', times: 4, every: 30 },
      where: ['slab'],
      gates: [],
      hands: { each: 0.5 }
    },
    { id: 'demould-slab', act: { kind: 'demould' }, where: ['slab'], gates: [] },
    {
      id: 'cut-slab',
      act: { kind: 'cut', pieces: 40, how: 'on the diagonal', kerf: 0 },
      where: ['slab'],
      gates: [
        {
          id: 'gate-cut',
          all: [{ kind: 'since', zero: { demoulded: 'slab' }, minutes: 30 }],
          notAfter: { zero: { demoulded: 'slab' }, minutes: 2880 }
        }
      ],
      hands: { each: 20 },
      note: 'logs first, then blocks, turned, and on the diagonal'
    },
    {
      id: 'air-bars',
      act: { kind: 'air', minutes: 40320 },
      where: ['slab'],
      gates: [],
      note: 'four weeks on the rack, turned each week'
    }
  ],
  order: {
    good: 40,
    rejects: 0
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
