import type { Plan } from '../../src/core/plan';

/** Order O: "Bollard" markers: small cubes, black and white poured together, ink dropped into the white. */
export const bollard: Plan = {
  version: 2,
  id: 'bollard-markers',
  name: 'Bollard markers',
  notes: 'Ink dropped onto the white and left alone; both cups poured at once, cube by cube, then the pot.',
  showFace: 'mould face',
  mixes: [
    { id: 'mix-foam', baseId: 'clear-slow', feeds: 'one cup' },
    { id: 'mix-black', baseId: 'clear-slow', feeds: 'one cup' }
  ],
  cups: [
    {
      id: 'foam',
      letter: 'A',
      hatch: 'dots',
      name: 'foam',
      from: { mix: 'mix-foam' },
      recipe: [{ id: 'foam-white', colourantId: 'white-paste', percent: 2, of: 'supplied' }]
    },
    {
      id: 'black',
      letter: 'B',
      hatch: 'slant',
      name: 'sluice black',
      from: { mix: 'mix-black' },
      recipe: [{ id: 'black-black', colourantId: 'black-paste', percent: 1.5, of: 'supplied' }]
    },
    {
      id: 'inked',
      letter: 'C',
      hatch: 'rings',
      name: 'inked foam',
      from: { cups: [{ cupId: 'foam', share: 1 }] },
      recipe: [{ id: 'inked-ink', colourantId: 'magenta-ink', percent: 0.3, of: 'supplied' }]
    }
  ],
  groups: [{ id: 'cubes', name: 'cubes 1–12', mouldId: 'small-cubes', cavityId: 'cube', count: 12 }],
  steps: [
    {
      id: 'pour-both',
      act: {
        kind: 'together',
        cupId: 'inked',
        withId: 'black',
        first: 0.55,
        amount: { kind: 'rim' },
        streams: 'into one stream'
      },
      where: ['cubes'],
      gates: [],
      hands: { each: 0.4 }
    },
    { id: 'press-cubes', act: { kind: 'pressure', bar: 3, minutes: 1440 }, where: ['cubes'], gates: [] },
    { id: 'demould-cubes', act: { kind: 'demould' }, where: ['cubes'], gates: [] },
    {
      id: 'sand-cubes',
      act: { kind: 'sand', grits: [240, 400, 800], wet: 'wet' },
      where: ['cubes'],
      gates: [{ id: 'hard', all: [{ kind: 'since', zero: { demoulded: 'cubes' }, minutes: 2880 }] }],
      hands: { each: 1 },
      note: 'only the poured face'
    }
  ],
  order: { good: 22, rejects: 0.08 },
  spares: [],
  bench: {
    roomCelsius: 21,
    scaleIds: ['fine', 'middle'],
    vesselIds: [],
    readings: 'cumulative',
    losses: { cling: 0.03 }
  }
};
