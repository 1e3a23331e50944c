import type { PlastisolCard } from './card';

/** Generic cards to begin with. Each says where its figures come from. */
export const starting: readonly PlastisolCard[] = [
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
    injector: { ml: 150, dead: 5, sprue: 0.05 },
    reheatLimit: 6,
    source: 'Typical of hand-poured plastisol; check the bottle.'
  }
];
