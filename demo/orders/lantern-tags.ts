import type { Plan } from '../../src/core/plan';

/** Order I: "Lantern" key tags, mica dusted on the mould face, dark body. */
export const lantern: Plan = {
  version: 2,
  id: 'lantern-tags',
  name: 'Lantern key tags',
  notes: 'Brass reed dusted on the mirrored numbers, fading to the edge; flood behind; dark body.',
  showFace: 'mould face',
  mixes: [
    {
      id: 'mix-body',
      baseId: 'clear-quick',
      feeds: 'one cup'
    }
  ],
  cups: [
    {
      id: 'body',
      letter: 'A',
      hatch: 'slant',
      name: 'sluice black',
      from: {
        mix: 'mix-body'
      },
      recipe: [
        {
          id: 'body-black',
          colourantId: 'black-paste',
          percent: 0.8,
          of: 'supplied'
        },
        {
          id: 'body-blue',
          colourantId: 'blue-paste',
          percent: 0.5,
          of: 'supplied'
        }
      ]
    }
  ],
  groups: [
    {
      id: 'tags',
      name: 'tags 1–12',
      mouldId: 'key-tags',
      cavityId: 'tag',
      count: 12
    }
  ],
  steps: [
    {
      id: 'dust-numbers',
      act: {
        kind: 'dust',
        colourantId: 'brass-mica',
        over: 'the raised parts',
        cover: 1,
        fade: 'evenly',
        wiped: 'from the raised parts'
      },
      where: ['tags'],
      gates: [],
      hands: { each: 0.6 },
      note: 'brass reed on the numbers, which are mirrored'
    },
    {
      id: 'dust-face',
      act: {
        kind: 'dust',
        colourantId: 'brass-mica',
        over: 'all of it',
        cover: 0.6,
        fade: 'to the right',
        wiped: 'no'
      },
      where: ['tags'],
      gates: [],
      hands: { each: 0.4 },
      note: 'a fade from the lantern to the edge'
    },
    {
      id: 'lay-body',
      act: { kind: 'lay', cupId: 'body', amount: { kind: 'rim' } },
      where: ['tags'],
      gates: [],
      hands: { each: 0.4 },
      note: 'low, from one end, so that no dust floats'
    },
    { id: 'demould-tags', act: { kind: 'demould' }, where: ['tags'], gates: [], hands: { each: 0.3 } },
    { id: 'trim-tags', act: { kind: 'trim' }, where: ['tags'], gates: [], hands: { each: 0.3 } }
  ],
  order: {
    good: 11,
    rejects: 0.1
  },
  spares: [],
  bench: {
    roomCelsius: 21,
    scaleIds: ['fine'],
    vesselIds: [],
    readings: 'cumulative',
    losses: {
      cling: 0.03,
      vessel: 2
    }
  }
};
