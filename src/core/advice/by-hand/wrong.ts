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
  ]
};

/** The plans written by hand that have one thing wrong, each with what is to be said of it. */
export const WRONG: readonly { plan: Plan; says: ProblemCode }[] = Object.entries(WRITTEN).map(
  ([name, [says, w]]) => ({ plan: plan(name, w), says })
);
