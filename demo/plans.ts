import type { Plan } from '../src/core/plan';

/** Order A: "Tideline" drawer knobs, one tray of six. */
export const tideline: Plan = {
  version: 1,
  id: 'tideline-knobs',
  name: 'Tideline knobs',
  notes: 'Forty-eight good ones for the Old Pumping House, a tray of six at a time.',
  baseId: 'clear-quick',
  scaleId: 'fine',
  readings: 'cumulative',
  roomCelsius: 21,
  showFace: 'mould face',
  losses: { cling: 0.03, vessel: 2 },
  cups: [
    {
      id: 'mudflat',
      letter: 'A',
      hatch: 'slant',
      name: 'mudflat',
      recipe: [
        { id: 'mudflat-brown', colourantId: 'brown-paste', percent: 2.4, of: 'supplied' },
        { id: 'mudflat-black', colourantId: 'black-paste', percent: 0.4, of: 'supplied' }
      ]
    },
    {
      id: 'heron',
      letter: 'B',
      hatch: 'level',
      name: 'heron',
      recipe: [
        { id: 'heron-white', colourantId: 'white-paste', percent: 1.1, of: 'supplied' },
        { id: 'heron-blue', colourantId: 'blue-paste', percent: 1.2, of: 'supplied' },
        { id: 'heron-brown', colourantId: 'brown-paste', percent: 0.6, of: 'supplied' }
      ]
    },
    {
      id: 'foam',
      letter: 'C',
      hatch: 'dots',
      name: 'foam',
      recipe: [
        { id: 'foam-white', colourantId: 'white-paste', percent: 3, of: 'supplied' },
        { id: 'foam-ochre', colourantId: 'ochre-paste', percent: 0.1, of: 'supplied' }
      ]
    }
  ],
  groups: [{ id: 'knobs', name: 'knobs 1–6', mouldId: 'dome-knobs', cavityId: 'dome', count: 6 }],
  steps: [
    {
      id: 'lay-mudflat',
      act: 'lay',
      cupId: 'mudflat',
      groupId: 'knobs',
      amount: { kind: 'deep', mm: 4 },
      minutesEach: 0.5
    },
    { id: 'gate-heron', act: 'gate', groupId: 'knobs', state: 'gelled' },
    {
      id: 'lay-heron',
      act: 'lay',
      cupId: 'heron',
      groupId: 'knobs',
      amount: { kind: 'to share', of: 0.6 },
      minutesEach: 0.5
    },
    { id: 'gate-foam', act: 'gate', groupId: 'knobs', state: 'gelled' },
    {
      id: 'lay-foam',
      act: 'lay',
      cupId: 'foam',
      groupId: 'knobs',
      amount: { kind: 'rim' },
      minutesEach: 0.5
    }
  ]
};
