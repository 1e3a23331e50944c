import type { Plan } from '../../src/core/plan';

/** Order H: "Eel" pull cords, injected in two shots. */
export const eel: Plan = {
  version: 2,
  id: 'eel-cords',
  name: 'Eel pull cords',
  notes: 'Clear-green belly over a dark back. The first shot into the cold mould is remelted.',
  showFace: 'cut',
  mixes: [
    {
      id: 'mix-back',
      baseId: 'soft-plastisol',
      feeds: 'one cup',
      reheats: 1
    },
    {
      id: 'mix-belly',
      baseId: 'soft-plastisol',
      feeds: 'one cup',
      reheats: 1
    }
  ],
  cups: [
    {
      id: 'back',
      letter: 'A',
      hatch: 'rings',
      name: 'sluice black',
      from: {
        mix: 'mix-back'
      },
      recipe: [
        {
          id: 'back-black',
          colourantId: 'black-plastisol',
          percent: 1,
          of: 'supplied'
        }
      ]
    },
    {
      id: 'belly',
      letter: 'B',
      hatch: 'slant',
      name: 'eel',
      from: {
        mix: 'mix-belly'
      },
      recipe: [
        {
          id: 'belly-eel',
          colourantId: 'eel-plastisol',
          percent: 0.8,
          of: 'supplied'
        }
      ]
    }
  ],
  groups: [
    {
      id: 'cords',
      name: 'cords 1–6',
      mouldId: 'pull-cords',
      cavityId: 'cord',
      count: 6
    }
  ],
  steps: [
    {
      id: 'shoot-back',
      act: { kind: 'lay', cupId: 'back', amount: { kind: 'share', of: 0.4 } },
      where: ['cords'],
      gates: [],
      hands: { each: 0.3 },
      note: 'one slow shot each, mould tilted; remelt the first, shot cold'
    },
    {
      id: 'shoot-belly',
      act: { kind: 'lay', cupId: 'belly', amount: { kind: 'rim' } },
      where: ['cords'],
      gates: [{ id: 'skin', all: [{ kind: 'state', state: 'thickening', of: 'layer below' }] }],
      hands: { each: 0.3 },
      note: 'the second shot, warm; the sprue sinks as it cools'
    },
    { id: 'top-cords', act: { kind: 'sprue', within: 2 }, where: ['cords'], gates: [] },
    { id: 'demould-cords', act: { kind: 'demould' }, where: ['cords'], gates: [], hands: { each: 0.5 } },
    {
      id: 'trim-cords',
      act: { kind: 'trim', with: 'scissors' },
      where: ['cords'],
      gates: [],
      hands: { each: 0.5 },
      note: 'the sprue and the flash'
    }
  ],
  order: {
    good: 30,
    rejects: 0.1
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
