import type { ResinCard } from './card';

/** Generic cards to begin with. Each says where its figures come from. */
export const starting: readonly ResinCard[] = [
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
];
