import type { GypsumCard } from './card';

/** Generic cards to begin with. Each says where its figures come from. */
export const starting: readonly GypsumCard[] = [
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
  }
];
