import type { ConcreteCard } from './card';

/** Generic cards to begin with. Each says where its figures come from. */
export const starting: readonly ConcreteCard[] = [
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
    kind: 'concrete',
    id: 'bagged-concrete',
    name: 'Bagged casting mix',
    bag: { water: 0.15, density: 2.2, cement: 0.35 },
    sand: 1.5,
    waterCement: 0.4,
    plasticiser: 0,
    air: 0.03,
    openMinutes: 20,
    stirMinutes: 4,
    setMinutes: 60,
    demouldHours: { from: 4, to: 24 },
    shelfMonths: 6,
    leastMix: 500,
    colour: '#a5a199',
    cautions: [],
    source: 'Typical of rapid casting mixes, 150 g of water to 1 kg; the bag’s own figure wins.'
  }
];
