import type { MeltAndPourCard } from './card';

/** Generic cards to begin with. Each says where its figures come from. */
export const starting: readonly MeltAndPourCard[] = [
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
  }
];
