import type { Plan } from '../../src/core/plan';

/** Order A: "Tideline" drawer knobs, one tray of six. */
export const tideline: Plan = {
  version: 2,
  id: 'tideline-knobs',
  name: 'Tideline knobs',
  notes: 'Forty-eight good ones for the Old Pumping House, a tray of six at a time.',
  showFace: 'mould face',
  mixes: [
    {
      id: 'mix-mudflat',
      baseId: 'clear-quick',
      feeds: 'one cup'
    },
    {
      id: 'mix-heron',
      baseId: 'clear-quick',
      feeds: 'one cup'
    },
    {
      id: 'mix-foam',
      baseId: 'clear-quick',
      feeds: 'one cup'
    }
  ],
  cups: [
    {
      id: 'mudflat',
      letter: 'A',
      hatch: 'slant',
      name: 'mudflat',
      from: {
        mix: 'mix-mudflat'
      },
      recipe: [
        {
          id: 'mudflat-brown',
          colourantId: 'brown-paste',
          percent: 2.4,
          of: 'supplied'
        },
        {
          id: 'mudflat-black',
          colourantId: 'black-paste',
          percent: 0.4,
          of: 'supplied'
        }
      ]
    },
    {
      id: 'heron',
      letter: 'B',
      hatch: 'level',
      name: 'heron',
      from: {
        mix: 'mix-heron'
      },
      recipe: [
        {
          id: 'heron-white',
          colourantId: 'white-paste',
          percent: 1.1,
          of: 'supplied'
        },
        {
          id: 'heron-blue',
          colourantId: 'blue-paste',
          percent: 1.2,
          of: 'supplied'
        },
        {
          id: 'heron-brown',
          colourantId: 'brown-paste',
          percent: 0.6,
          of: 'supplied'
        }
      ]
    },
    {
      id: 'foam',
      letter: 'C',
      hatch: 'dots',
      name: 'foam',
      from: {
        mix: 'mix-foam'
      },
      recipe: [
        {
          id: 'foam-white',
          colourantId: 'white-paste',
          percent: 3,
          of: 'supplied'
        },
        {
          id: 'foam-ochre',
          colourantId: 'ochre-paste',
          percent: 0.1,
          of: 'supplied'
        }
      ]
    }
  ],
  groups: [
    {
      id: 'knobs',
      name: 'knobs 1–6',
      mouldId: 'dome-knobs',
      cavityId: 'dome',
      count: 6
    }
  ],
  steps: [
    {
      id: 'lay-mudflat',
      act: { kind: 'lay', cupId: 'mudflat', amount: { kind: 'deep', mm: 4 } },
      where: ['knobs'],
      gates: [],
      hands: { each: 0.5 }
    },
    {
      id: 'lay-heron',
      act: { kind: 'lay', cupId: 'heron', amount: { kind: 'to share', of: 0.6 } },
      where: ['knobs'],
      gates: [{ id: 'gate-heron', all: [{ kind: 'state', state: 'gelled', of: 'layer below' }] }],
      hands: { each: 0.5 }
    },
    {
      id: 'lay-foam',
      act: { kind: 'lay', cupId: 'foam', amount: { kind: 'rim' } },
      where: ['knobs'],
      gates: [{ id: 'gate-foam', all: [{ kind: 'state', state: 'gelled', of: 'layer below' }] }],
      hands: { each: 0.5 }
    },
    {
      id: 'drag-foam',
      act: {
        kind: 'drag',
        tool: 'needle',
        path: {
          points: [
            { x: -0.8, y: 0.2 },
            { x: -0.3, y: -0.2 },
            { x: 0.3, y: 0.2 },
            { x: 0.8, y: -0.2 }
          ]
        },
        depth: 'surface',
        width: 1.5,
        strength: 0.4,
        strokes: 1
      },
      where: ['knobs'],
      gates: [],
      hands: { each: 0.2 },
      note: 'one foam line drawn round the edge; then hands off'
    },
    { id: 'demould-knobs', act: { kind: 'demould' }, where: ['knobs'], gates: [] },
    { id: 'trim-knobs', act: { kind: 'trim' }, where: ['knobs'], gates: [], hands: { each: 0.5 } },
    {
      id: 'sand-knobs',
      act: { kind: 'sand', grits: [400, 800], wet: 'wet' },
      where: ['knobs'],
      gates: [{ id: 'gate-sand', all: [{ kind: 'since', zero: { demoulded: 'knobs' }, minutes: 2880 }] }],
      hands: { each: 2 }
    }
  ],
  order: {
    good: 48,
    rejects: 0.12
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
