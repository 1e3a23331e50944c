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
        kind: 'lay',
        cupId: 'foam',
        amount: {
          kind: 'to share',
          of: 0.45
        }
      },
      where: ['slab'],
      gates: [],
      hands: {
        each: 2
      },
      note: 'over the standing post in rounds of 200 ml, turn about with the next two cups'
    },
    {
      id: 'column-samphire',
      act: {
        kind: 'lay',
        cupId: 'samphire',
        amount: {
          kind: 'to share',
          of: 0.75
        }
      },
      where: ['slab'],
      gates: [],
      hands: {
        each: 2
      },
      note: 'over the post, in rounds'
    },
    {
      id: 'column-mudflat',
      act: {
        kind: 'lay',
        cupId: 'mudflat',
        amount: {
          kind: 'rim'
        }
      },
      where: ['slab'],
      gates: [],
      hands: {
        each: 2
      },
      note: 'over the post, in rounds; then lift it and fill the void'
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
