import type { Plan } from '../../src/core/plan';

/** Order E: "Sluice" bookends, a pair; the detail coat first, then the dark body. */
export const sluice: Plan = {
  version: 2,
  id: 'sluice-bookends',
  name: 'Sluice bookends',
  notes:
    'A raised tide mark: a thin pale coat over the detail, then the dark body. Eight in all, two at a time.',
  showFace: 'mould face',
  mixes: [
    {
      id: 'mix-tide',
      baseId: 'fine-concrete',
      feeds: 'one cup'
    },
    {
      id: 'mix-sluice',
      baseId: 'fine-concrete',
      feeds: 'one cup'
    }
  ],
  cups: [
    {
      id: 'tide',
      letter: 'A',
      hatch: 'dots',
      name: 'tide mark',
      from: {
        mix: 'mix-tide'
      },
      recipe: []
    },
    {
      id: 'sluice',
      letter: 'B',
      hatch: 'slant',
      name: 'sluice',
      from: {
        mix: 'mix-sluice'
      },
      recipe: [
        {
          id: 'sluice-brown',
          colourantId: 'brown-oxide',
          percent: 4,
          of: 'supplied'
        }
      ]
    }
  ],
  groups: [
    {
      id: 'bookends',
      name: 'bookends 1–2',
      mouldId: 'bookend',
      cavityId: 'bookend',
      count: 2
    }
  ],
  steps: [
    {
      id: 'lay-tide',
      act: {
        kind: 'coat',
        cupId: 'tide',
        amount: { kind: 'zone', zoneId: 'tide mark' },
        zone: 'tide-mark',
        aside: 1
      },
      where: ['bookends'],
      gates: [],
      hands: { each: 3 },
      note: 'a thin coat over the detail, the mould tilted until no corner is bare'
    },
    {
      id: 'tap-tide',
      act: { kind: 'tap', minutes: 2, zone: 'tide-mark' },
      where: ['bookends'],
      gates: [],
      note: 'a minute a side'
    },
    {
      id: 'lay-sluice',
      act: { kind: 'lay', cupId: 'sluice', amount: { kind: 'rim' } },
      where: ['bookends'],
      gates: [{ id: 'gate-sluice', all: [{ kind: 'state', state: 'stiffening', of: 'layer below' }] }],
      hands: { each: 4 }
    },
    { id: 'vibrate-bookends', act: { kind: 'vibrate', minutes: 2 }, where: ['bookends'], gates: [] },
    { id: 'demould-bookends', act: { kind: 'demould' }, where: ['bookends'], gates: [] },
    {
      id: 'stain-bookends',
      act: { kind: 'stain', colourantId: 'interference-blue', wiped: 'yes' },
      where: ['bookends'],
      gates: [{ id: 'gate-stain', all: [{ kind: 'since', zero: { demoulded: 'bookends' }, minutes: 60 }] }],
      hands: { each: 4 },
      note: 'pearl in water, sprayed and wiped from the peaks'
    },
    {
      id: 'air-bookends',
      act: { kind: 'air', minutes: 10080 },
      where: ['bookends'],
      gates: [],
      note: 'a week, air on all sides'
    },
    {
      id: 'seal-bookends',
      act: { kind: 'seal', with: 'matte sealer', times: 2, every: 240 },
      where: ['bookends'],
      gates: [{ id: 'gate-seal', all: [{ kind: 'since', zero: { demoulded: 'bookends' }, minutes: 10080 }] }],
      hands: { each: 3 }
    }
  ],
  order: {
    good: 8,
    rejects: 0.1
  },
  spares: [],
  bench: {
    roomCelsius: 21,
    scaleIds: ['bench', 'fine'],
    vesselIds: [],
    readings: 'cumulative',
    losses: {
      cling: 0.03,
      vessel: 20
    }
  }
};
