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

/** Order E: "Sluice" bookends, a pair; the detail coat first, then the dark body. */
export const sluice: Plan = {
  ...tideline,
  id: 'sluice-bookends',
  name: 'Sluice bookends',
  notes:
    'A raised tide mark: a thin pale coat over the detail, then the dark body. Eight in all, two at a time.',
  baseId: 'fine-concrete',
  scaleId: 'bench',
  losses: { cling: 0.03, vessel: 20 },
  cups: [
    { id: 'tide', letter: 'A', hatch: 'dots', name: 'tide mark', recipe: [] },
    {
      id: 'sluice',
      letter: 'B',
      hatch: 'slant',
      name: 'sluice',
      recipe: [{ id: 'sluice-brown', colourantId: 'brown-oxide', percent: 4, of: 'supplied' }]
    }
  ],
  groups: [{ id: 'bookends', name: 'bookends 1–2', mouldId: 'bookend', cavityId: 'bookend', count: 2 }],
  steps: [
    {
      id: 'lay-tide',
      act: 'lay',
      cupId: 'tide',
      groupId: 'bookends',
      amount: { kind: 'deep', mm: 12 },
      minutesEach: 3
    },
    { id: 'gate-sluice', act: 'gate', groupId: 'bookends', state: 'stiffening' },
    {
      id: 'lay-sluice',
      act: 'lay',
      cupId: 'sluice',
      groupId: 'bookends',
      amount: { kind: 'rim' },
      minutesEach: 4
    }
  ]
};

/** Order F: "Samphire" coat hooks, one turn of the five moulds. */
export const samphire: Plan = {
  ...tideline,
  id: 'samphire-hooks',
  name: 'Samphire coat hooks',
  notes: 'Twenty-two hooks; five moulds in rotation, demoulded warm inside the window.',
  baseId: 'acrylic-gypsum',
  scaleId: 'middle',
  cups: [
    {
      id: 'samphire',
      letter: 'A',
      hatch: 'weave',
      name: 'samphire',
      recipe: [{ id: 'samphire-green', colourantId: 'green-dispersion', percent: 1.2, of: 'pigment' }]
    }
  ],
  groups: [{ id: 'hooks', name: 'hooks 1–5', mouldId: 'coat-hooks', cavityId: 'hook', count: 5 }],
  steps: [
    {
      id: 'lay-samphire',
      act: 'lay',
      cupId: 'samphire',
      groupId: 'hooks',
      amount: { kind: 'rim' },
      minutesEach: 0.9
    }
  ]
};

/** Every plan of the demo workshop. */
export const plans: Plan[] = [samphire, sluice, tideline];
