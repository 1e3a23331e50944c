import type { Plan } from '../../src/core/plan';

/** Order F: "Samphire" coat hooks, one turn of the five moulds. */
export const samphire: Plan = {
  version: 2,
  id: 'samphire-hooks',
  name: 'Samphire coat hooks',
  notes: 'Twenty-two hooks; five moulds in rotation, demoulded warm inside the window.',
  showFace: 'mould face',
  mixes: [
    {
      id: 'mix-samphire',
      baseId: 'acrylic-gypsum',
      feeds: 'one cup'
    }
  ],
  cups: [
    {
      id: 'samphire',
      letter: 'A',
      hatch: 'weave',
      name: 'samphire',
      mixing: 'marbled',
      from: {
        mix: 'mix-samphire'
      },
      recipe: [
        {
          id: 'samphire-green',
          colourantId: 'green-dispersion',
          percent: 1.2,
          of: 'pigment'
        }
      ]
    }
  ],
  groups: [
    {
      id: 'hooks',
      name: 'hooks 1–5',
      mouldId: 'coat-hooks',
      cavityId: 'hook',
      count: 5
    }
  ],
  steps: [
    {
      id: 'lay-samphire',
      act: { kind: 'lay', cupId: 'samphire', amount: { kind: 'rim' } },
      where: ['hooks'],
      gates: [],
      hands: { each: 0.9 }
    },
    { id: 'demould-hooks', act: { kind: 'demould' }, where: ['hooks'], gates: [], hands: { each: 0.5 } },
    {
      id: 'air-hooks',
      act: { kind: 'air', minutes: 1440 },
      where: ['hooks'],
      gates: [],
      note: 'on the grid, air on all sides'
    },
    {
      id: 'seal-hooks',
      act: { kind: 'seal', with: 'acrylic sealer', times: 1, every: 0 },
      where: ['hooks'],
      gates: [{ id: 'gate-seal', all: [{ kind: 'since', zero: { demoulded: 'hooks' }, minutes: 1440 }] }],
      hands: { each: 1 }
    }
  ],
  order: {
    good: 22,
    rejects: 0.08
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
    scaleIds: ['middle'],
    vesselIds: [],
    readings: 'cumulative',
    losses: {
      cling: 0.03,
      vessel: 2
    }
  }
};
