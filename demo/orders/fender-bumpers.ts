import type { Plan } from '../../src/core/plan';

/** Order Q: "Fender" bumpers for the jetty side: a white core, then a dark back over it, in the same three moulds. */
export const fender: Plan = {
  version: 2,
  id: 'fender-bumpers',
  name: 'Fender bumpers',
  notes: 'Inject, hold, top the sprue, next mould. The first shot into a cold mould is remelted.',
  showFace: 'cut',
  mixes: [
    { id: 'mix-core', baseId: 'soft-plastisol', feeds: 'one cup' },
    { id: 'mix-back', baseId: 'soft-plastisol', feeds: 'one cup' }
  ],
  cups: [
    {
      id: 'core',
      letter: 'A',
      hatch: 'plain',
      name: 'foam',
      from: { mix: 'mix-core' },
      recipe: [{ id: 'core-white', colourantId: 'white-plastisol', percent: 2, of: 'supplied' }]
    },
    {
      id: 'back',
      letter: 'B',
      hatch: 'slant',
      name: 'sluice black',
      from: { mix: 'mix-back' },
      recipe: [{ id: 'back-black', colourantId: 'black-plastisol', percent: 1, of: 'supplied' }]
    }
  ],
  groups: [{ id: 'bumpers', name: 'bumpers 1–3', mouldId: 'bumper', cavityId: 'bumper', count: 3 }],
  steps: [
    {
      id: 'shoot-core',
      act: { kind: 'lay', cupId: 'core', amount: { kind: 'to share', of: 0.5 } },
      where: ['bumpers'],
      gates: [],
      hands: { each: 0.5 },
      note: 'one slow shot each'
    },
    { id: 'hold-core', act: { kind: 'hold', seconds: 20 }, where: ['bumpers'], gates: [] },
    {
      id: 'shoot-back',
      act: { kind: 'lay', cupId: 'back', amount: { kind: 'rim' } },
      where: ['bumpers'],
      gates: [{ id: 'core-set', all: [{ kind: 'state', state: 'set', of: 'layer below' }] }],
      hands: { each: 0.5 }
    },
    { id: 'hold-back', act: { kind: 'hold', seconds: 20 }, where: ['bumpers'], gates: [] },
    { id: 'top-sprue', act: { kind: 'sprue', within: 2 }, where: ['bumpers'], gates: [] },
    { id: 'demould-bumpers', act: { kind: 'demould' }, where: ['bumpers'], gates: [], hands: { each: 1 } },
    {
      id: 'trim-bumpers',
      act: { kind: 'trim', with: 'scissors' },
      where: ['bumpers'],
      gates: [],
      note: 'the sprue and the flash'
    }
  ],
  order: { good: 18, rejects: 0.1 },
  spares: [],
  bench: {
    roomCelsius: 21,
    scaleIds: ['middle', 'fine'],
    vesselIds: [],
    readings: 'cumulative',
    losses: { cling: 0.03, vessel: 2 }
  }
};
