import type { Plan } from '../src/core/plan';
import { knob } from './cards';

/** Order A: "Tideline" drawer knobs, one tray of six. */
export const tideline: Plan = {
  version: 1,
  id: 'tideline-knobs',
  name: 'Tideline knobs',
  notes: 'Forty-eight good ones for the Old Pumping House, a tray of six at a time.',
  baseId: 'clear-quick',
  order: { good: 48, rejects: 0.12 },
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
  order: { good: 8, rejects: 0.1 },
  scaleId: 'bench',
  otherScaleIds: ['fine'],
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
      amount: { kind: 'zone', zoneId: 'tide mark' },
      how: 'a thin coat over the detail, the mould tilted until no corner is bare; tap a minute a side',
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
  order: { good: 22, rejects: 0.08 },
  scaleId: 'middle',
  spares: [{ id: 'tiles', mouldId: 'sample-tiles', cavityId: 'tile', count: 4 }],
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

/** Order B: "Rockpool" door number roundels, six a turn, one mix split into four cups. */
export const rockpool: Plan = {
  ...tideline,
  id: 'rockpool-roundels',
  name: 'Rockpool roundels',
  notes: 'Eleven door numbers. Heavy white lacing: foam sinks through what lies on it and makes cells.',
  baseId: 'clear-slow',
  mixing: 'split',
  order: { good: 11, rejects: 0.2 },
  scaleId: 'middle',
  otherScaleIds: ['fine'],
  cups: [
    {
      id: 'foam',
      letter: 'A',
      hatch: 'dots',
      name: 'foam',
      recipe: [{ id: 'foam-white', colourantId: 'white-paste', percent: 2.4, of: 'supplied' }]
    },
    {
      id: 'heron',
      letter: 'B',
      hatch: 'slant',
      name: 'heron',
      recipe: [
        { id: 'heron-blue', colourantId: 'blue-paste', percent: 0.6, of: 'supplied' },
        { id: 'heron-brown', colourantId: 'brown-paste', percent: 0.3, of: 'supplied' }
      ]
    },
    {
      id: 'lavender',
      letter: 'D',
      hatch: 'level',
      name: 'sea lavender',
      recipe: [
        { id: 'lavender-violet', colourantId: 'violet-paste', percent: 0.9, of: 'supplied' },
        { id: 'lavender-pearl', colourantId: 'interference-blue', percent: 0.5, of: 'supplied' }
      ]
    },
    {
      id: 'black',
      letter: 'C',
      hatch: 'rings',
      name: 'sluice black',
      recipe: [{ id: 'black-black', colourantId: 'black-paste', percent: 0.5, of: 'supplied' }]
    }
  ],
  groups: [{ id: 'roundels', name: 'roundels 1–6', mouldId: 'roundel', cavityId: 'roundel', count: 6 }],
  steps: [
    {
      id: 'lay-foam',
      act: 'lay',
      cupId: 'foam',
      groupId: 'roundels',
      amount: { kind: 'volume', ml: 13.2 },
      how: 'over the whole bed, until it levels',
      minutesEach: 0.5
    },
    {
      id: 'puddle-heron',
      act: 'lay',
      cupId: 'heron',
      groupId: 'roundels',
      amount: { kind: 'volume', ml: 24.2 },
      how: 'puddled into the middle from low, so that it pushes the foam outward',
      minutesEach: 0.4
    },
    {
      id: 'puddle-lavender',
      act: 'lay',
      cupId: 'lavender',
      groupId: 'roundels',
      amount: { kind: 'volume', ml: 9.9 },
      how: 'puddled into the heron, from high',
      minutesEach: 0.4
    },
    {
      id: 'puddle-black',
      act: 'lay',
      cupId: 'black',
      groupId: 'roundels',
      amount: { kind: 'rim' },
      how: 'into the very middle; then 5 ml of the centre drawn out with the syringe',
      minutesEach: 0.3
    }
  ]
};

/** Order C: "Saltings" guest bars, one 3.6 kg slab, one batch split inside its trace. */
export const saltings: Plan = {
  ...tideline,
  id: 'saltings-bars',
  name: 'Saltings guest bars',
  notes: 'One slab, forty bars cut on the diagonal. Column pour over the reed-shaped post.',
  baseId: 'bar-soap',
  order: { good: 40, rejects: 0 },
  mixing: 'split',
  scaleId: 'bench',
  otherScaleIds: ['fine'],
  losses: { cling: 0.02, vessel: 8 },
  spares: [{ id: 'tiles', mouldId: 'sample-tiles', cavityId: 'tile', count: 4 }],
  cups: [
    {
      id: 'foam',
      letter: 'A',
      hatch: 'dots',
      name: 'foam',
      recipe: [{ id: 'foam-white', colourantId: 'white-powder', percent: 1, of: 'supplied' }]
    },
    {
      id: 'samphire',
      letter: 'B',
      hatch: 'weave',
      name: 'samphire',
      recipe: [{ id: 'samphire-green', colourantId: 'chrome-green', percent: 1.2, of: 'supplied' }]
    },
    {
      id: 'mudflat',
      letter: 'C',
      hatch: 'slant',
      name: 'mudflat',
      recipe: [{ id: 'mudflat-brown', colourantId: 'brown-oxide', percent: 0.8, of: 'supplied' }]
    }
  ],
  groups: [{ id: 'slab', name: 'slab', mouldId: 'slab', cavityId: 'slab', count: 1, cutInto: 40 }],
  steps: [
    {
      id: 'column-foam',
      act: 'lay',
      cupId: 'foam',
      groupId: 'slab',
      amount: { kind: 'to share', of: 0.45 },
      how: 'over the standing post in rounds of 200 ml, turn about with the next two cups',
      minutesEach: 2
    },
    {
      id: 'column-samphire',
      act: 'lay',
      cupId: 'samphire',
      groupId: 'slab',
      amount: { kind: 'to share', of: 0.75 },
      how: 'over the post, in rounds',
      minutesEach: 2
    },
    {
      id: 'column-mudflat',
      act: 'lay',
      cupId: 'mudflat',
      groupId: 'slab',
      amount: { kind: 'rim' },
      how: 'over the post, in rounds; then lift it and fill the void',
      minutesEach: 2
    }
  ]
};

/** Order D: "Night Heron" loaf, two dark colours that must stay apart. */
export const nightHeron: Plan = {
  ...saltings,
  id: 'night-heron',
  name: 'Night Heron loaf',
  notes: 'Ten bars. Heron and sluice black must stay apart in the cut; seed-shaped embeds; piped foam top.',
  order: { good: 10, rejects: 0.1 },
  scaleId: 'bench',
  cups: [
    {
      id: 'heron',
      letter: 'A',
      hatch: 'slant',
      name: 'heron',
      recipe: [
        { id: 'heron-indigo', colourantId: 'indigo', percent: 0.8, of: 'supplied' },
        { id: 'heron-charcoal', colourantId: 'charcoal', percent: 1, of: 'supplied' }
      ]
    },
    {
      id: 'black',
      letter: 'B',
      hatch: 'rings',
      name: 'sluice black',
      recipe: [{ id: 'black-charcoal', colourantId: 'charcoal', percent: 1.5, of: 'supplied' }]
    },
    {
      id: 'foam',
      letter: 'C',
      hatch: 'dots',
      name: 'foam',
      recipe: [{ id: 'foam-white', colourantId: 'white-powder', percent: 1.5, of: 'supplied' }]
    }
  ],
  groups: [
    {
      id: 'loaf',
      name: 'loaf',
      mouldId: 'loaf',
      cavityId: 'loaf',
      count: 1,
      cutInto: 10,
      embeds: [
        {
          id: 'seeds',
          kind: 'object',
          name: 'seed-shaped embeds',
          each: 10,
          grams: 3.2,
          density: 1.04,
          from: 22,
          height: 14
        }
      ]
    }
  ],
  steps: [
    {
      id: 'swirl-heron',
      act: 'lay',
      cupId: 'heron',
      groupId: 'loaf',
      amount: { kind: 'to share', of: 0.45 },
      how: 'both colours into one jug, heron in the corner, then poured along the long side',
      minutesEach: 2
    },
    {
      id: 'swirl-black',
      act: 'lay',
      cupId: 'black',
      groupId: 'loaf',
      amount: { kind: 'to share', of: 0.85 },
      how: 'from the same jug, without stirring',
      minutesEach: 2
    },
    {
      id: 'top-foam',
      act: 'lay',
      cupId: 'foam',
      groupId: 'loaf',
      amount: { kind: 'rim' },
      how: 'piped in rows once it holds its shape',
      minutesEach: 5
    }
  ]
};

/** Order G: "Shingle" soap dishes, terrazzo from the hooks' leftovers. */
export const shingle: Plan = {
  ...tideline,
  id: 'shingle-dishes',
  name: 'Shingle soap dishes',
  notes: 'Chips 45 % of the mix; wet sanded after a day, sealed.',
  baseId: 'acrylic-gypsum',
  order: { good: 11, rejects: 0.1 },
  scaleId: 'middle',
  otherScaleIds: ['bench'],
  cups: [
    {
      id: 'shingle',
      letter: 'A',
      hatch: 'weave',
      name: 'shingle',
      recipe: [],
      fillers: [
        {
          id: 'chips',
          name: 'samphire offcuts, crushed',
          percent: 45,
          density: 1.75,
          lotId: 'samphire-offcuts'
        }
      ]
    }
  ],
  groups: [{ id: 'dishes', name: 'dishes 1–4', mouldId: 'soap-dish', cavityId: 'dish', count: 4 }],
  steps: [
    {
      id: 'lay-shingle',
      act: 'lay',
      cupId: 'shingle',
      groupId: 'dishes',
      amount: { kind: 'rim' },
      how: 'a spoon of plain mix over the face first, then the chips pressed down with it',
      minutesEach: 0.9
    }
  ]
};

/** Order H: "Eel" pull cords, injected in two shots. */
export const eel: Plan = {
  ...tideline,
  id: 'eel-cords',
  name: 'Eel pull cords',
  notes: 'Clear-green belly over a dark back. The first shot into the cold mould is remelted.',
  baseId: 'soft-plastisol',
  order: { good: 30, rejects: 0.1 },
  scaleId: 'middle',
  otherScaleIds: ['fine'],
  reheats: 1,
  cups: [
    {
      id: 'back',
      letter: 'A',
      hatch: 'rings',
      name: 'sluice black',
      recipe: [{ id: 'back-black', colourantId: 'black-plastisol', percent: 1, of: 'supplied' }]
    },
    {
      id: 'belly',
      letter: 'B',
      hatch: 'slant',
      name: 'eel',
      recipe: [{ id: 'belly-eel', colourantId: 'eel-plastisol', percent: 0.8, of: 'supplied' }]
    }
  ],
  groups: [{ id: 'cords', name: 'cords 1–6', mouldId: 'pull-cords', cavityId: 'cord', count: 6 }],
  steps: [
    {
      id: 'shoot-back',
      act: 'lay',
      cupId: 'back',
      groupId: 'cords',
      amount: { kind: 'share', of: 0.4 },
      how: 'one slow shot each, mould tilted; remelt the first, shot cold',
      minutesEach: 0.3
    },
    { id: 'skin', act: 'gate', groupId: 'cords', state: 'thickening' },
    {
      id: 'shoot-belly',
      act: 'lay',
      cupId: 'belly',
      groupId: 'cords',
      amount: { kind: 'rim' },
      how: 'the second shot, topped off while the sprue sinks',
      minutesEach: 0.3
    }
  ]
};

/** Order I: "Lantern" key tags, mica dusted on the mould face, dark body. */
export const lantern: Plan = {
  ...tideline,
  id: 'lantern-tags',
  name: 'Lantern key tags',
  notes: 'Brass reed dusted on the mirrored numbers, fading to the edge; flood behind; dark body.',
  order: { good: 11, rejects: 0.1 },
  scaleId: 'fine',
  cups: [
    {
      id: 'body',
      letter: 'A',
      hatch: 'slant',
      name: 'sluice black',
      recipe: [
        { id: 'body-black', colourantId: 'black-paste', percent: 0.8, of: 'supplied' },
        { id: 'body-blue', colourantId: 'blue-paste', percent: 0.5, of: 'supplied' }
      ]
    }
  ],
  groups: [{ id: 'tags', name: 'tags 1–12', mouldId: 'key-tags', cavityId: 'tag', count: 12 }],
  steps: [
    {
      id: 'lay-body',
      act: 'lay',
      cupId: 'body',
      groupId: 'tags',
      amount: { kind: 'rim' },
      how: 'brass reed dusted on the face first, wiped off the flats; then low, from one end',
      minutesEach: 0.4
    }
  ]
};

/** Every plan of the demo workshop, orders A to J. */
export const plans: Plan[] = [
  samphire,
  sluice,
  rockpool,
  saltings,
  nightHeron,
  shingle,
  eel,
  lantern,
  knob.plan,
  tideline
];
