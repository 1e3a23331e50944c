import type { Shelf } from '../plan/document';

/**
 * The starting library: generic cards to begin with. Figures are typical starting values of the trade;
 * the data sheet in the maker's own box always wins.
 */
export const startingLibrary: Omit<Shelf, 'moulds'> = {
  bases: [
    {
      kind: 'resin',
      id: 'clear-quick',
      name: 'Clear casting resin, quick',
      ratio: { by: 'volume', a: 2, b: 1 },
      densityA: 1.14,
      densityB: 0.96,
      openMinutes: 25,
      stirMinutes: 3,
      demouldHours: { from: 8, to: 48 },
      fullCureHours: 72,
      depthLimit: 15,
      shelfMonths: 12,
      leastMix: 20,
      colour: '#f1ede0',
      cautions: [],
      source: 'Typical of quick clear casting resins; check the data sheet in the box.'
    },
    {
      kind: 'resin',
      id: 'clear-slow',
      name: 'Clear casting resin, slow',
      ratio: { by: 'weight', a: 100, b: 45 },
      densityA: 1.12,
      densityB: 0.98,
      openMinutes: 60,
      stirMinutes: 5,
      demouldHours: { from: 24, to: 72 },
      fullCureHours: 96,
      depthLimit: 30,
      shelfMonths: 12,
      leastMix: 30,
      colour: '#f3f0e6',
      cautions: [],
      source: 'Typical of slow clear casting resins; check the data sheet in the box.'
    }
  ],
  colourants: [
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
    }
  ],
  scales: [
    { id: 'fine', name: 'fine scale', division: 0.01, repeatability: 0.01, capacity: 300 },
    { id: 'bench', name: 'bench scale', division: 1, repeatability: 1, capacity: 6000 }
  ]
};
