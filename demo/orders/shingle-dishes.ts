import type { Plan } from '../../src/core/plan';

/** Order G: "Shingle" soap dishes, terrazzo from the hooks' leftovers. */
export const shingle: Plan = {
  version: 2,
  id: 'shingle-dishes',
  name: 'Shingle soap dishes',
  notes: 'Chips 45 % of the mix; wet sanded after a day, sealed.',
  showFace: 'mould face',
  mixes: [
    {
      id: 'mix-shingle',
      baseId: 'acrylic-gypsum',
      feeds: 'one cup'
    }
  ],
  cups: [
    {
      id: 'shingle',
      letter: 'A',
      hatch: 'weave',
      name: 'shingle',
      from: {
        mix: 'mix-shingle'
      },
      recipe: [],
      fillers: [
        {
          id: 'chips',
          name: 'samphire offcuts, crushed',
          percent: 45,
          density: 1.75,
          lotId: 'samphire-offcuts'
        }
      ]
    }
  ],
  groups: [
    {
      id: 'dishes',
      name: 'dishes 1–4',
      mouldId: 'soap-dish',
      cavityId: 'dish',
      count: 4
    }
  ],
  steps: [
    {
      id: 'lay-shingle',
      act: { kind: 'lay', cupId: 'shingle', amount: { kind: 'rim' } },
      where: ['dishes'],
      gates: [],
      hands: { each: 0.9 },
      note: 'a spoon of plain mix over the face first, then the chips pressed down with it'
    },
    { id: 'tap-dishes', act: { kind: 'tap', minutes: 1.5 }, where: ['dishes'], gates: [] },
    { id: 'demould-dishes', act: { kind: 'demould' }, where: ['dishes'], gates: [], hands: { each: 0.5 } },
    {
      id: 'sand-dishes',
      act: { kind: 'sand', grits: [120, 240, 400, 800, 1500], wet: 'wet' },
      where: ['dishes'],
      gates: [{ id: 'gate-sand', all: [{ kind: 'since', zero: { demoulded: 'dishes' }, minutes: 1440 }] }],
      hands: { each: 6 }
    },
    { id: 'air-dishes', act: { kind: 'air', minutes: 1440 }, where: ['dishes'], gates: [] },
    {
      id: 'seal-dishes',
      act: { kind: 'seal', with: 'acrylic sealer', times: 2, every: 120 },
      where: ['dishes'],
      gates: [],
      hands: { each: 1 }
    }
  ],
  order: {
    good: 11,
    rejects: 0.1
  },
  spares: [],
  bench: {
    roomCelsius: 21,
    scaleIds: ['middle', 'bench'],
    vesselIds: [],
    readings: 'cumulative',
    losses: {
      cling: 0.03,
      vessel: 2
    }
  }
};
