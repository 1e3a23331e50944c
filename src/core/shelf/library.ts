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
    },
    {
      kind: 'gypsum',
      id: 'acrylic-gypsum',
      name: 'Jesmonite, casting grade',
      liquid: 1,
      powder: 2.5,
      density: 1.75,
      openMinutes: 8,
      stirMinutes: 1.5,
      setMinutes: 15,
      demouldHours: { from: 1 / 3, to: 0.5 },
      shelfMonths: 6,
      leastMix: 60,
      colour: '#efeae0',
      cautions: [],
      source: 'Typical of acrylic gypsum, 1 : 2.5 by weight; check the sheet on the drum.'
    },
    {
      kind: 'gypsum',
      id: 'casting-powder',
      name: 'Casting powder and water',
      liquid: 30,
      powder: 100,
      density: 1.8,
      openMinutes: 10,
      stirMinutes: 1.5,
      setMinutes: 20,
      demouldHours: { from: 0.5, to: 1 },
      shelfMonths: 6,
      leastMix: 60,
      colour: '#f2eee6',
      cautions: [],
      source: 'Typical of water-mixed casting powders, 30 parts of water to 100; check the bag.'
    },
    {
      kind: 'concrete',
      id: 'fine-concrete',
      name: 'Fine casting concrete',
      sand: 1.5,
      waterCement: 0.38,
      plasticiser: 0.01,
      air: 0.03,
      openMinutes: 25,
      stirMinutes: 4,
      setMinutes: 90,
      demouldHours: { from: 18, to: 72 },
      shelfMonths: 6,
      leastMix: 500,
      colour: '#9d9a92',
      cautions: [],
      source: 'By absolute volumes, sand 1.5, water/cement 0.38; check the cement’s own sheet.'
    },
    {
      kind: 'soap',
      id: 'bar-soap',
      name: 'Cold-process bar soap',
      oils: [
        { name: 'olive', share: 0.5, sap: 190 },
        { name: 'coconut', share: 0.3, sap: 257 },
        { name: 'rice bran', share: 0.15, sap: 187 },
        { name: 'castor', share: 0.05, sap: 180 }
      ],
      superfat: 0.05,
      lyePurity: 0.99,
      lyeConcentration: 0.33,
      fragrance: 0.03,
      density: 1.02,
      openMinutes: 20,
      stirMinutes: 3,
      setMinutes: 15,
      demouldHours: { from: 24, to: 48 },
      shelfMonths: 12,
      leastMix: 500,
      colour: '#ece2c8',
      cautions: [],
      source: 'Typical saponification values; check each oil’s own sheet before the lye is weighed.'
    },
    {
      kind: 'melt and pour',
      id: 'clear-melt',
      name: 'Melt-and-pour base, white',
      density: 1.05,
      heatTo: 65,
      neverPast: 80,
      pourAbove: 55,
      openMinutes: 12,
      stirMinutes: 1,
      setMinutes: 10,
      demouldHours: { from: 2, to: 48 },
      shelfMonths: 24,
      leastMix: 50,
      colour: '#f3f0e8',
      cautions: [],
      source: 'Typical of melt-and-pour bases; check the tub.'
    },
    {
      kind: 'plastisol',
      id: 'soft-plastisol',
      name: 'Plastisol, soft',
      density: 1.01,
      heatTo: 170,
      neverPast: 190,
      pourAbove: 150,
      openMinutes: 4,
      stirMinutes: 1,
      setMinutes: 3,
      demouldHours: { from: 1 / 6, to: 24 },
      shelfMonths: 12,
      leastMix: 50,
      colour: '#e9e6da',
      cautions: [],
      source: 'Typical of hand-poured plastisol; check the bottle.'
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
      id: 'eel-plastisol',
      name: 'brown-green plastisol colour',
      form: 'plastisol colour',
      pigmentFraction: 0.3,
      carrier: 'oil',
      colour: '#4d4a25',
      strength: 1.2,
      notes: ''
    }
  ],
  scales: [
    { id: 'fine', name: 'fine scale', division: 0.01, repeatability: 0.01, capacity: 300 },
    { id: 'middle', name: 'middle scale', division: 0.1, repeatability: 0.1, capacity: 2000 },
    { id: 'bench', name: 'bench scale', division: 1, repeatability: 1, capacity: 6000 }
  ],
  vessels: [
    { id: 'cup-100', name: '100 ml cup', ml: 100, loss: 1.5 },
    { id: 'cup-300', name: '300 ml cup', ml: 300, loss: 2 },
    { id: 'jug-1000', name: '1 l jug', ml: 1000, loss: 6 },
    { id: 'bucket-5000', name: '5 l bucket', ml: 5000, loss: 20 }
  ],
  lots: []
};
