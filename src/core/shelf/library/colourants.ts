import type { Colourant } from '../../material';

/** Generic colourants: colours and strengths are starting values, plausible for pigments of that name. */
export const startingColourants: Colourant[] = [
  {
    id: 'white-paste',
    name: 'titanium white paste',
    form: 'paste',
    pigmentFraction: 0.6,
    carrier: 'part A',
    colour: '#fbfaf4',
    strength: 1.6,
    notes: 'Heavy: sinks through thin colours.'
  },
  {
    id: 'brown-paste',
    name: 'brown oxide paste',
    form: 'paste',
    pigmentFraction: 0.5,
    carrier: 'part A',
    colour: '#5d4330',
    strength: 1,
    notes: ''
  },
  {
    id: 'ochre-paste',
    name: 'yellow oxide paste',
    form: 'paste',
    pigmentFraction: 0.5,
    carrier: 'part A',
    colour: '#b98a35',
    strength: 0.9,
    notes: ''
  },
  {
    id: 'blue-paste',
    name: 'blue paste',
    form: 'paste',
    pigmentFraction: 0.25,
    carrier: 'part A',
    colour: '#1f4a78',
    strength: 2.2,
    notes: ''
  },
  {
    id: 'black-paste',
    name: 'carbon black paste',
    form: 'paste',
    pigmentFraction: 0.2,
    carrier: 'part A',
    colour: '#1b1c1f',
    strength: 4,
    notes: 'A speck is enough.'
  },
  {
    id: 'green-paste',
    name: 'chrome-oxide green paste',
    form: 'paste',
    pigmentFraction: 0.5,
    carrier: 'part A',
    colour: '#5c7c3c',
    strength: 0.9,
    notes: ''
  },
  {
    id: 'brass-mica',
    name: 'brass mica',
    form: 'mica',
    pigmentFraction: 1,
    carrier: 'none',
    colour: '#b08d4a',
    strength: 0.5,
    notes: 'Dust mask when spooning.'
  },
  {
    id: 'brown-oxide',
    name: 'brown oxide powder',
    form: 'powder',
    pigmentFraction: 1,
    carrier: 'none',
    density: 4.5,
    colour: '#5a3c28',
    strength: 1,
    notes: 'Dust mask when spooning.'
  },
  {
    id: 'green-dispersion',
    name: 'green water dispersion',
    form: 'dispersion',
    pigmentFraction: 0.4,
    carrier: 'water',
    colour: '#55793f',
    strength: 1.4,
    notes: 'Its water counts as mix water.'
  },
  {
    id: 'phthalo-blue-paste',
    name: 'phthalo blue paste',
    form: 'paste',
    pigmentFraction: 0.2,
    carrier: 'part A',
    colour: '#10285e',
    strength: 3.4,
    notes: 'Strong: start with a speck.'
  },
  {
    id: 'phthalo-green-paste',
    name: 'phthalo green paste',
    form: 'paste',
    pigmentFraction: 0.2,
    carrier: 'part A',
    colour: '#0c4136',
    strength: 3.2,
    notes: 'Strong: start with a speck.'
  },
  {
    id: 'ultramarine',
    name: 'ultramarine powder',
    form: 'powder',
    pigmentFraction: 1,
    carrier: 'none',
    density: 2.4,
    bulkDensity: 0.6,
    colour: '#25318f',
    strength: 0.8,
    notes: 'Fades in acid and in strong alkali. Dust mask when spooning.'
  },
  {
    id: 'pearl-white',
    name: 'pearl white mica',
    form: 'mica',
    pigmentFraction: 1,
    carrier: 'none',
    bulkDensity: 0.22,
    colour: '#eeece6',
    strength: 0.35,
    notes: 'Dust mask when spooning.'
  },
  {
    id: 'red-oxide',
    name: 'red oxide powder',
    form: 'powder',
    pigmentFraction: 1,
    carrier: 'none',
    density: 4.9,
    bulkDensity: 0.9,
    colour: '#8b3222',
    strength: 1.1,
    notes: 'Dust mask when spooning.'
  },
  {
    id: 'yellow-oxide',
    name: 'yellow oxide powder',
    form: 'powder',
    pigmentFraction: 1,
    carrier: 'none',
    density: 4.1,
    bulkDensity: 0.6,
    colour: '#bd8f3a',
    strength: 0.9,
    notes: 'Dust mask when spooning.'
  },
  {
    id: 'violet-paste',
    name: 'violet paste',
    form: 'paste',
    pigmentFraction: 0.3,
    carrier: 'part A',
    colour: '#5a3f86',
    strength: 1.6,
    notes: ''
  },
  {
    id: 'red-paste',
    name: 'red oxide paste',
    form: 'paste',
    pigmentFraction: 0.5,
    carrier: 'part A',
    colour: '#8e3524',
    strength: 1,
    notes: ''
  },
  {
    id: 'interference-blue',
    name: 'interference blue pearl',
    form: 'interference pearl',
    pigmentFraction: 1,
    carrier: 'none',
    bulkDensity: 0.25,
    colour: '#b9c6dd',
    strength: 0.2,
    notes: 'Shows over dark, nearly nothing over white. Dust mask when spooning.'
  },
  {
    id: 'magenta-ink',
    name: 'magenta alcohol ink',
    form: 'ink',
    pigmentFraction: 0.1,
    carrier: 'alcohol',
    drop: { grams: 0.022, error: 0.0002 },
    colour: '#a01858',
    strength: 3,
    notes: 'No flame while it is wet.'
  },
  {
    id: 'white-powder',
    name: 'titanium white powder',
    form: 'powder',
    pigmentFraction: 1,
    carrier: 'none',
    density: 4.1,
    bulkDensity: 0.8,
    colour: '#fbfbf7',
    strength: 1.6,
    notes: 'Disperse in a little oil first. Dust mask when spooning.'
  },
  {
    id: 'charcoal',
    name: 'activated charcoal',
    form: 'botanical',
    pigmentFraction: 1,
    carrier: 'none',
    bulkDensity: 0.4,
    colour: '#1d1c1b',
    strength: 2.5,
    notes: 'Dust mask when spooning.'
  },
  {
    id: 'indigo',
    name: 'indigo powder',
    form: 'botanical',
    pigmentFraction: 1,
    carrier: 'none',
    bulkDensity: 0.45,
    colour: '#243250',
    strength: 1.8,
    notes: 'Stains moulds. Dust mask when spooning.'
  },
  {
    id: 'chrome-green',
    name: 'chrome-oxide green powder',
    form: 'powder',
    pigmentFraction: 1,
    carrier: 'none',
    density: 5.2,
    bulkDensity: 1,
    colour: '#58763f',
    strength: 0.9,
    notes: 'Dust mask when spooning.'
  },
  {
    id: 'black-plastisol',
    name: 'black plastisol colour',
    form: 'plastisol colour',
    pigmentFraction: 0.2,
    carrier: 'oil',
    colour: '#17181a',
    strength: 4,
    notes: ''
  },
  {
    id: 'white-plastisol',
    name: 'white plastisol colour',
    form: 'plastisol colour',
    pigmentFraction: 0.4,
    carrier: 'oil',
    colour: '#f3f1ec',
    strength: 3,
    notes: ''
  },
  {
    id: 'eel-plastisol',
    name: 'brown-green plastisol colour',
    form: 'plastisol colour',
    pigmentFraction: 0.3,
    carrier: 'oil',
    colour: '#4d4a25',
    strength: 1.2,
    translucent: true,
    notes: ''
  }
];
