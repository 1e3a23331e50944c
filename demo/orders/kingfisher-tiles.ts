import type { Plan } from '../../src/core/plan';

/** Order M: "Kingfisher" tiles: a small bird cast first, sawn flat, laid into a second mould. */
export const kingfisher: Plan = {
  version: 2,
  id: 'kingfisher-tiles',
  name: 'Kingfisher tiles',
  notes: 'Three days: the bird, the reeds round it, clear over all.',
  showFace: 'mould face',
  mixes: [
    { id: 'mix-bird', baseId: 'clear-quick', feeds: 'one cup' },
    { id: 'mix-reed', baseId: 'clear-quick', feeds: 'one cup' },
    { id: 'mix-clear', baseId: 'clear-quick', feeds: 'one cup' }
  ],
  cups: [
    {
      id: 'bird',
      letter: 'A',
      hatch: 'dots',
      name: 'flood',
      from: { mix: 'mix-bird' },
      // As little as stirs well; the rest goes into sample tiles.
      atLeast: 20,
      recipe: [
        { id: 'bird-blue', colourantId: 'blue-paste', percent: 1.2, of: 'supplied' },
        { id: 'bird-white', colourantId: 'white-paste', percent: 1.2, of: 'supplied' }
      ]
    },
    {
      id: 'reed',
      letter: 'B',
      hatch: 'slant',
      name: 'samphire',
      from: { mix: 'mix-reed' },
      recipe: [
        { id: 'reed-green', colourantId: 'green-paste', percent: 1.5, of: 'supplied' },
        { id: 'reed-white', colourantId: 'white-paste', percent: 1, of: 'supplied' }
      ]
    },
    { id: 'clear', letter: 'C', hatch: 'plain', name: 'clear', from: { mix: 'mix-clear' }, recipe: [] }
  ],
  groups: [
    { id: 'birds', name: 'birds 1–2', mouldId: 'kingfisher', cavityId: 'bird', count: 2 },
    {
      id: 'tiles',
      name: 'tiles 1–2',
      mouldId: 'square-tile',
      cavityId: 'tile',
      count: 2,
      embeds: [
        { id: 'the-bird', kind: 'casting', name: 'bird', groupId: 'birds', share: 0.9, each: 1, from: 0 }
      ]
    }
  ],
  steps: [
    {
      id: 'pour-bird',
      act: { kind: 'lay', cupId: 'bird', amount: { kind: 'rim' } },
      where: ['birds'],
      gates: []
    },
    { id: 'torch-bird', act: { kind: 'torch', seconds: 3 }, where: ['birds'], gates: [] },
    { id: 'demould-birds', act: { kind: 'demould' }, where: ['birds'], gates: [] },
    {
      id: 'flatten-birds',
      act: { kind: 'sand', grits: [120, 240], wet: 'wet' },
      where: ['birds'],
      gates: [{ id: 'hard', all: [{ kind: 'since', zero: { demoulded: 'birds' }, minutes: 960 }] }],
      hands: { each: 3 },
      note: 'the back sawn and sanded flat'
    },
    {
      id: 'lay-bird',
      act: {
        kind: 'place',
        what: 'the bird',
        embedId: 'the-bird',
        pieces: 1,
        at: { x: 0, y: 0 },
        pressed: 0
      },
      where: ['tiles'],
      gates: [],
      hands: { each: 1 },
      note: 'face down, on a drop of clear so that it does not float'
    },
    {
      id: 'pour-reed',
      act: { kind: 'lay', cupId: 'reed', amount: { kind: 'deep', mm: 5 } },
      where: ['tiles'],
      gates: [],
      hands: { each: 1 }
    },
    { id: 'torch-reed', act: { kind: 'torch', seconds: 3 }, where: ['tiles'], gates: [] },
    {
      id: 'pour-clear',
      act: { kind: 'lay', cupId: 'clear', amount: { kind: 'rim' } },
      where: ['tiles'],
      gates: [{ id: 'reed-gelled', all: [{ kind: 'state', state: 'gelled', of: 'layer below' }] }],
      hands: { each: 1 }
    },
    { id: 'torch-clear', act: { kind: 'torch', seconds: 3 }, where: ['tiles'], gates: [] },
    { id: 'demould-tiles', act: { kind: 'demould' }, where: ['tiles'], gates: [] }
  ],
  order: { good: 6, rejects: 0.1 },
  spares: [],
  bench: {
    roomCelsius: 21,
    scaleIds: ['fine', 'middle'],
    vesselIds: [],
    readings: 'cumulative',
    losses: { cling: 0.03 }
  }
};
