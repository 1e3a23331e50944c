import {
  act,
  below,
  concreteEnds,
  cup,
  deep,
  group,
  gypsumEnds,
  lay,
  mix,
  ml,
  ofCup,
  plan,
  rim,
  seen,
  share,
  since,
  soapEnds,
  split,
  step,
  type Written
} from './builder';
import type { Plan } from '../../document';

/* Plans as careful makers make them, every material and most of the ways of working it: nothing is to be said of them but notes. */
const WRITTEN: Readonly<Record<string, Written>> = {
  'two layers coasters slow': {
    mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
    cups: [cup('white', 'm1', [['white-paste', 3]]), cup('black', 'm2', [['black-paste', 1.5]])],
    groups: [group('g', 'coasters', 4)],
    steps: [
      step('g', lay('white', deep(4))),
      step('g', lay('black', rim), [below('gelled')]),
      step('g', act('demould'))
    ]
  },
  'dome knobs one colour': {
    mixes: [mix('m', 'clear-quick')],
    cups: [cup('green', 'm', [['green-paste', 2]])],
    groups: [group('g', 'domes', 6)],
    steps: [step('g', lay('green', rim)), step('g', act('torch', { seconds: 3 })), step('g', act('demould'))]
  },
  'tags with mica': {
    mixes: [mix('m', 'clear-quick')],
    cups: [cup('brass', 'm', [['brass-mica', 2]])],
    groups: [group('g', 'tags', 12)],
    steps: [step('g', lay('brass', rim)), step('g', act('demould'))]
  },
  'tray blue then clear, cured between': {
    mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
    cups: [cup('blue', 'm1', [['blue-paste', 1]]), cup('clear', 'm2')],
    groups: [group('g', 'tray', 1)],
    steps: [
      step('g', lay('blue', deep(6))),
      step('g', act('cure', { minutes: 1440 })),
      step('g', act('sand', { grits: [240], wet: 'dry' })),
      step('g', lay('clear', rim)),
      step('g', act('demould'))
    ],
    show: 'open face'
  },
  'balls pearl': {
    mixes: [mix('m', 'clear-slow')],
    cups: [cup('pearl', 'm', [['pearl-white', 1]])],
    groups: [group('g', 'balls', 4)],
    steps: [
      step('g', lay('pearl', rim)),
      step('g', act('pressure', { bar: 3, minutes: 1440 })),
      step('g', act('demould'))
    ]
  },
  'embeds in clear block': {
    mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow'), mix('m3', 'clear-slow')],
    cups: [cup('tack', 'm1'), cup('cover', 'm2'), cup('back', 'm3', [['white-paste', 2]])],
    groups: [
      group('g', 'coasters', 4, {
        embeds: [
          { id: 'e', kind: 'object', name: 'brass shell', each: 1, grams: 3, density: 8, from: 3, height: 3 }
        ]
      })
    ],
    steps: [
      step('g', lay('tack', deep(3))),
      step('g', act('place', { what: 'brass shell', embedId: 'e', pieces: 1 }), [below('gelled')]),
      step('g', lay('cover', deep(4)), [below('gelled')]),
      step('g', lay('back', rim), [below('gelled')]),
      step('g', act('demould'))
    ]
  },
  'cup swirl coasters': {
    mixes: [split('clear-slow')],
    cups: [
      cup('blue', 'm', [['blue-paste', 1.2]]),
      cup('white', 'm', [['white-paste', 1.5]]),
      cup('ochre', 'm', [['ochre-paste', 2]]),
      cup('jug', { blue: 0.4, white: 0.2, ochre: 0.4 })
    ],
    groups: [group('g', 'coasters', 4)],
    steps: [step('g', act('swirl', { cupId: 'jug', amount: rim })), step('g', act('demould'))]
  },
  'dusted face dark body': {
    mixes: [mix('m', 'clear-quick')],
    cups: [cup('black', 'm', [['black-paste', 1.5]])],
    groups: [group('g', 'domes', 6)],
    steps: [
      step('g', act('dust', { colourantId: 'brass-mica', over: 'all of it', cover: 0.8 })),
      step('g', lay('black', rim)),
      step('g', act('demould'))
    ]
  },
  'thick block in three pours': {
    mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow'), mix('m3', 'clear-slow')],
    cups: [
      cup('one', 'm1', [['blue-paste', 1]]),
      cup('two', 'm2', [['white-paste', 2]]),
      cup('three', 'm3', [['green-paste', 2]])
    ],
    groups: [group('g', 'block', 1)],
    steps: [
      step('g', lay('one', deep(20))),
      step('g', act('cure', { minutes: 1440 })),
      step('g', lay('two', deep(20))),
      step('g', act('cure', { minutes: 1440 })),
      step('g', lay('three', rim)),
      step('g', act('demould'))
    ],
    show: 'cut'
  },
  'ink drops in clear': {
    mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
    cups: [cup('clear', 'm1'), cup('ink', 'm2', [['magenta-ink', 1.5]])],
    groups: [group('g', 'coasters', 4)],
    steps: [
      step('g', lay('clear', share(0.9))),
      step('g', act('specks', { cupId: 'ink', amount: share(0.1), drops: 9 })),
      step('g', act('demould'))
    ],
    show: 'open face'
  },
  'puddles slow': {
    mixes: [split('clear-slow')],
    cups: [
      cup('white', 'm', [['white-paste', 0.6]]),
      cup('blue', 'm', [['blue-paste', 1.5]]),
      cup('green', 'm', [['green-paste', 2]])
    ],
    groups: [group('g', 'coasters', 4)],
    steps: [
      step('g', lay('white', share(0.3))),
      step('g', act('puddle', { cupId: 'blue', amount: share(0.35) })),
      step('g', act('puddle', { cupId: 'green', amount: rim })),
      step('g', act('demould'))
    ],
    show: 'open face'
  },
  'plain loaf one colour': {
    mixes: [mix('m', 'bar-soap')],
    cups: [cup('ochre', 'm', [['yellow-oxide', 0.8]])],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [step('g', lay('ochre', rim)), ...soapEnds('g')],
    show: 'cut'
  },
  'loaf in the pot swirl': {
    mixes: [split('bar-soap')],
    cups: [
      cup('white', 'm', [['white-powder', 1]]),
      cup('green', 'm', [['chrome-green', 1.2]]),
      cup('pot', { white: 0.6, green: 0.4 })
    ],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [step('g', act('swirl', { cupId: 'pot', amount: rim })), ...soapEnds('g')],
    show: 'cut'
  },
  'two layers loaf': {
    mixes: [split('bar-soap')],
    cups: [cup('white', 'm', [['white-powder', 1]]), cup('char', 'm', [['charcoal', 1]])],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [
      step('g', lay('white', share(0.5))),
      step('g', lay('char', rim), [below('medium trace')]),
      ...soapEnds('g')
    ],
    show: 'cut'
  },
  'two layers loaf two batches': {
    mixes: [mix('m1', 'bar-soap'), mix('m2', 'bar-soap')],
    cups: [cup('white', 'm1', [['white-powder', 1]]), cup('char', 'm2', [['charcoal', 1]])],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [
      step('g', lay('white', share(0.5))),
      step('g', lay('char', rim), [below('thick trace')]),
      ...soapEnds('g')
    ],
    show: 'cut'
  },
  'divider loaf': {
    mixes: [split('bar-soap')],
    cups: [
      cup('white', 'm', [['white-powder', 1]]),
      cup('green', 'm', [['chrome-green', 1.2]]),
      cup('brown', 'm', [['brown-oxide', 0.8]]),
      cup('char', 'm', [['charcoal', 1]])
    ],
    groups: [group('g', 'divided loaf', 1, { cutInto: 10 })],
    steps: [
      step('g', act('chamber', { cupId: 'white', amount: share(1), chamberId: 'a' })),
      step('g', act('chamber', { cupId: 'char', amount: share(1), chamberId: 'd' })),
      step('g', act('chamber', { cupId: 'green', amount: share(1), chamberId: 'b' })),
      step('g', act('chamber', { cupId: 'brown', amount: share(1), chamberId: 'c' })),
      step('g', act('tap', { minutes: 0.5 })),
      step('g', act('lift', { what: 'divider' })),
      step(
        'g',
        act('drag', {
          tool: 'skewer',
          depth: 'full',
          path: {
            points: [
              { x: -0.9, y: -0.5 },
              { x: 0.9, y: -0.5 },
              { x: 0.9, y: 0.5 },
              { x: -0.9, y: 0.5 }
            ]
          }
        })
      ),
      ...soapEnds('g')
    ],
    show: 'cut'
  },
  'mica vein': {
    mixes: [split('bar-soap')],
    cups: [cup('white', 'm', [['white-powder', 1]]), cup('brown', 'm', [['brown-oxide', 0.8]])],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [
      step('g', lay('brown', share(0.5))),
      step('g', act('sprinkle', { what: 'brass mica', grams: 2 })),
      step('g', lay('white', rim)),
      ...soapEnds('g')
    ],
    show: 'cut'
  },
  'single bars six': {
    mixes: [split('bar-soap')],
    cups: [cup('blue', 'm', [['ultramarine', 1]]), cup('white', 'm', [['white-powder', 1]])],
    groups: [group('a', 'bars', 3), group('b', 'bars', 3)],
    steps: [
      step('a', lay('blue', rim)),
      step('b', lay('white', rim)),
      step(['a', 'b'], act('cover')),
      step(['a', 'b'], act('demould')),
      step(['a', 'b'], act('cure', { minutes: 40320 }))
    ]
  },
  'loaf with textured top': {
    mixes: [split('bar-soap')],
    cups: [cup('body', 'm', [['indigo', 0.4]]), cup('top', 'm', [['white-powder', 1]])],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [
      step('g', lay('body', share(0.85))),
      step('g', act('top', { cupId: 'top', amount: rim, how: 'textured' })),
      step('g', act('spray', { what: 'alcohol' })),
      ...soapEnds('g')
    ],
    show: 'cut'
  },
  'skewered slab': {
    mixes: [split('bar-soap')],
    cups: [cup('white', 'm', [['white-powder', 1]]), cup('red', 'm', [['red-oxide', 0.8]])],
    groups: [group('g', 'slab', 1, { cutInto: 20 })],
    steps: [
      step('g', lay('white', share(0.7))),
      step(
        'g',
        act('ribbon', {
          cupId: 'red',
          amount: rim,
          width: 8,
          path: {
            points: [
              { x: -0.9, y: -0.6 },
              { x: 0.9, y: -0.6 },
              { x: 0.9, y: 0 },
              { x: -0.9, y: 0 },
              { x: -0.9, y: 0.6 },
              { x: 0.9, y: 0.6 }
            ]
          }
        })
      ),
      step(
        'g',
        act('drag', {
          tool: 'skewer',
          path: {
            points: [
              { x: -0.8, y: -0.9 },
              { x: -0.8, y: 0.9 }
            ]
          }
        })
      ),
      ...soapEnds('g', 20)
    ],
    show: 'open face'
  },
  'melt two layers': {
    mixes: [mix('m1', 'clear-melt'), mix('m2', 'clear-melt')],
    cups: [cup('white', 'm1', [['white-powder', 0.3]]), cup('blue', 'm2', [['ultramarine', 0.4]])],
    groups: [group('g', 'bars', 6)],
    steps: [
      step('g', lay('white', share(0.5))),
      step('g', act('spray', { what: 'alcohol' }), [below('skinned')]),
      step('g', lay('blue', rim)),
      step('g', act('spray', { what: 'alcohol' })),
      step('g', act('demould')),
      step('g', act('wrap'))
    ]
  },
  'melt one colour': {
    mixes: [mix('m', 'clear-melt')],
    cups: [cup('green', 'm', [['chrome-green', 0.5]])],
    groups: [group('g', 'bars', 6)],
    steps: [
      step('g', lay('green', rim)),
      step('g', act('spray', { what: 'alcohol' })),
      step('g', act('demould')),
      step('g', act('wrap'))
    ]
  },
  'jesmonite dish one colour': {
    mixes: [mix('m', 'acrylic-gypsum')],
    cups: [cup('ochre', 'm', [['yellow-oxide', 1]])],
    groups: [group('g', 'dish', 4)],
    steps: [step('g', lay('ochre', rim)), ...gypsumEnds('g')]
  },
  'jesmonite marbled': {
    mixes: [split('acrylic-gypsum')],
    cups: [
      cup('white', 'm', [['white-powder', 0.5]]),
      cup('char', 'm', [['charcoal', 1]]),
      cup('pot', { white: 0.85, char: 0.15 })
    ],
    groups: [group('g', 'dish', 1)],
    steps: [step('g', act('swirl', { cupId: 'pot', amount: rim })), ...gypsumEnds('g')]
  },
  'jesmonite pots two layers': {
    mixes: [mix('m1', 'acrylic-gypsum'), mix('m2', 'acrylic-gypsum')],
    cups: [cup('white', 'm1', [['white-powder', 0.5]]), cup('red', 'm2', [['red-oxide', 1]])],
    groups: [group('g', 'pot', 2)],
    steps: [
      step('g', lay('white', deep(30))),
      step('g', act('tap', { minutes: 0.5 })),
      step('g', lay('red', rim), [below('stiffening')]),
      ...gypsumEnds('g')
    ]
  },
  terrazzo: {
    mixes: [mix('m', 'acrylic-gypsum')],
    cups: [
      cup('body', 'm', [['white-powder', 0.5]], {
        fillers: [{ id: 'f', name: 'chips', percent: 40, density: 1.75 }]
      })
    ],
    groups: [group('g', 'dish', 4)],
    steps: [
      step('g', lay('body', rim)),
      step('g', act('tap', { minutes: 1 })),
      step('g', act('demould')),
      step('g', act('air', { minutes: 1440 })),
      step('g', act('sand', { grits: [120, 240, 400, 800], wet: 'wet' })),
      step('g', act('air', { minutes: 1440 })),
      step('g', act('seal', { with: 'acrylic sealer' }))
    ]
  },
  'casting powder tags': {
    mixes: [mix('m', 'casting-powder')],
    cups: [cup('green', 'm', [['green-dispersion', 0.6]])],
    groups: [group('g', 'dish', 2)],
    steps: [step('g', lay('green', rim)), ...gypsumEnds('g')]
  },
  'paver grey': {
    mixes: [mix('m', 'fine-concrete')],
    cups: [cup('black', 'm', [['brown-oxide', 3]])],
    groups: [group('g', 'paver', 2)],
    steps: [step('g', lay('black', rim)), ...concreteEnds('g')]
  },
  'paver two greys side': {
    mixes: [mix('m1', 'fine-concrete'), mix('m2', 'fine-concrete')],
    cups: [cup('dark', 'm1', [['brown-oxide', 4]]), cup('pale', 'm2', [['white-powder', 3]])],
    groups: [group('g', 'paver', 2)],
    steps: [
      step('g', lay('pale', share(0.5))),
      step('g', act('vibrate', { minutes: 1 })),
      step('g', lay('dark', rim), [below('set')]),
      ...concreteEnds('g')
    ]
  },
  'dish stained': {
    mixes: [mix('m', 'fine-concrete')],
    cups: [cup('body', 'm', [['red-oxide', 2]])],
    groups: [group('g', 'dish', 4)],
    steps: [
      step('g', lay('body', rim)),
      step('g', act('vibrate', { minutes: 2 })),
      step('g', act('cover')),
      step('g', act('demould')),
      step('g', act('stain', { colourantId: 'brass-mica' })),
      step('g', act('air', { minutes: 10080 })),
      step('g', act('seal', { with: 'matt sealer' }))
    ]
  },
  'bagged marbled dish': {
    mixes: [split('bagged-concrete')],
    cups: [cup('grey', 'm'), cup('black', 'm', [['brown-oxide', 4]]), cup('pot', { grey: 0.8, black: 0.2 })],
    groups: [group('g', 'dish', 4)],
    steps: [step('g', act('swirl', { cupId: 'pot', amount: rim })), ...concreteEnds('g')]
  },
  'cords one colour': {
    mixes: [mix('m', 'soft-plastisol')],
    cups: [cup('eel', 'm', [['eel-plastisol', 1.5]])],
    groups: [group('g', 'cords', 6)],
    steps: [
      step('g', lay('eel', rim)),
      step('g', act('hold')),
      step('g', act('sprue')),
      step('g', act('demould'))
    ]
  },
  'cords two shots': {
    mixes: [mix('m1', 'soft-plastisol'), mix('m2', 'soft-plastisol')],
    cups: [cup('eel', 'm1', [['eel-plastisol', 3]]), cup('white', 'm2', [['white-plastisol', 2]])],
    groups: [group('g', 'cords', 6)],
    steps: [
      step('g', lay('white', share(0.5))),
      step('g', lay('eel', rim), [below('set')]),
      step('g', act('hold')),
      step('g', act('sprue')),
      step('g', act('demould'))
    ]
  },
  'mould box': {
    mixes: [mix('m', 'platinum-rubber')],
    cups: [cup('the pour', 'm')],
    groups: [
      group('g', 'block', 1, {
        embeds: [
          { id: 'e', kind: 'object', name: 'master', each: 1, grams: 120, density: 1.2, from: 0, height: 40 }
        ]
      })
    ],
    steps: [step('g', lay('the pour', rim)), step('g', act('demould'))]
  },
  'ocean tray: lacing wave': {
    mixes: [split('clear-slow')],
    cups: [
      cup('blue', 'm', [['blue-paste', 0.8]]),
      cup('green', 'm', [['phthalo-green-paste', 0.4]]),
      cup('clear', 'm'),
      cup('white', 'm', [['white-paste', 2]])
    ],
    groups: [group('g', 'tray', 1)],
    steps: [
      step('g', act('puddle', { cupId: 'blue', amount: share(0.35), at: { x: -0.6, y: 0 } })),
      step('g', act('puddle', { cupId: 'green', amount: share(0.3), at: { x: 0, y: 0 } })),
      step('g', act('puddle', { cupId: 'clear', amount: share(0.25), at: { x: 0.5, y: 0 } })),
      step(
        'g',
        act('ribbon', {
          cupId: 'white',
          amount: share(0.1),
          how: 'drizzled',
          path: {
            points: [
              { x: 0.3, y: -0.9 },
              { x: 0.3, y: 0.9 }
            ]
          }
        })
      ),
      step('g', act('blow')),
      step('g', act('demould'))
    ],
    show: 'open face'
  },
  'petals on a bed': {
    mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
    cups: [cup('bed', 'm1', [['blue-paste', 1]]), cup('line', 'm2', [['white-paste', 3]])],
    groups: [group('g', 'coasters', 2)],
    steps: [
      step('g', lay('bed', share(0.8))),
      step(
        'g',
        act('ribbon', {
          cupId: 'line',
          amount: share(0.1),
          how: 'piped',
          width: 3,
          path: {
            closed: true,
            points: Array.from({ length: 12 }, (_, i) => ({
              x: 0.5 * Math.cos((i * Math.PI) / 6),
              y: 0.5 * Math.sin((i * Math.PI) / 6)
            }))
          }
        }),
        [ofCup('holds a line', 'line')]
      ),
      step(
        'g',
        act('drag', {
          tool: 'needle',
          path: {
            points: [
              { x: 0.7, y: 0 },
              { x: 0.1, y: 0 }
            ]
          },
          strokes: 12
        })
      ),
      step('g', act('demould'))
    ],
    show: 'open face'
  },
  'leaf at a tag, two coats': {
    mixes: [mix('m1', 'clear-quick'), mix('m2', 'clear-quick')],
    cups: [cup('first', 'm1'), cup('second', 'm2', [['white-paste', 1.5]])],
    groups: [group('g', 'tags', 12)],
    steps: [
      step('g', lay('first', deep(2))),
      step('g', act('place', { what: 'a pressed leaf', pieces: 1 }), [below('gelled')]),
      step('g', lay('second', rim)),
      step('g', act('demould'))
    ]
  },
  'river, wood set in': {
    mixes: [mix('m', 'clear-slow')],
    cups: [cup('blue', 'm', [['blue-paste', 0.5]])],
    groups: [
      group('g', 'tray', 1, {
        embeds: [
          {
            id: 'w',
            kind: 'object',
            name: 'sealed oak',
            each: 2,
            grams: 60,
            density: 0.7,
            from: 0,
            height: 12
          }
        ]
      })
    ],
    steps: [
      step('g', act('place', { what: 'oak', embedId: 'w', pieces: 2 })),
      step('g', lay('blue', deep(4)), [seen('the oak is weighed down')]),
      step('g', lay('blue', rim)),
      step('g', act('torch', { seconds: 5 })),
      step('g', act('demould'))
    ],
    show: 'open face'
  },
  'gauge pots': {
    mixes: [mix('m', 'clear-slow')],
    cups: [cup('green', 'm', [['green-paste', 1.5]])],
    groups: [group('g', 'pot', 2)],
    steps: [step('g', lay('green', rim)), step('g', act('demould'))]
  },
  'split face knobs': {
    mixes: [split('clear-slow')],
    cups: [cup('white', 'm', [['white-paste', 1]]), cup('black', 'm', [['black-paste', 1]])],
    groups: [group('a', 'domes', 3), group('b', 'domes', 3)],
    steps: [step('a', lay('white', rim)), step('b', lay('black', rim)), step(['a', 'b'], act('demould'))]
  },
  'resin by eye': {
    mixes: [mix('m', 'clear-slow')],
    cups: [cup('blue', 'm', [['blue-paste', 1, { creep: { start: 0.5, step: 0.2 } }]])],
    groups: [group('g', 'coasters', 4)],
    steps: [step('g', lay('blue', rim)), step('g', act('demould'))]
  },
  'cold room slow tray': {
    room: 17,
    mixes: [mix('m', 'clear-slow')],
    cups: [cup('blue', 'm', [['blue-paste', 1]])],
    groups: [group('g', 'tray', 1)],
    steps: [step('g', lay('blue', rim)), step('g', act('demould'))]
  },
  'order of 24 knobs in turns': {
    mixes: [mix('m', 'clear-quick')],
    cups: [cup('brown', 'm', [['brown-paste', 2]])],
    groups: [group('g', 'domes', 6)],
    steps: [step('g', lay('brown', rim)), step('g', act('demould'))],
    good: 24
  },
  'dirty pour balls': {
    mixes: [split('clear-slow')],
    cups: [
      cup('white', 'm', [['white-paste', 1]]),
      cup('black', 'm', [['black-paste', 1.2]]),
      cup('dirty', { white: 0.8, black: 0.2 })
    ],
    groups: [group('g', 'balls', 4)],
    steps: [
      step('g', act('swirl', { cupId: 'dirty', amount: rim })),
      step('g', act('pressure', { bar: 3, minutes: 1440 })),
      step('g', act('demould'))
    ]
  },
  'soap, gel in the mould, spray, two of lye': {
    mixes: [mix('m', 'bar-soap')],
    cups: [cup('green', 'm', [['chrome-green', 1]])],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [
      step('g', lay('green', rim)),
      step('g', act('spray', { what: 'alcohol', times: 2, every: 20 })),
      ...soapEnds('g')
    ],
    show: 'cut'
  },
  'soap drop swirl': {
    mixes: [split('bar-soap')],
    cups: [
      cup('base', 'm', [['white-powder', 0.8]]),
      cup('green', 'm', [['chrome-green', 1]]),
      cup('char', 'm', [['charcoal', 0.8]])
    ],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [
      step('g', lay('base', share(0.6))),
      step(
        'g',
        act('ribbon', {
          cupId: 'green',
          amount: share(0.2),
          how: 'drizzled',
          width: 10,
          path: {
            points: [
              { x: 0, y: -0.9 },
              { x: 0, y: 0.9 }
            ]
          }
        })
      ),
      step(
        'g',
        act('ribbon', {
          cupId: 'char',
          amount: share(0.2),
          how: 'drizzled',
          width: 10,
          path: {
            points: [
              { x: 0.3, y: 0.9 },
              { x: 0.3, y: -0.9 }
            ]
          }
        })
      ),
      ...soapEnds('g')
    ],
    show: 'cut'
  },
  'soap half batch, uncoloured and coloured': {
    mixes: [split('bar-soap')],
    cups: [cup('plain', 'm'), cup('red', 'm', [['red-oxide', 0.8]]), cup('pot', { plain: 0.7, red: 0.3 })],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [step('g', act('swirl', { cupId: 'pot', amount: rim })), ...soapEnds('g')],
    show: 'cut'
  },
  'soap embeds cubes': {
    mixes: [mix('m', 'bar-soap')],
    cups: [cup('body', 'm', [['white-powder', 1]])],
    groups: [
      group('g', 'loaf', 1, {
        cutInto: 10,
        embeds: [
          {
            id: 'e',
            kind: 'object',
            name: 'soap curls',
            each: 20,
            grams: 8,
            density: 1.02,
            from: 20,
            height: 20
          }
        ]
      })
    ],
    steps: [
      step('g', lay('body', share(0.35))),
      step('g', act('place', { what: 'curls', embedId: 'e', pieces: 20 }), [below('medium trace')]),
      step('g', lay('body', rim)),
      ...soapEnds('g')
    ],
    show: 'cut'
  },
  'soap, cool room, slow recipe': {
    room: 18,
    mixes: [split('bar-soap')],
    cups: [cup('white', 'm', [['white-powder', 0.8]]), cup('indigo', 'm', [['indigo', 0.5]])],
    groups: [group('g', 'slab', 1, { cutInto: 24 })],
    steps: [
      step('g', act('puddle', { cupId: 'white', amount: share(0.5) })),
      step('g', act('puddle', { cupId: 'indigo', amount: rim })),
      ...soapEnds('g', 24)
    ],
    show: 'open face'
  },
  'soap next-day top': {
    mixes: [mix('m1', 'bar-soap'), mix('m2', 'bar-soap')],
    cups: [cup('body', 'm1', [['charcoal', 1]]), cup('top', 'm2', [['white-powder', 1]])],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [
      step('g', lay('body', share(0.8)), [], 'body'),
      step('g', act('cover')),
      step('g', act('top', { cupId: 'top', amount: rim, how: 'piped' }), [since('body', 1440)]),
      step('g', act('demould')),
      step('g', act('cut', { pieces: 10 })),
      step('g', act('cure', { minutes: 40320 }))
    ],
    show: 'cut'
  },
  'melt cubes set in': {
    mixes: [mix('m', 'clear-melt')],
    cups: [cup('blue', 'm', [['ultramarine', 0.3]])],
    groups: [
      group('g', 'bars', 6, {
        embeds: [
          {
            id: 'e',
            kind: 'object',
            name: 'white cubes',
            each: 3,
            grams: 8,
            density: 1.05,
            from: 5,
            height: 20
          }
        ]
      })
    ],
    steps: [
      step('g', act('place', { what: 'cubes', embedId: 'e', pieces: 3 })),
      step('g', act('spray', { what: 'alcohol' })),
      step('g', lay('blue', rim)),
      step('g', act('spray', { what: 'alcohol' })),
      step('g', act('demould')),
      step('g', act('wrap'))
    ]
  },
  'melt three layers': {
    mixes: [mix('m1', 'clear-melt'), mix('m2', 'clear-melt'), mix('m3', 'clear-melt')],
    cups: [
      cup('white', 'm1', [['white-powder', 0.3]]),
      cup('green', 'm2', [['chrome-green', 0.5]]),
      cup('char', 'm3', [['charcoal', 0.4]])
    ],
    groups: [group('g', 'bars', 6)],
    steps: [
      step('g', lay('white', share(0.33))),
      step('g', act('spray', { what: 'alcohol' }), [below('skinned')]),
      step('g', lay('green', share(0.33))),
      step('g', act('spray', { what: 'alcohol' }), [below('skinned')]),
      step('g', lay('char', rim)),
      step('g', act('spray', { what: 'alcohol' })),
      step('g', act('demould')),
      step('g', act('wrap'))
    ]
  },
  'jesmonite trays two mixes side by side': {
    mixes: [mix('m1', 'acrylic-gypsum'), mix('m2', 'acrylic-gypsum')],
    cups: [cup('red', 'm1', [['red-oxide', 1]]), cup('ochre', 'm2', [['yellow-oxide', 1.5]])],
    groups: [group('a', 'dish', 2), group('b', 'dish', 2)],
    steps: [
      step('a', lay('red', rim)),
      step('a', act('tap', { minutes: 0.5 })),
      step('b', lay('ochre', rim)),
      step(['a', 'b'], act('tap', { minutes: 0.5 })),
      step(['a', 'b'], act('demould')),
      step(['a', 'b'], act('air', { minutes: 1440 }))
    ]
  },
  'jesmonite specked in the mould': {
    mixes: [split('acrylic-gypsum')],
    cups: [cup('white', 'm', [['white-powder', 0.5]]), cup('char', 'm', [['charcoal', 1.2]])],
    groups: [group('g', 'dish', 2)],
    steps: [
      step('g', act('specks', { cupId: 'char', amount: share(0.1), drops: 12 })),
      step('g', lay('white', rim)),
      ...gypsumEnds('g')
    ]
  },
  'jesmonite detail coat then body': {
    mixes: [mix('m1', 'acrylic-gypsum'), mix('m2', 'acrylic-gypsum')],
    cups: [cup('white', 'm1', [['white-powder', 0.8]]), cup('ochre', 'm2', [['yellow-oxide', 1]])],
    groups: [group('g', 'dish', 4)],
    steps: [
      step('g', act('coat', { cupId: 'white', amount: deep(2) })),
      step('g', lay('ochre', rim), [below('set')]),
      ...gypsumEnds('g')
    ]
  },
  'casting powder with water': {
    mixes: [mix('m', 'casting-powder')],
    cups: [cup('red', 'm', [['red-oxide', 1.2]])],
    groups: [group('g', 'domes', 6)],
    steps: [
      step('g', lay('red', rim)),
      step('g', act('tap', { minutes: 0.5 })),
      step('g', act('demould')),
      step('g', act('air', { minutes: 2880 })),
      step('g', act('seal', { with: 'wax' }))
    ]
  },
  'concrete tray one grey, reused mould': {
    mixes: [mix('m', 'fine-concrete')],
    cups: [cup('grey', 'm', [['red-oxide', 1.5]])],
    groups: [group('g', 'tray', 1)],
    steps: [step('g', act('spray', { what: 'release' })), step('g', lay('grey', rim)), ...concreteEnds('g')]
  },
  'bagged paver': {
    mixes: [mix('m', 'bagged-concrete')],
    cups: [cup('grey', 'm')],
    groups: [group('g', 'paver', 1)],
    steps: [step('g', act('spray', { what: 'release' })), step('g', lay('grey', rim)), ...concreteEnds('g')]
  },
  'concrete detail coat tilted': {
    mixes: [mix('m1', 'fine-concrete'), mix('m2', 'fine-concrete')],
    cups: [cup('pale', 'm1', [['white-powder', 3]]), cup('body', 'm2', [['yellow-oxide', 2]])],
    groups: [group('g', 'paver', 1)],
    steps: [
      step('g', act('coat', { cupId: 'pale', amount: deep(4) })),
      step('g', lay('body', rim)),
      ...concreteEnds('g')
    ]
  },
  'concrete two tone, set between': {
    mixes: [mix('m1', 'fine-concrete'), mix('m2', 'fine-concrete')],
    cups: [cup('pale', 'm1', [['white-powder', 3]]), cup('body', 'm2', [['brown-oxide', 3]])],
    groups: [group('g', 'paver', 1)],
    steps: [
      step('g', lay('pale', deep(12))),
      step('g', act('vibrate', { minutes: 1 })),
      step('g', lay('body', rim), [below('set')]),
      ...concreteEnds('g')
    ]
  },
  'concrete pots': {
    mixes: [mix('m', 'fine-concrete')],
    cups: [cup('red', 'm', [['red-oxide', 2]])],
    groups: [group('g', 'pot', 2)],
    steps: [step('g', lay('red', rim)), ...concreteEnds('g')]
  },
  'cords laminate': {
    mixes: [mix('m1', 'soft-plastisol'), mix('m2', 'soft-plastisol')],
    cups: [cup('belly', 'm1', [['white-plastisol', 2]]), cup('back', 'm2', [['black-plastisol', 2]])],
    groups: [group('g', 'cords', 6)],
    steps: [
      step('g', lay('belly', share(0.5))),
      step('g', lay('back', rim), [below('set')]),
      step('g', act('hold')),
      step('g', act('sprue')),
      step('g', act('demould'))
    ]
  },
  'tin mould': {
    mixes: [mix('m', 'tin-rubber')],
    cups: [cup('the pour', 'm')],
    groups: [group('g', 'block', 1)],
    steps: [step('g', lay('the pour', rim)), step('g', act('demould'))]
  },
  'river with barrier, two colours': {
    mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
    cups: [cup('blue', 'm1', [['blue-paste', 1]]), cup('white', 'm2', [['white-paste', 2]])],
    groups: [
      group('g', 'tray', 1, {
        embeds: [{ id: 'b', kind: 'barrier line', name: 'glass line', length: 160, width: 4, height: 6 }]
      })
    ],
    steps: [
      step(
        'g',
        act('barrier', {
          of: 'crushed glass',
          height: 6,
          path: {
            points: [
              { x: 0, y: -1 },
              { x: 0, y: 1 }
            ]
          }
        })
      ),
      step('g', act('puddle', { cupId: 'blue', amount: ml(90), at: { x: -0.5, y: 0 } })),
      step('g', act('puddle', { cupId: 'white', amount: ml(90), at: { x: 0.5, y: 0 } })),
      step('g', lay('white', rim)),
      step('g', act('demould'))
    ]
  },
  'crisp inlay': {
    mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
    cups: [cup('ground', 'm1', [['white-paste', 2]]), cup('blue', 'm2', [['blue-paste', 1.5]])],
    groups: [group('g', 'coasters', 4)],
    steps: [
      step('g', lay('ground', rim)),
      step('g', act('cure', { minutes: 5760 })),
      step('g', act('region', { cupId: 'blue', amount: share(0.12), edges: 'crisp' })),
      step('g', act('cure', { minutes: 5760 })),
      step('g', act('mill', { depth: 0.5 })),
      step('g', act('demould'))
    ],
    show: 'open face'
  },
  'loaf, second day top from its own mix, sprinkled': {
    mixes: [mix('m1', 'bar-soap', { feeds: 'split' }), mix('m2', 'bar-soap')],
    cups: [
      cup('body', 'm1', [['charcoal', 1]]),
      cup('line', 'm1', [['yellow-oxide', 1]]),
      cup('top', 'm2', [['white-powder', 1]])
    ],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [
      step('g', lay('body', share(0.7))),
      step(
        'g',
        act('ribbon', {
          cupId: 'line',
          amount: share(0.1),
          how: 'drizzled',
          width: 10,
          path: {
            points: [
              { x: -0.8, y: 0 },
              { x: 0.8, y: 0 }
            ]
          }
        }),
        [],
        'line'
      ),
      step('g', act('cover')),
      step('g', act('top', { cupId: 'top', amount: rim, how: 'piped' }), [since('line', 1440)]),
      step('g', act('sprinkle', { what: 'salt', grams: 5 })),
      step('g', act('demould')),
      step('g', act('cut', { pieces: 10 })),
      step('g', act('cure', { minutes: 40320 }))
    ],
    show: 'cut'
  },
  'soap, fragrance in the cups': {
    mixes: [mix('m', 'bar-soap', { feeds: 'split', fragrance: 'in the cups' })],
    cups: [
      cup('white', 'm', [['white-powder', 0.8]]),
      cup('green', 'm', [['chrome-green', 1]]),
      cup('pot', { white: 0.5, green: 0.5 })
    ],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [step('g', act('swirl', { cupId: 'pot', amount: rim })), ...soapEnds('g')],
    show: 'cut'
  },
  'soap from stocks, six small bars': {
    mixes: [mix('m', 'stock-soap')],
    cups: [cup('red', 'm', [['red-oxide', 0.8]])],
    groups: [group('g', 'bars', 6)],
    steps: [
      step('g', lay('red', rim)),
      step('g', act('cover')),
      step('g', act('demould')),
      step('g', act('cure', { minutes: 40320 }))
    ]
  },
  'soap joined warm': {
    mixes: [mix('m', 'bar-soap', { joinedAt: 35 })],
    cups: [cup('red', 'm', [['red-oxide', 0.8]])],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [step('g', lay('red', rim)), ...soapEnds('g')],
    show: 'cut'
  },
  'soap, spoon plop': {
    mixes: [split('bar-soap')],
    cups: [cup('white', 'm', [['white-powder', 0.8]]), cup('char', 'm', [['charcoal', 0.8]])],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [
      step('g', lay('white', share(0.4))),
      step('g', act('specks', { cupId: 'char', amount: share(0.2), drops: 10 })),
      step('g', lay('white', rim)),
      ...soapEnds('g')
    ],
    show: 'cut'
  },
  'melt, marbled in the jug': {
    mixes: [split('clear-melt')],
    cups: [
      cup('white', 'm', [['white-powder', 0.3]]),
      cup('blue', 'm', [['ultramarine', 0.4]]),
      cup('pot', { white: 0.6, blue: 0.4 })
    ],
    groups: [group('g', 'bars', 2)],
    steps: [
      step('g', act('swirl', { cupId: 'pot', amount: rim })),
      step('g', act('spray', { what: 'alcohol' })),
      step('g', act('demould')),
      step('g', act('wrap'))
    ]
  },
  'gypsum with retarder pace': {
    mixes: [mix('m', 'acrylic-gypsum', { pace: 1.5 })],
    cups: [cup('ochre', 'm', [['yellow-oxide', 1]])],
    groups: [group('g', 'dish', 4)],
    steps: [step('g', lay('ochre', rim)), ...gypsumEnds('g')]
  },
  'gypsum creeping colour': {
    mixes: [mix('m', 'acrylic-gypsum')],
    cups: [cup('ochre', 'm', [['yellow-oxide', 1, { creep: { start: 0.5, step: 0.1 } }]])],
    groups: [group('g', 'dish', 4)],
    steps: [step('g', lay('ochre', rim)), ...gypsumEnds('g')]
  },
  'gypsum order of twenty in turns': {
    mixes: [mix('m', 'acrylic-gypsum')],
    cups: [cup('white', 'm', [['white-powder', 0.5]])],
    groups: [group('g', 'dish', 4)],
    steps: [step('g', lay('white', rim)), ...gypsumEnds('g')],
    good: 20
  },
  'concrete with water by eye': {
    mixes: [mix('m', 'fine-concrete', { creeps: [{ part: 'water', start: 0.9, step: 0.05 }] })],
    cups: [cup('red', 'm', [['red-oxide', 2]])],
    groups: [group('g', 'paver', 1)],
    steps: [step('g', lay('red', rim)), ...concreteEnds('g')]
  },
  'concrete rain of pigment on the face': {
    mixes: [mix('m', 'fine-concrete')],
    cups: [cup('plain', 'm')],
    groups: [group('g', 'dish', 4)],
    steps: [
      step('g', act('sprinkle', { what: 'red oxide', grams: 2 })),
      step('g', lay('plain', rim)),
      ...concreteEnds('g')
    ]
  },
  'resin in a warm room with a night': {
    room: 26,
    mixes: [mix('m', 'clear-slow')],
    cups: [cup('blue', 'm', [['blue-paste', 1]])],
    groups: [group('g', 'coasters', 4)],
    steps: [step('g', lay('blue', rim)), step('g', act('demould'))]
  },
  'resin, one group varied': {
    mixes: [split('clear-slow')],
    cups: [cup('blue', 'm', [['blue-paste', 1]]), cup('green', 'm', [['green-paste', 1.5]])],
    groups: [
      group('g', 'coasters', 4, {
        variations: [{ id: 'v', stepId: 'l', cavities: [3, 4], change: { cupId: 'green' } }]
      })
    ],
    steps: [step('g', lay('blue', rim), [], 'l'), step('g', act('demould'))]
  },
  'resin let-down': {
    scales: ['middle'],
    mixes: [mix('m', 'clear-slow')],
    cups: [
      cup('grey', 'm', [
        ['white-paste', 1.5],
        ['black-paste', 0.1, { letDown: 49 }]
      ])
    ],
    groups: [group('g', 'coasters', 4)],
    steps: [step('g', lay('grey', rim)), step('g', act('demould'))]
  },
  'resin by drops of ink': {
    mixes: [mix('m', 'clear-slow')],
    cups: [cup('pink', 'm', [['magenta-ink', 0.5, { by: 'drops' }]])],
    groups: [group('g', 'coasters', 4)],
    steps: [
      step('g', lay('pink', rim)),
      step('g', act('clear', { with: 'a pick' })),
      step('g', act('demould'))
    ]
  },
  'resin tints of one white': {
    mixes: [split('clear-slow')],
    cups: [
      cup('white', 'm', [['white-paste', 1.5]]),
      cup('cream', 'm', [
        ['white-paste', 1.5],
        ['ochre-paste', 0.3]
      ]),
      cup('pot', { white: 0.5, cream: 0.5 })
    ],
    groups: [group('g', 'coasters', 4)],
    steps: [step('g', act('swirl', { cupId: 'pot', amount: rim })), step('g', act('demould'))]
  },
  'resin top-up of the same colour next day': {
    mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
    cups: [cup('blue', 'm1', [['blue-paste', 1]]), cup('blue again', 'm2', [['blue-paste', 1]])],
    groups: [group('g', 'coasters', 4)],
    steps: [
      step('g', lay('blue', share(0.7)), [], 'a'),
      step('g', lay('blue again', rim), [since('a', 1440)]),
      step('g', act('demould'))
    ]
  },
  'resin glitter on gelling bed': {
    mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
    cups: [cup('black', 'm1', [['black-paste', 1]]), cup('clear', 'm2')],
    groups: [group('g', 'coasters', 4)],
    steps: [
      step('g', lay('black', share(0.6))),
      step('g', act('sprinkle', { what: 'glitter', grams: 0.5 }), [below('paste')]),
      step('g', lay('clear', rim), [below('gelled')]),
      step('g', act('demould'))
    ],
    show: 'open face'
  },
  'resin flame on a clear face': {
    mixes: [mix('m', 'clear-quick')],
    cups: [cup('violet', 'm', [['violet-paste', 1.5]])],
    groups: [group('g', 'tags', 12)],
    steps: [
      step('g', lay('violet', rim)),
      step('g', act('torch', { seconds: 4 })),
      step('g', act('demould'), [], 'out'),
      step('g', act('sand', { grits: [400, 800, 2000], wet: 'wet' }), [since('out', 4320)])
    ]
  },
  'plastisol, white belly': {
    mixes: [mix('m1', 'soft-plastisol'), mix('m2', 'soft-plastisol')],
    cups: [cup('belly', 'm1', [['white-plastisol', 2]]), cup('back', 'm2', [['eel-plastisol', 3]])],
    groups: [group('g', 'cords', 12)],
    steps: [
      step('g', lay('belly', share(0.4))),
      step('g', lay('back', rim), [below('set')]),
      step('g', act('hold')),
      step('g', act('sprue')),
      step('g', act('demould')),
      step('g', act('trim', { with: 'scissors' }))
    ]
  },
  'rubber over a master, brushed first': {
    mixes: [mix('m1', 'platinum-rubber'), mix('m2', 'platinum-rubber')],
    cups: [cup('first', 'm1'), cup('rest', 'm2')],
    groups: [
      group('g', 'block', 1, {
        embeds: [
          { id: 'e', kind: 'object', name: 'master', each: 1, grams: 150, density: 1.4, from: 0, height: 40 }
        ]
      })
    ],
    steps: [
      step('g', act('place', { what: 'master', embedId: 'e', pieces: 1 })),
      step('g', act('coat', { cupId: 'first', amount: ml(40) })),
      step('g', lay('rest', rim)),
      step('g', act('demould'))
    ]
  },
  'cubes of resin': {
    mixes: [mix('m', 'clear-quick')],
    cups: [cup('red', 'm', [['red-paste', 2]])],
    groups: [group('g', 'cubes', 12)],
    steps: [step('g', lay('red', rim)), step('g', act('demould'))]
  },
  'cork set in a first thin layer': {
    mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
    cups: [cup('tack', 'm1'), cup('blue', 'm2', [['blue-paste', 1]])],
    groups: [
      group('g', 'coasters', 4, {
        embeds: [
          {
            id: 'e',
            kind: 'object',
            name: 'cork ring',
            each: 1,
            grams: 1.5,
            density: 0.24,
            from: 0,
            height: 5
          }
        ]
      })
    ],
    steps: [
      step('g', act('place', { what: 'cork', embedId: 'e', pieces: 1 })),
      step('g', lay('tack', deep(1))),
      step('g', lay('blue', rim), [below('gelled')]),
      step('g', act('demould'))
    ]
  },
  'soap: three batches, thick trace between': {
    mixes: [mix('m1', 'bar-soap'), mix('m2', 'bar-soap'), mix('m3', 'bar-soap')],
    cups: [
      cup('green', 'm1', [['chrome-green', 1]]),
      cup('white', 'm2', [['white-powder', 1]]),
      cup('char', 'm3', [['charcoal', 1]])
    ],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [
      step('g', lay('green', share(0.34))),
      step('g', lay('white', share(0.33)), [below('thick trace')]),
      step('g', lay('char', rim), [below('thick trace')]),
      ...soapEnds('g')
    ],
    show: 'cut'
  },
  'soap: hanger swirl': {
    mixes: [split('bar-soap')],
    cups: [cup('white', 'm', [['white-powder', 0.8]]), cup('indigo', 'm', [['indigo', 0.5]])],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [
      step('g', lay('white', share(0.5))),
      step('g', lay('indigo', rim)),
      step(
        'g',
        act('drag', {
          tool: 'skewer',
          depth: 'full',
          width: 8,
          path: {
            points: [
              { x: -0.9, y: 0 },
              { x: 0.9, y: 0 }
            ]
          },
          strokes: 3
        })
      ),
      ...soapEnds('g')
    ],
    show: 'cut'
  },
  'soap: column in four jugs': {
    mixes: [split('bar-soap')],
    cups: [
      cup('white', 'm', [['white-powder', 0.8]]),
      cup('green', 'm', [['chrome-green', 1]]),
      cup('red', 'm', [['red-oxide', 0.8]])
    ],
    groups: [group('g', 'slab', 1, { cutInto: 20 })],
    steps: [
      step('g', act('column', { cupId: 'white', amount: share(0.33), rounds: 4, post: 'round' })),
      step('g', act('column', { cupId: 'green', amount: share(0.33), rounds: 4, post: 'round' })),
      step('g', act('column', { cupId: 'red', amount: rim, rounds: 4, post: 'round' })),
      step('g', act('lift', { what: 'post' })),
      step('g', act('spray', { what: 'alcohol' })),
      ...soapEnds('g', 20)
    ],
    show: 'open face'
  },
  'soap: six bars in two colours, half and half': {
    mixes: [split('bar-soap')],
    cups: [cup('white', 'm', [['white-powder', 0.8]]), cup('red', 'm', [['red-oxide', 0.8]])],
    groups: [group('g', 'bars', 6)],
    steps: [
      step('g', lay('white', share(0.5))),
      step('g', lay('red', rim)),
      step('g', act('cover')),
      step('g', act('demould')),
      step('g', act('cure', { minutes: 40320 }))
    ]
  },
  'soap: warm room, thin at trace, two colours in the pot': {
    room: 25,
    mixes: [split('bar-soap')],
    cups: [
      cup('white', 'm', [['white-powder', 0.8]]),
      cup('ochre', 'm', [['yellow-oxide', 0.8]]),
      cup('pot', { white: 0.7, ochre: 0.3 })
    ],
    groups: [group('g', 'loaf', 1, { cutInto: 10 })],
    steps: [step('g', act('swirl', { cupId: 'pot', amount: rim })), ...soapEnds('g')],
    show: 'cut'
  },
  'resin: flower bath over two days': {
    mixes: [mix('m1', 'clear-slow', { feeds: 'split' }), mix('m2', 'clear-slow')],
    cups: [cup('milk', 'm1', [['white-paste', 0.3]]), cup('clear', 'm1'), cup('top', 'm2')],
    groups: [group('g', 'tray', 1)],
    steps: [
      step('g', act('puddle', { cupId: 'milk', amount: share(0.25), at: { x: -0.4, y: 0 } })),
      step('g', act('puddle', { cupId: 'clear', amount: share(0.25), at: { x: 0.4, y: 0 } }), [], 'bath'),
      step('g', act('place', { what: 'petals', pieces: 8 })),
      step('g', lay('top', rim), [since('bath', 1440)]),
      step('g', act('demould'))
    ],
    show: 'open face'
  },
  'resin: knobs, three layers gated': {
    mixes: [mix('m1', 'clear-quick'), mix('m2', 'clear-quick'), mix('m3', 'clear-quick')],
    cups: [
      cup('brown', 'm1', [['brown-paste', 3]]),
      cup('white', 'm2', [['white-paste', 2]]),
      cup('blue', 'm3', [['blue-paste', 1]])
    ],
    groups: [group('g', 'domes', 6)],
    steps: [
      step('g', lay('brown', deep(5))),
      step('g', lay('white', deep(5)), [below('gelled')]),
      step('g', lay('blue', rim), [below('gelled')]),
      step('g', act('demould')),
      step('g', act('trim', { with: 'a blade' }))
    ]
  },
  'resin: pressure pot block': {
    mixes: [mix('m', 'clear-slow')],
    cups: [cup('blue', 'm', [['blue-paste', 0.5]])],
    groups: [group('g', 'cubes', 12)],
    steps: [
      step('g', lay('blue', rim)),
      step('g', act('pressure', { bar: 3, minutes: 1440 })),
      step('g', act('demould'), [], 'out'),
      step('g', act('sand', { grits: [400, 800, 1500], wet: 'wet' }), [since('out', 5000)])
    ]
  },
  'gypsum: two colours from two sides': {
    mixes: [split('acrylic-gypsum')],
    cups: [cup('white', 'm', [['white-powder', 0.5]]), cup('red', 'm', [['red-oxide', 1]])],
    groups: [group('g', 'dish', 1)],
    steps: [
      step(
        'g',
        act('together', { cupId: 'white', withId: 'red', first: 0.5, amount: rim, streams: 'from two sides' })
      ),
      ...gypsumEnds('g')
    ]
  },
  'gypsum: detail coat tilted': {
    mixes: [mix('m1', 'acrylic-gypsum'), mix('m2', 'acrylic-gypsum')],
    cups: [cup('white', 'm1', [['white-powder', 0.8]]), cup('grey', 'm2', [['charcoal', 0.5]])],
    groups: [group('g', 'dish', 2)],
    steps: [
      step('g', act('coat', { cupId: 'white', amount: deep(2), aside: 1 })),
      step('g', lay('grey', rim), [below('set')]),
      ...gypsumEnds('g')
    ]
  },
  'concrete: bright zones then body': {
    mixes: [mix('m1', 'fine-concrete'), mix('m2', 'fine-concrete')],
    cups: [cup('pale', 'm1', [['white-powder', 3]]), cup('body', 'm2', [['red-oxide', 2]])],
    groups: [group('g', 'paver', 1)],
    steps: [
      step('g', act('puddle', { cupId: 'pale', amount: share(0.3) })),
      step('g', lay('body', rim)),
      ...concreteEnds('g')
    ]
  },
  'concrete: cold garage': {
    room: 12,
    mixes: [mix('m', 'fine-concrete')],
    cups: [cup('red', 'm', [['red-oxide', 2]])],
    groups: [group('g', 'paver', 2)],
    steps: [step('g', lay('red', rim)), ...concreteEnds('g')]
  },
  'concrete: four dishes, marbled with drops': {
    mixes: [split('fine-concrete')],
    cups: [cup('pale', 'm', [['white-powder', 2]]), cup('black', 'm', [['brown-oxide', 5]])],
    groups: [group('g', 'dish', 4)],
    steps: [
      step('g', act('specks', { cupId: 'black', amount: share(0.1), drops: 15 })),
      step('g', lay('pale', rim)),
      ...concreteEnds('g')
    ]
  },
  'melt: swirled bars': {
    mixes: [split('clear-melt')],
    cups: [cup('white', 'm', [['white-powder', 0.3]]), cup('char', 'm', [['charcoal', 0.3]])],
    groups: [group('g', 'bars', 3)],
    steps: [
      step('g', act('puddle', { cupId: 'white', amount: share(0.6) })),
      step('g', act('puddle', { cupId: 'char', amount: rim })),
      step('g', act('spray', { what: 'alcohol' })),
      step('g', act('demould')),
      step('g', act('wrap'))
    ]
  },
  'rubber: poured in two halves': {
    mixes: [mix('m1', 'platinum-rubber'), mix('m2', 'platinum-rubber')],
    cups: [cup('lower', 'm1'), cup('upper', 'm2')],
    groups: [group('g', 'block', 1)],
    steps: [
      step('g', lay('lower', share(0.5))),
      step('g', act('spray', { what: 'release' }), [below('set')]),
      step('g', lay('upper', rim)),
      step('g', act('demould'))
    ]
  },
  'resin: a gold line piped the next day': {
    mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
    cups: [cup('black', 'm1', [['black-paste', 1.5]]), cup('gold', 'm2', [['brass-mica', 3]])],
    groups: [group('g', 'coasters', 4)],
    steps: [
      step('g', lay('black', share(0.95)), [], 'b'),
      step(
        'g',
        act('ribbon', {
          cupId: 'gold',
          amount: share(0.03),
          how: 'piped',
          width: 3,
          path: {
            points: [
              { x: -0.7, y: 0 },
              { x: 0.7, y: 0 }
            ]
          }
        }),
        [since('b', 1440), ofCup('holds a line', 'gold')]
      ),
      step('g', act('demould'))
    ],
    show: 'open face'
  }
};

/** The plans written by hand that are right. */
export const RIGHT: readonly Plan[] = Object.entries(WRITTEN).map(([name, w]) => plan(name, w));
