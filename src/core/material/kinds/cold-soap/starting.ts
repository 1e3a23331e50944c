import type { SoapCard } from './card';

/** Generic cards to begin with. Each says where its figures come from. */
export const starting: readonly SoapCard[] = [
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
  }
];
