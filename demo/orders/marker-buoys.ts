import type { Plan } from '../../src/core/plan';

const BANDS = [
  { id: 'white-1', letter: 'A', hatch: 'plain', name: 'foam', colourantId: 'white-powder', percent: 1.2 },
  { id: 'brick', letter: 'B', hatch: 'slant', name: 'brick drain', colourantId: 'red-oxide', percent: 0.8 },
  { id: 'ochre', letter: 'C', hatch: 'level', name: 'ochre bank', colourantId: 'yellow-oxide', percent: 0.8 },
  { id: 'heron', letter: 'D', hatch: 'upright', name: 'heron', colourantId: 'indigo', percent: 0.6 }
] as const;

/** Order L: "Marker buoy" soaps, balls of thin bands, each band a small fresh batch from stock lye and stock oils. */
export const buoy: Plan = {
  version: 2,
  id: 'marker-buoys',
  name: 'Marker buoys',
  notes:
    'Poured through the hole, a band at a time. The cord goes in when they are unmoulded; washed to polish.',
  showFace: 'cut',
  mixes: BANDS.map(({ id }) => ({ id: `mix-${id}`, baseId: 'stock-soap', feeds: 'one cup' as const })),
  cups: BANDS.map(({ id, letter, hatch, name, colourantId, percent }) => ({
    id,
    letter,
    hatch,
    name,
    from: { mix: `mix-${id}` },
    recipe: [{ id: `${id}-colour`, colourantId, percent, of: 'supplied' as const }]
  })),
  groups: [{ id: 'balls', name: 'balls 1–4', mouldId: 'buoy-balls', cavityId: 'ball', count: 4 }],
  steps: [
    ...BANDS.map(({ id }, i) => ({
      id: `band-${id}`,
      act: {
        kind: 'lay',
        cupId: id,
        amount: i === BANDS.length - 1 ? { kind: 'rim' } : { kind: 'to share', of: (i + 1) / BANDS.length }
      },
      where: ['balls'],
      gates: i
        ? [
            {
              id: `stands-${id}`,
              all: [{ kind: 'state' as const, state: 'thick trace', of: 'layer below' as const }]
            }
          ]
        : [],
      hands: { each: 0.6 }
    })),
    { id: 'cover-balls', act: { kind: 'cover', with: 'a towel', minutes: 960 }, where: ['balls'], gates: [] },
    { id: 'demould-balls', act: { kind: 'demould' }, where: ['balls'], gates: [] },
    {
      id: 'trim-balls',
      act: { kind: 'trim', with: 'a knife' },
      where: ['balls'],
      gates: [],
      note: 'the seam and the plug'
    },
    {
      id: 'air-balls',
      act: { kind: 'air', minutes: 40_320 },
      where: ['balls'],
      gates: [],
      note: 'four weeks'
    },
    {
      id: 'wash-balls',
      act: { kind: 'wash', with: 'wet hands' },
      where: ['balls'],
      gates: [],
      note: 'polished by turning'
    }
  ],
  order: { good: 24, rejects: 0.1 },
  spares: [],
  bench: {
    roomCelsius: 21,
    scaleIds: ['middle', 'fine'],
    vesselIds: [],
    readings: 'cumulative',
    losses: { cling: 0.03, vessel: 1 }
  }
};
