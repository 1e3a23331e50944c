import type { RubberCard } from './card';

/** Generic cards to begin with. Each says where its figures come from. */
export const starting: readonly RubberCard[] = [
  {
    kind: 'rubber',
    id: 'platinum-rubber',
    name: 'Mould silicone, platinum',
    a: 1,
    b: 1,
    density: 1.08,
    cure: 'platinum',
    openMinutes: 30,
    stirMinutes: 3,
    setMinutes: 240,
    demouldHours: { from: 4, to: 48 },
    shelfMonths: 12,
    leastMix: 50,
    colour: '#d9d3c4',
    cautions: [],
    source: 'Typical of 1 : 1 platinum silicones; check the sheet in the box.'
  },
  {
    kind: 'rubber',
    id: 'tin-rubber',
    name: 'Mould silicone, tin',
    a: 100,
    b: 5,
    density: 1.15,
    cure: 'tin',
    openMinutes: 45,
    stirMinutes: 4,
    setMinutes: 600,
    demouldHours: { from: 16, to: 72 },
    shelfMonths: 9,
    leastMix: 100,
    colour: '#e6e1d4',
    cautions: [],
    source: 'Typical of tin silicones, 5 % catalyst; check the sheet in the box.'
  }
];
