import type { Plan } from '../../src/core/plan';

/** Order P: "Culvert" trays: two greys that meet at a line down the middle; sand first, water by eye. */
export const culvert: Plan = {
  version: 2,
  id: 'culvert-trays',
  name: 'Culvert trays',
  notes:
    'The divider comes out when both sides stand, and both are tapped together. Nothing may run over the line.',
  showFace: 'mould face',
  mixes: ['pale', 'dark'].map((id) => ({
    id: `mix-${id}`,
    baseId: 'fine-concrete',
    feeds: 'one cup' as const,
    creeps: [{ part: 'water', start: 0.8, step: 0.05 }]
  })),
  cups: [
    {
      id: 'pale',
      letter: 'A',
      hatch: 'dots',
      name: 'pale grey',
      from: { mix: 'mix-pale' },
      recipe: [{ id: 'pale-brown', colourantId: 'brown-oxide', percent: 0.5, of: 'supplied' }]
    },
    {
      id: 'dark',
      letter: 'B',
      hatch: 'slant',
      name: 'mudflat',
      from: { mix: 'mix-dark' },
      recipe: [{ id: 'dark-brown', colourantId: 'brown-oxide', percent: 4, of: 'supplied' }]
    }
  ],
  groups: [{ id: 'trays', name: 'tray', mouldId: 'culvert-tray', cavityId: 'tray', count: 1 }],
  steps: [
    {
      id: 'fill-pale',
      act: { kind: 'chamber', cupId: 'pale', amount: { kind: 'rim' }, chamberId: 'left', rounds: 2 },
      where: ['trays'],
      gates: [],
      hands: { each: 4 }
    },
    {
      id: 'fill-dark',
      act: { kind: 'chamber', cupId: 'dark', amount: { kind: 'rim' }, chamberId: 'right', rounds: 2 },
      where: ['trays'],
      gates: [],
      hands: { each: 4 }
    },
    { id: 'lift-divider', act: { kind: 'lift', what: 'divider' }, where: ['trays'], gates: [] },
    { id: 'vibrate-trays', act: { kind: 'vibrate', minutes: 2 }, where: ['trays'], gates: [] },
    { id: 'cover-trays', act: { kind: 'cover', with: 'film', minutes: 1200 }, where: ['trays'], gates: [] },
    { id: 'demould-trays', act: { kind: 'demould' }, where: ['trays'], gates: [], hands: { each: 5 } },
    {
      id: 'air-trays',
      act: { kind: 'air', minutes: 10_080 },
      where: ['trays'],
      gates: [],
      note: 'a week, air on all sides'
    },
    {
      id: 'seal-trays',
      act: { kind: 'seal', with: 'matte sealer', times: 2, every: 240 },
      where: ['trays'],
      gates: [{ id: 'a-week', all: [{ kind: 'since', zero: { demoulded: 'trays' }, minutes: 10_080 }] }],
      hands: { each: 3 }
    }
  ],
  order: { good: 4, rejects: 0 },
  spares: [],
  bench: {
    roomCelsius: 21,
    scaleIds: ['bench', 'fine'],
    vesselIds: [],
    readings: 'cumulative',
    losses: { cling: 0.03, vessel: 20 }
  }
};
