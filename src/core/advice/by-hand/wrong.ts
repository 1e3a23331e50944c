import {
  act,
  below,
  concreteEnds,
  cup,
  group,
  gypsumEnds,
  lay,
  mix,
  ml,
  plan,
  rim,
  share,
  since,
  soapEnds,
  split,
  step,
  type Written
} from './builder';
import type { Plan } from '../../document';
import type { ProblemCode } from '../../problem-codes';

/* The same plans with one thing wrong, and the code of what is to be said of it. */
const WRITTEN: Readonly<Record<string, readonly [ProblemCode, Written]>> = {
  'resin: whole block at once': [
    'layer-too-deep',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm', [['blue-paste', 1]])],
      groups: [group('g', 'block', 1)],
      steps: [step('g', lay('b', rim)), step('g', act('demould'))]
    }
  ],
  'resin: water dispersion in resin': [
    'colourant-unsuited',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm', [['green-dispersion', 1]])],
      groups: [group('g', 'coasters', 4)],
      steps: [step('g', lay('b', rim)), step('g', act('demould'))]
    }
  ],
  'resin: 14 % white paste': [
    'colourant-over-limit',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm', [['white-paste', 14]])],
      groups: [group('g', 'coasters', 4)],
      steps: [step('g', lay('b', rim)), step('g', act('demould'))]
    }
  ],
  'resin: torch after ink': [
    'flame-near-alcohol',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm', [['magenta-ink', 1]])],
      groups: [group('g', 'coasters', 4)],
      steps: [step('g', lay('b', rim)), step('g', act('torch')), step('g', act('demould'))]
    }
  ],
  'resin: torch right after alcohol spray': [
    'flame-near-alcohol',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm', [['blue-paste', 1]])],
      groups: [group('g', 'coasters', 4)],
      steps: [
        step('g', lay('b', rim)),
        step('g', act('spray', { what: 'alcohol' })),
        step('g', act('torch')),
        step('g', act('demould'))
      ]
    }
  ],
  'resin: a stick after fifteen hours': [
    'tool-in-gel',
    {
      mixes: [split('clear-quick')],
      cups: [cup('b', 'm', [['blue-paste', 1]]), cup('w', 'm', [['white-paste', 1]])],
      groups: [group('g', 'coasters', 2)],
      steps: [
        step('g', lay('b', share(0.7)), [], 'b'),
        step('g', act('puddle', { cupId: 'w', amount: rim }), [], 'w'),
        step('g', act('drag'), [since('w', 900)]),
        step('g', act('demould'))
      ],
      show: 'open face'
    }
  ],
  'resin: milled the next day': [
    'milled-soft',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm', [['blue-paste', 1]])],
      groups: [group('g', 'coasters', 4)],
      steps: [step('g', lay('b', rim)), step('g', act('demould')), step('g', act('mill'))]
    }
  ],
  'resin: tiny black': [
    'not-weighable',
    {
      scales: ['bench'],
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm', [['black-paste', 0.3]])],
      groups: [group('g', 'coasters', 4)],
      steps: [step('g', lay('b', rim)), step('g', act('demould'))]
    }
  ],
  'resin: embed floats': [
    'embed-drifts',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm')],
      groups: [
        group('g', 'coasters', 4, {
          embeds: [
            {
              id: 'e',
              kind: 'object',
              name: 'cork disc',
              each: 1,
              grams: 1,
              density: 0.24,
              from: 0,
              height: 5
            }
          ]
        })
      ],
      steps: [
        step('g', act('place', { what: 'cork', embedId: 'e', pieces: 1 })),
        step('g', lay('b', rim)),
        step('g', act('demould'))
      ]
    }
  ],
  'resin: embed dropped on fluid': [
    'embed-drifts',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm')],
      groups: [
        group('g', 'coasters', 4, {
          embeds: [
            {
              id: 'e',
              kind: 'object',
              name: 'steel ring',
              each: 1,
              grams: 5,
              density: 7.8,
              from: 4,
              height: 3
            }
          ]
        })
      ],
      steps: [
        step('g', lay('b', share(0.5))),
        step('g', act('place', { what: 'ring', embedId: 'e', pieces: 1 })),
        step('g', lay('b', rim)),
        step('g', act('demould'))
      ]
    }
  ],
  'resin: overfull': [
    'overfull',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm', [['blue-paste', 1]])],
      groups: [group('g', 'coasters', 4)],
      steps: [step('g', lay('b', ml(80))), step('g', act('demould'))]
    }
  ],
  'resin: cup never poured': [
    'cup-unpoured',
    {
      mixes: [mix('m', 'clear-slow'), mix('m2', 'clear-slow')],
      cups: [cup('b', 'm', [['blue-paste', 1]]), cup('w', 'm2', [['white-paste', 1]])],
      groups: [group('g', 'coasters', 4)],
      steps: [step('g', lay('b', rim)), step('g', act('demould'))]
    }
  ],
  'soap: torch': [
    'flame-on-wet',
    {
      mixes: [mix('m', 'bar-soap')],
      cups: [cup('o', 'm', [['yellow-oxide', 0.8]])],
      groups: [group('g', 'loaf', 1, { cutInto: 10 })],
      steps: [step('g', lay('o', rim)), step('g', act('torch')), ...soapEnds('g')],
      show: 'cut'
    }
  ],
  'soap: cut before demould': [
    'still-in-mould',
    {
      mixes: [mix('m', 'bar-soap')],
      cups: [cup('o', 'm', [['yellow-oxide', 0.8]])],
      groups: [group('g', 'loaf', 1, { cutInto: 10 })],
      steps: [step('g', lay('o', rim)), step('g', act('cut', { pieces: 10 })), step('g', act('demould'))],
      show: 'cut'
    }
  ],
  'soap: ink in soap': [
    'colourant-unsuited',
    {
      mixes: [mix('m', 'bar-soap')],
      cups: [cup('o', 'm', [['magenta-ink', 0.8]])],
      groups: [group('g', 'loaf', 1, { cutInto: 10 })],
      steps: [step('g', lay('o', rim)), ...soapEnds('g')],
      show: 'cut'
    }
  ],
  'soap: eight bars of micro batch': [
    'ratio-off',
    {
      scales: ['middle'],
      mixes: [mix('m', 'bar-soap')],
      cups: [cup('o', 'm', [['yellow-oxide', 0.8]])],
      groups: [group('g', 'cubes', 1)],
      steps: [step('g', lay('o', rim)), ...soapEnds('g', 2)],
      show: 'cut'
    }
  ],
  'melt: second layer at once': [
    'no-gate',
    {
      mixes: [mix('m1', 'clear-melt'), mix('m2', 'clear-melt')],
      cups: [cup('white', 'm1', [['white-powder', 0.3]]), cup('blue', 'm2', [['ultramarine', 0.4]])],
      groups: [group('g', 'bars', 6)],
      steps: [step('g', lay('white', share(0.5))), step('g', lay('blue', rim)), step('g', act('demould'))]
    }
  ],
  'melt: layer on skinned without spray': [
    'skin-unsprayed',
    {
      mixes: [mix('m1', 'clear-melt'), mix('m2', 'clear-melt')],
      cups: [cup('white', 'm1', [['white-powder', 0.3]]), cup('blue', 'm2', [['ultramarine', 0.4]])],
      groups: [group('g', 'bars', 6)],
      steps: [
        step('g', lay('white', share(0.5))),
        step('g', lay('blue', rim), [below('skinned')]),
        step('g', act('demould'))
      ]
    }
  ],
  'melt: torch on alcohol': [
    'flame-near-alcohol',
    {
      mixes: [mix('m', 'clear-melt')],
      cups: [cup('green', 'm', [['chrome-green', 0.5]])],
      groups: [group('g', 'bars', 6)],
      steps: [
        step('g', lay('green', rim)),
        step('g', act('spray', { what: 'alcohol' })),
        step('g', act('torch')),
        step('g', act('demould'))
      ]
    }
  ],
  'gypsum: never tapped': [
    'air-stays',
    {
      mixes: [mix('m', 'acrylic-gypsum')],
      cups: [cup('o', 'm', [['yellow-oxide', 1]])],
      groups: [group('g', 'dish', 4)],
      steps: [step('g', lay('o', rim)), step('g', act('demould')), step('g', act('air', { minutes: 1440 }))]
    }
  ],
  'gypsum: never aired, sealed at once': [
    'sealed-wet',
    {
      mixes: [mix('m', 'acrylic-gypsum')],
      cups: [cup('o', 'm', [['yellow-oxide', 1]])],
      groups: [group('g', 'dish', 4)],
      steps: [
        step('g', lay('o', rim)),
        step('g', act('tap', { minutes: 0.5 })),
        step('g', act('demould')),
        step('g', act('seal', { with: 'wax' }))
      ]
    }
  ],
  'gypsum: demould next day': [
    'demould-late',
    {
      mixes: [mix('m', 'acrylic-gypsum')],
      cups: [cup('o', 'm', [['yellow-oxide', 1]])],
      groups: [group('g', 'dish', 4)],
      steps: [
        step('g', lay('o', rim), [], 'l'),
        step('g', act('tap', { minutes: 0.5 })),
        step('g', act('demould'), [since('l', 1200)]),
        step('g', act('air', { minutes: 1440 }))
      ]
    }
  ],
  'gypsum: forty-eight tags from one mix': [
    'past-window',
    {
      mixes: [mix('m', 'acrylic-gypsum', { turns: 1 })],
      cups: [cup('o', 'm', [['yellow-oxide', 1]])],
      groups: [group('g', 'tags', 48)],
      steps: [step('g', lay('o', rim)), ...gypsumEnds('g')]
    }
  ],
  'gypsum: torch': [
    'flame-on-wet',
    {
      mixes: [mix('m', 'acrylic-gypsum')],
      cups: [cup('o', 'm', [['yellow-oxide', 1]])],
      groups: [group('g', 'dish', 4)],
      steps: [step('g', lay('o', rim)), step('g', act('torch')), ...gypsumEnds('g')]
    }
  ],
  'concrete: sealed next day': [
    'sealed-wet',
    {
      mixes: [mix('m', 'fine-concrete')],
      cups: [cup('o', 'm', [['red-oxide', 2]])],
      groups: [group('g', 'paver', 1)],
      steps: [
        step('g', lay('o', rim)),
        step('g', act('vibrate')),
        step('g', act('cover')),
        step('g', act('demould')),
        step('g', act('seal', { with: 'x' }))
      ]
    }
  ],
  'concrete: 12 % oxide': [
    'colourant-over-limit',
    {
      mixes: [mix('m', 'fine-concrete')],
      cups: [cup('o', 'm', [['red-oxide', 12]])],
      groups: [group('g', 'paver', 1)],
      steps: [step('g', lay('o', rim)), ...concreteEnds('g')]
    }
  ],
  'concrete: not vibrated': [
    'air-stays',
    {
      mixes: [mix('m', 'fine-concrete')],
      cups: [cup('o', 'm', [['red-oxide', 2]])],
      groups: [group('g', 'paver', 1)],
      steps: [
        step('g', lay('o', rim)),
        step('g', act('cover')),
        step('g', act('demould')),
        step('g', act('air', { minutes: 10080 }))
      ]
    }
  ],
  'plastisol: resin paste': [
    'colourant-unsuited',
    {
      mixes: [mix('m', 'soft-plastisol')],
      cups: [cup('e', 'm', [['blue-paste', 1]])],
      groups: [group('g', 'cords', 6)],
      steps: [
        step('g', lay('e', rim)),
        step('g', act('hold')),
        step('g', act('sprue')),
        step('g', act('demould'))
      ]
    }
  ],
  'plastisol: reheated eight times': [
    'reheated-too-often',
    {
      mixes: [mix('m', 'soft-plastisol', { reheats: 8 })],
      cups: [cup('e', 'm', [['eel-plastisol', 1.5]])],
      groups: [group('g', 'cords', 6)],
      steps: [
        step('g', lay('e', rim)),
        step('g', act('hold')),
        step('g', act('sprue')),
        step('g', act('demould'))
      ]
    }
  ],
  'plastisol: no hold, no sprue': [
    'sprue-untopped',
    {
      mixes: [mix('m', 'soft-plastisol')],
      cups: [cup('e', 'm', [['eel-plastisol', 1.5]])],
      groups: [group('g', 'cords', 6)],
      steps: [step('g', lay('e', rim)), step('g', act('demould'))]
    }
  ],
  'no base': [
    'base-missing',
    {
      mixes: [mix('m', 'nowhere')],
      cups: [cup('o', 'm', [['red-oxide', 2]])],
      groups: [group('g', 'paver', 1)],
      steps: [step('g', lay('o', rim))]
    }
  ],
  'dust on matte': [
    'dust-on-matte',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('black', 'm', [['black-paste', 1.5]])],
      groups: [group('g', 'matte coasters', 4)],
      steps: [
        step('g', act('dust', { colourantId: 'brass-mica' })),
        step('g', lay('black', rim)),
        step('g', act('demould'))
      ]
    }
  ],
  'dust after pouring': [
    'dust-late',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('black', 'm', [['black-paste', 1.5]])],
      groups: [group('g', 'coasters', 4)],
      steps: [
        step('g', lay('black', rim)),
        step('g', act('dust', { colourantId: 'brass-mica' })),
        step('g', act('demould'))
      ]
    }
  ],
  'pale over ink wet': [
    'ink-bleeds',
    {
      mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
      cups: [cup('pink', 'm1', [['magenta-ink', 1]]), cup('white', 'm2', [['white-paste', 2]])],
      groups: [group('g', 'coasters', 4)],
      steps: [
        step('g', lay('pink', share(0.5))),
        step('g', lay('white', rim), [below('gelled')]),
        step('g', act('demould'))
      ]
    }
  ],
  'resin: ink in a jug, and a flame': [
    'flame-near-alcohol',
    {
      mixes: [split('clear-slow')],
      cups: [
        cup('clear', 'm'),
        cup('pink', 'm', [['magenta-ink', 1]]),
        cup('pot', { clear: 0.5, pink: 0.5 })
      ],
      groups: [group('g', 'coasters', 4)],
      steps: [
        step('g', act('swirl', { cupId: 'pot', amount: rim })),
        step('g', act('torch')),
        step('g', act('demould'))
      ]
    }
  ],
  'resin: ink in a jug of a jug, and a flame': [
    'flame-near-alcohol',
    {
      mixes: [split('clear-slow')],
      cups: [
        cup('clear', 'm'),
        cup('pink', 'm', [['magenta-ink', 1]]),
        cup('pot', { clear: 0.5, pink: 0.5 }),
        cup('jug', { pot: 0.5, clear: 0.5 })
      ],
      groups: [group('g', 'coasters', 4)],
      steps: [
        step('g', act('swirl', { cupId: 'jug', amount: rim })),
        step('g', act('torch')),
        step('g', act('demould'))
      ]
    }
  ],
  'drag over a placed embed': [
    'crosses-embed',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('blue', 'm', [['blue-paste', 1]])],
      groups: [
        group('g', 'coasters', 4, {
          embeds: [
            { id: 'e', kind: 'object', name: 'shell', each: 1, grams: 3, density: 2.6, from: 0, height: 4 }
          ]
        })
      ],
      steps: [
        step('g', act('place', { what: 'shell', embedId: 'e', pieces: 1 })),
        step('g', lay('blue', rim)),
        step(
          'g',
          act('drag', {
            depth: 'full',
            path: {
              points: [
                { x: -0.8, y: 0 },
                { x: 0.8, y: 0 }
              ]
            }
          })
        ),
        step('g', act('demould'))
      ]
    }
  ],
  'resin: a stone higher than its mould': [
    'embed-uncovered',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('blue', 'm', [['blue-paste', 1]])],
      groups: [
        group('g', 'coasters', 4, {
          embeds: [
            { id: 'e', kind: 'object', name: 'stone', each: 1, grams: 30, density: 2.6, from: 0, height: 14 }
          ]
        })
      ],
      steps: [
        step('g', act('place', { what: 'stone', embedId: 'e', pieces: 1 })),
        step('g', lay('blue', rim)),
        step('g', act('demould'))
      ]
    }
  ],
  'barrier overrun': [
    'barrier-overrun',
    {
      mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
      cups: [cup('blue', 'm1', [['blue-paste', 1]]), cup('white', 'm2', [['white-paste', 2]])],
      groups: [
        group('g', 'tray', 1, {
          embeds: [{ id: 'b', kind: 'barrier line', name: 'glass line', length: 160, width: 4, height: 4 }]
        })
      ],
      steps: [
        step(
          'g',
          act('barrier', {
            of: 'crushed glass',
            height: 4,
            path: {
              points: [
                { x: 0, y: -1 },
                { x: 0, y: 1 }
              ]
            }
          })
        ),
        step('g', act('puddle', { cupId: 'blue', amount: ml(220), at: { x: -0.5, y: 0 } })),
        step('g', act('puddle', { cupId: 'white', amount: rim, at: { x: 0.5, y: 0 } })),
        step('g', act('demould'))
      ]
    }
  ],
  'gypsum: glued, then sealed': [
    'glue-before-seal',
    {
      mixes: [mix('m', 'acrylic-gypsum')],
      cups: [cup('w', 'm', [['white-powder', 0.5]])],
      groups: [group('g', 'dish', 4)],
      steps: [
        step('g', lay('w', rim)),
        step('g', act('tap')),
        step('g', act('demould')),
        step('g', act('air', { minutes: 1440 })),
        step('g', act('glue', { what: 'felt', minutes: 30 })),
        step('g', act('seal', { with: 'acrylic' }))
      ]
    }
  ],
  'demould gated for three days in gypsum': [
    'demould-late',
    {
      mixes: [mix('m', 'casting-powder')],
      cups: [cup('w', 'm', [['red-oxide', 1]])],
      groups: [group('g', 'dish', 2)],
      steps: [
        step('g', lay('w', rim), [], 'l'),
        step('g', act('tap')),
        step('g', act('demould'), [since('l', 4320)]),
        step('g', act('air', { minutes: 1440 }))
      ]
    }
  ],
  'resin: a kitchen scale': [
    'ratio-off',
    {
      scales: ['bench'],
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm', [['blue-paste', 5]])],
      groups: [group('g', 'tags', 2)],
      steps: [step('g', lay('b', rim)), step('g', act('demould'))]
    }
  ],
  'fine scale overloaded': [
    'scale-overloaded',
    {
      scales: ['fine'],
      mixes: [mix('m', 'fine-concrete')],
      cups: [cup('b', 'm', [['red-oxide', 2]])],
      groups: [group('g', 'paver', 1)],
      steps: [step('g', lay('b', rim)), ...concreteEnds('g')]
    }
  ],
  'split: carrier of one cup off': [
    'split-off-ratio',
    {
      mixes: [split('clear-quick')],
      cups: [cup('w', 'm', [['white-paste', 6]]), cup('b', 'm', [['black-paste', 0.3]])],
      groups: [group('g', 'coasters', 4)],
      steps: [
        step('g', act('puddle', { cupId: 'w', amount: share(0.5) })),
        step('g', act('puddle', { cupId: 'b', amount: rim })),
        step('g', act('demould'))
      ]
    }
  ],
  'plastisol over-coloured': [
    'colourant-over-limit',
    {
      mixes: [mix('m', 'soft-plastisol')],
      cups: [cup('b', 'm', [['black-plastisol', 9]])],
      groups: [group('g', 'cords', 6)],
      steps: [
        step('g', lay('b', rim)),
        step('g', act('hold')),
        step('g', act('sprue')),
        step('g', act('demould'))
      ]
    }
  ],
  'injector too small': [
    'injector-too-small',
    {
      mixes: [mix('m', 'soft-plastisol')],
      cups: [cup('b', 'm', [['black-plastisol', 2]])],
      groups: [group('g', 'block', 1)],
      steps: [
        step('g', lay('b', rim)),
        step('g', act('hold')),
        step('g', act('sprue')),
        step('g', act('demould'))
      ]
    }
  ],
  'soap mica 6 %': [
    'colourant-over-limit',
    {
      mixes: [mix('m', 'bar-soap')],
      cups: [cup('b', 'm', [['brass-mica', 6]])],
      groups: [group('g', 'loaf', 1, { cutInto: 10 })],
      steps: [step('g', lay('b', rim)), ...soapEnds('g')],
      show: 'cut'
    }
  ],
  'soap: a skewer after five hours': [
    'tool-in-gel',
    {
      mixes: [split('bar-soap')],
      cups: [cup('w', 'm', [['white-powder', 1]]), cup('c', 'm', [['charcoal', 1]])],
      groups: [group('g', 'loaf', 1, { cutInto: 10 })],
      steps: [
        step('g', lay('w', share(0.5))),
        step('g', lay('c', rim), [], 'c'),
        step('g', act('drag', { tool: 'skewer' }), [since('c', 300)]),
        ...soapEnds('g')
      ],
      show: 'cut'
    }
  ],
  'gypsum 5 % oxide': [
    'cup-over-limit',
    {
      mixes: [mix('m', 'acrylic-gypsum')],
      cups: [cup('b', 'm', [['red-oxide', 5]])],
      groups: [group('g', 'dish', 4)],
      steps: [step('g', lay('b', rim)), ...gypsumEnds('g')]
    }
  ],
  'chips 75 %': [
    'chips-too-many',
    {
      mixes: [mix('m', 'acrylic-gypsum')],
      cups: [
        cup('b', 'm', [['white-powder', 0.5]], {
          fillers: [{ id: 'f', name: 'chips', percent: 75, density: 1.75 }]
        })
      ],
      groups: [group('g', 'dish', 4)],
      steps: [step('g', lay('b', rim)), ...gypsumEnds('g')]
    }
  ],
  'resin: waits for a trace': [
    'state-unknown',
    {
      mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
      cups: [cup('w', 'm1', [['white-paste', 2]]), cup('b', 'm2', [['blue-paste', 1]])],
      groups: [group('g', 'coasters', 4)],
      steps: [
        step('g', lay('w', share(0.5))),
        step('g', lay('b', rim), [below('thick trace')]),
        step('g', act('demould'))
      ]
    }
  ],
  'resin: gelled after twenty minutes': [
    'gate-early',
    {
      mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
      cups: [cup('w', 'm1', [['white-paste', 2]]), cup('b', 'm2', [['blue-paste', 1]])],
      groups: [group('g', 'coasters', 4)],
      steps: [
        step('g', lay('w', share(0.5))),
        step('g', lay('b', rim), [{ kind: 'state', state: 'gelled', of: 'layer below', minutes: 20 }]),
        step('g', act('demould'))
      ]
    }
  ],
  'resin: twenty minutes between two layers': [
    'no-gate',
    {
      mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
      cups: [cup('w', 'm1', [['white-paste', 2]]), cup('b', 'm2', [['blue-paste', 1]])],
      groups: [group('g', 'coasters', 4)],
      steps: [
        step('g', lay('w', share(0.5)), [], 'w'),
        step('g', lay('b', rim), [since('w', 20)]),
        step('g', act('demould'))
      ]
    }
  ],
  'probe gate never reached': [
    'probe-never',
    {
      mixes: [mix('m1', 'clear-slow'), mix('m2', 'clear-slow')],
      cups: [cup('w', 'm1', [['white-paste', 2]]), cup('b', 'm2', [['blue-paste', 1]])],
      groups: [group('g', 'coasters', 4)],
      steps: [
        step('g', lay('w', share(0.5))),
        step('g', lay('b', rim), [{ kind: 'probe', of: { cavity: 'g' }, celsius: 90 }]),
        step('g', act('demould'))
      ]
    }
  ],
  'resin: a cavity that is not there': [
    'cavity-missing',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm', [['blue-paste', 1]])],
      groups: [
        group('g', 'coasters', 4, {
          variations: [{ id: 'v', stepId: 'l', cavities: [9], change: { skip: true } }]
        })
      ],
      steps: [step('g', lay('b', rim), [], 'l'), step('g', act('demould'))]
    }
  ],
  'resin: a white that takes over': [
    'white-takes-over',
    {
      mixes: [split('clear-slow')],
      cups: [cup('white', 'm', [['white-paste', 4]]), cup('blue', 'm', [['blue-paste', 1]])],
      groups: [group('g', 'coasters', 4)],
      steps: [
        step('g', lay('white', share(0.4))),
        step('g', act('puddle', { cupId: 'blue', amount: rim })),
        step('g', act('demould'))
      ],
      show: 'open face'
    }
  ],
  'two groups in one mould': [
    'mould-shared',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm', [['blue-paste', 1]])],
      groups: [group('a', 'coasters', 4), group('b', 'coasters', 4)],
      steps: [step(['a', 'b'], lay('b', rim)), step(['a', 'b'], act('demould'))]
    }
  ],
  'resin: sanded as it comes out': [
    'sanded-soft',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm', [['blue-paste', 1]])],
      groups: [group('g', 'coasters', 4)],
      steps: [
        step('g', lay('b', rim)),
        step('g', act('demould')),
        step('g', act('sand', { grits: [240, 400], wet: 'wet' }))
      ]
    }
  ],
  'glitter on fresh': [
    'strewn-fresh',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('b', 'm', [['blue-paste', 1]])],
      groups: [group('g', 'coasters', 4)],
      steps: [
        step('g', lay('b', rim)),
        step('g', act('sprinkle', { what: 'glitter', grams: 1 })),
        step('g', act('demould'))
      ],
      show: 'open face'
    }
  ],
  'concrete: sealed as it comes out': [
    'sealed-wet',
    {
      mixes: [mix('m', 'fine-concrete')],
      cups: [cup('b', 'm', [['red-oxide', 2]])],
      groups: [group('g', 'paver', 1)],
      steps: [
        step('g', lay('b', rim)),
        step('g', act('vibrate')),
        step('g', act('demould')),
        step('g', act('seal', { with: 'x' }), [])
      ]
    }
  ],
  'resin: a stone half a millimetre under the rim': [
    'embed-uncovered',
    {
      mixes: [mix('m', 'clear-slow')],
      cups: [cup('blue', 'm', [['blue-paste', 1]])],
      groups: [
        group('g', 'coasters', 4, {
          embeds: [
            { id: 'e', kind: 'object', name: 'stone', each: 1, grams: 9, density: 2.6, from: 0, height: 8.5 }
          ]
        })
      ],
      steps: [
        step('g', act('place', { what: 'stone', embedId: 'e', pieces: 1 })),
        step('g', lay('blue', rim)),
        step('g', act('demould'))
      ]
    }
  ]
};

/** The plans written by hand that have one thing wrong, each with what is to be said of it. */
export const WRONG: readonly { plan: Plan; says: ProblemCode }[] = Object.entries(WRITTEN).map(
  ([name, [says, w]]) => ({ plan: plan(name, w), says })
);
