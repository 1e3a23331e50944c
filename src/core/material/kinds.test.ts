import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { startingLibrary } from '../shelf';
import {
  Base,
  bothReadings,
  cautionsOf,
  Colourant,
  compatibilityOf,
  cupLimitOf,
  formulaOf,
  FORMS,
  hardShare,
  idealDensity,
  limitOf,
  materials,
  lyeFor,
  SAP,
  shotsFor,
  superfatOf,
  waterCementOf,
  type MaterialKind
} from '.';
import { settingFat } from './kinds/cold-soap/card';

type Of<K extends MaterialKind> = Base & { kind: K };
const card = <K extends MaterialKind>(kind: K, over: object = {}): Of<K> =>
  Base.parse({ ...startingLibrary.bases.find((b) => b.kind === kind), ...over }) as Of<K>;
const formula = (base: Base) => {
  const read = formulaOf(base);
  if (!read.ok) throw new Error(read.problem.sentence);
  return read.value;
};
const share = (base: Base, key: string) => formula(base).parts.find((p) => p.key === key)?.share ?? 0;

describe('every starting card', () => {
  it.each(startingLibrary.bases.map((b) => [b.name, b] as const))('%s comes to a whole', (_, base) => {
    const { parts, density, clockPart, letDownIn, colourBefore, carriers } = formula(base);
    expect(parts.reduce((s, p) => s + p.share, 0)).toBeCloseTo(1, 9);
    expect(density).toBeGreaterThan(0.8);
    expect(density).toBeLessThan(2.6);
    const keys = parts.map((p) => p.key);
    for (const named of [
      clockPart,
      letDownIn,
      ...(colourBefore ? [colourBefore] : []),
      ...Object.values(carriers)
    ])
      expect(keys).toContain(named);
    expect(cautionsOf(base).length).toBeGreaterThan(1);
    expect(new Set(cautionsOf(base)).size).toBe(cautionsOf(base).length);
  });
});

describe('soap', () => {
  it('knows the usual saponification values', () => {
    expect(SAP).toEqual({
      olive: 190,
      coconut: 257,
      palm: 199,
      castor: 180,
      shea: 180,
      'rice bran': 187,
      'sunflower, high oleic': 189,
      'sweet almond': 195,
      avocado: 186,
      'cocoa butter': 194
    });
  });

  it('reckons lye by hand', () => {
    // 500 g of olive oil: 500 × 0.190 × 40/56.11 = 67.724 g of NaOH at no superfat.
    const bare = lyeFor([{ grams: 500, sap: 190 }], { superfat: 0, purity: 1, concentration: 0.5 });
    expect(bare.naoh).toBeCloseTo(67.724, 3);
    expect(bare.water).toBeCloseTo(67.724, 3);
    // 5 % superfat, 98 % pure, a 33 % solution.
    const used = lyeFor([{ grams: 500, sap: 190 }], { superfat: 0.05, purity: 0.98, concentration: 0.33 });
    expect(used.naoh).toBeCloseTo((67.7241 * 0.95) / 0.98, 3);
    expect(used.water).toBeCloseTo((used.naoh * 67) / 33, 6);
    expect(used.naohMost).toBeCloseTo(67.7241 / 0.98, 3);
  });

  it('is its oils, lye, water, additives and fragrance; what is asked of each oil is what it can take', () => {
    const base = card('soap', {
      oils: [
        { name: 'olive', share: 0.6, sap: 190 },
        { name: 'coconut', share: 0.4, sap: 257 }
      ],
      superfat: 0.05,
      lyePurity: 0.98,
      lyeConcentration: 0.33,
      fragrance: 0.02,
      additives: [{ name: 'sugar', share: 0.01 }]
    });
    const naoh = (((0.6 * 190 + 0.4 * 257) / 1000) * (40 / 56.11) * 0.95) / 0.98;
    const whole = 1 + naoh + (naoh * 67) / 33 + 0.02 + 0.01;
    expect(share(base, 'naoh')).toBeCloseTo(naoh / whole, 9);
    expect(share(base, 'fragrance')).toBeCloseTo(0.02 / whole, 9);
    expect(share(base, 'additive-1')).toBeCloseTo(0.01 / whole, 9);
    expect(share(base, 'oil-2')).toBeCloseTo(0.4 / whole, 9);
    const most = formula(base).parts.find((p) => p.key === 'naoh')!.mostOf!;
    expect(most['oil-1']).toBeCloseTo((0.19 * (40 / 56.11)) / 0.98, 9);
    expect(most['oil-2']).toBeCloseTo((0.257 * (40 / 56.11)) / 0.98, 9);
    const plain = { ...base, fragrance: 0 };
    expect(formula(plain).parts.some((p) => p.key === 'fragrance')).toBe(false);
  });

  it.each([
    [0.994, false],
    [0.996, true],
    [1.004, true],
    [1.006, false]
  ])('whose oils come to %d of the whole: taken %s', (sum, taken) => {
    const base = card('soap', { oils: [{ name: 'olive', share: Math.min(1, sum), sap: 190 }] });
    const oils = [{ name: 'olive', share: sum, sap: 190 }];
    const read = formulaOf({ ...base, oils });
    expect(read.ok).toBe(taken);
    if (!read.ok)
      expect(read.problem).toMatchObject({ code: 'oils-not-whole', path: `shelf/bases/${base.id}/oils` });
  });

  it('reads the superfat back from what was weighed', () => {
    const base = card('soap', { oils: [{ name: 'olive', share: 1, sap: 190 }], lyePurity: 1 });
    const most = 100 * 0.19 * (40 / 56.11);
    const weighed = (naoh: number) => (key: string) => ({ 'oil-1': 100, naoh })[key] ?? 0;
    expect(superfatOf(base, weighed(most * 0.95))).toBeCloseTo(0.05, 9);
    expect(superfatOf(base, weighed(most * 1.02))).toBeCloseTo(-0.02, 9);
    expect(superfatOf(base, () => 0)).toBe(0);
  });

  it.each([
    ['coconut', 23.9, 24],
    ['palm', 34.9, 35],
    ['shea', 33.9, 34],
    ['cocoa butter', 33.9, 34]
  ])('%s sets in the batter below its melting point', (name, below, melts) => {
    const base = card('soap', {
      oils: [
        { name, share: 0.2, sap: 200 },
        { name: 'olive', share: 0.8, sap: 190 }
      ]
    });
    expect(settingFat(base, below)).toEqual({ name, melts });
    expect(settingFat(base, melts)).toBeUndefined();
  });

  it('tells of the hardest fat, of those that are a seventh or more', () => {
    const oils = (palm: number) => [
      { name: 'coconut', share: 0.3, sap: 257 },
      { name: 'palm', share: palm, sap: 199 },
      { name: 'olive', share: 0.7 - palm, sap: 190 }
    ];
    expect(settingFat(card('soap', { oils: oils(0.2) }), 20)?.name).toBe('palm');
    expect(settingFat(card('soap', { oils: oils(0.14) }), 20)?.name).toBe('coconut');
    expect(settingFat(card('soap', { oils: [{ name: 'olive', share: 1, sap: 190 }] }), 0)).toBeUndefined();
  });
});

describe('concrete', () => {
  const base = (over: object = {}) =>
    card('concrete', { bag: undefined, sand: 1.5, waterCement: 0.4, plasticiser: 0.01, air: 0.03, ...over });

  it('is reckoned by absolute volumes', () => {
    const volume = 1 / 3.15 + 1.5 / 2.65 + 0.4 + 0.01 / 1.08;
    expect(formula(base()).density).toBeCloseTo(((1 + 1.5 + 0.4 + 0.01) * 0.97) / volume, 9);
    expect(share(base(), 'cement')).toBeCloseTo(1 / 2.91, 9);
    expect(share(base(), 'water')).toBeCloseTo(0.4 / 2.91, 9);
  });

  it('takes colour into the sand, before the cement and every liquid; of a bag before its first liquid', () => {
    expect(formula(base()).colourBefore).toBe('cement');
    expect(formula(base()).between?.map((s) => s.after)).toEqual(['cement']);
    const bag = { water: 0.15, density: 2.2, cement: 0.4 };
    expect(formula(base({ bag })).colourBefore).toBe('plasticiser');
    expect(formula(base({ bag, plasticiser: 0 })).colourBefore).toBe('water');
    expect(formula(base({ plasticiser: 0 })).parts.map((p) => p.key)).toEqual(['sand', 'cement', 'water']);
    expect(formula(base({ sand: 0 })).parts.map((p) => p.key)).toEqual(['cement', 'plasticiser', 'water']);
  });

  it('from a bag keeps the bag’s own water; its percentages are of the cement in it', () => {
    const bagged = base({ bag: { water: 0.15, density: 2.2, cement: 0.4 } });
    const mass = 1 + 0.15 + 0.01 * 0.4;
    expect(share(bagged, 'mix')).toBeCloseTo(1 / mass, 9);
    expect(share(bagged, 'plasticiser')).toBeCloseTo(0.004 / mass, 9);
    expect(share(bagged, 'water')).toBeCloseTo(0.15 / mass, 9);
    expect(formula(bagged)).toMatchObject({
      density: 2.2,
      colourBefore: 'plasticiser',
      basis: { parts: ['mix'], factor: 0.4 }
    });
    const dry = base({ plasticiser: 0, bag: { water: 0.15, density: 2.2, cement: 0.4 } });
    expect(formula(dry).colourBefore).toBe('water');
    expect(formula(dry).parts).toHaveLength(2);
  });

  it('tells water to cement as it was weighed, water in colourants counted', () => {
    const grams = (w: Record<string, number>) => (key: string) => w[key] ?? 0;
    expect(waterCementOf(base(), grams({ cement: 100, water: 40 }))).toBeCloseTo(0.4, 12);
    const bagged = base({ bag: { water: 0.15, density: 2.2, cement: 0.4 } });
    expect(waterCementOf(bagged, grams({ mix: 100, water: 15 }))).toBeCloseTo(0.375, 12);
    expect(waterCementOf(base(), grams({ water: 40 }))).toBeUndefined();
  });
});

describe('gypsum, rubber and melts', () => {
  it('are parts by weight', () => {
    const gypsum = card('gypsum', { liquid: 1, powder: 2.5 });
    expect(share(gypsum, 'liquid')).toBeCloseTo(2 / 7, 12);
    expect(share(gypsum, 'powder')).toBeCloseTo(5 / 7, 12);
    const rubber = card('rubber', { a: 100, b: 5 });
    expect(share(rubber, 'A')).toBeCloseTo(100 / 105, 12);
    expect(share(rubber, 'B')).toBeCloseTo(5 / 105, 12);
  });

  it('blend a hardness linearly, the pure liquids included', () => {
    expect(hardShare({ soft: 20, hard: 80, wanted: 35 })).toBeCloseTo(0.25, 12);
    expect(hardShare({ soft: 20, hard: 80, wanted: 20 })).toBe(0);
    expect(hardShare({ soft: 20, hard: 80, wanted: 80 })).toBe(1);
    expect(hardShare({ soft: 20, hard: 80, wanted: 19 })).toBeUndefined();
    expect(hardShare({ soft: 20, hard: 80, wanted: 81 })).toBeUndefined();
    expect(hardShare({ soft: 50, hard: 50, wanted: 50 })).toBeUndefined();
  });

  it.each([
    [20, ['base'], 'base', 'base'],
    [35, ['base', 'hard'], 'hard', 'base'],
    [80, ['hard'], 'hard', 'hard']
  ])('wanted %d: of the liquids %j, the clock with %s, let down in %s', (wanted, keys, clock, letDown) => {
    const read = formula(card('plastisol', { blend: { soft: 20, hard: 80, wanted } }));
    expect(read.parts.map((p) => p.key)).toEqual(keys);
    expect(read.clockPart).toBe(clock);
    expect(read.letDownIn).toBe(letDown);
  });

  it('say which hardness cannot be had', () => {
    const base = card('plastisol', { blend: { soft: 20, hard: 80, wanted: 90 } });
    const read = formulaOf(base);
    expect(!read.ok && read.problem).toMatchObject({
      code: 'hardness-outside',
      path: `shelf/bases/${base.id}/blend/wanted`
    });
  });

  it('shoot whole cavities from a filling', () => {
    // 100 ml, 10 ml of it dead; a shot of 20 ml and 10 % of sprue is 22 ml: four of them, for ten cavities thrice.
    expect(shotsFor({ ml: 100, dead: 10, sprue: 0.1 }, 20, 10)).toEqual({
      each: 22,
      perFilling: 4,
      fillings: 3
    });
    expect(shotsFor({ ml: 100, dead: 10, sprue: 0 }, 30, 6)).toMatchObject({ perFilling: 3, fillings: 2 });
    expect(shotsFor({ ml: 20, dead: 10, sprue: 0 }, 30, 6)).toMatchObject({
      perFilling: 0,
      fillings: Infinity
    });
  });
});

describe('densities', () => {
  it('of a mixture lie between those of its parts, and are the parts’ own weight over their own volume', () => {
    const some = evenly(0.3, 9);
    const grams = evenly(0.01, 1000);
    fc.assert(
      fc.property(fc.array(fc.tuple(grams, some), { minLength: 1, maxLength: 5 }), (parts) => {
        const mixed = idealDensity(parts.map(([weight, density]) => ({ weight, density })));
        const ml = parts.map(([w, d]) => w / d).reduce((a, b) => a + b);
        expect(mixed * ml).toBeCloseTo(
          parts.map(([w]) => w).reduce((a, b) => a + b),
          6
        );
        expect(mixed).toBeGreaterThanOrEqual(Math.min(...parts.map(([, d]) => d)) - 1e-9);
        expect(mixed).toBeLessThanOrEqual(Math.max(...parts.map(([, d]) => d)) + 1e-9);
      })
    );
  });

  it('of a resin is the measured one where there is one, else that of its parts', () => {
    const parts = { ratio: { by: 'weight', a: 2, b: 1 }, densityA: 1.2, densityB: 1 } as const;
    expect(formula(card('resin', { ...parts, densityMixed: undefined })).density).toBeCloseTo(
      3 / (2 / 1.2 + 1),
      9
    );
    expect(formula(card('resin', { ...parts, densityMixed: 1.5 })).density).toBe(1.5);
    expect(bothReadings(card('resin', { ...parts, densityMixed: 1.5 }))).toEqual({
      weight: [expect.closeTo(66.667, 2), expect.closeTo(33.333, 2)],
      volume: [expect.closeTo(2 / 1.2, 6), 1]
    });
    const unknown = { ...parts, densityA: undefined, densityMixed: 1.1 };
    expect(bothReadings(card('resin', unknown))?.volume).toBeUndefined();
  });
});

describe('how much, and in what', () => {
  const colourant = (over: object): Colourant =>
    Colourant.parse({ ...startingLibrary.colourants[0], limit: undefined, limitReason: undefined, ...over });

  it.each([
    ['resin', 'paste', 6],
    ['resin', 'mica', 5],
    ['resin', 'ink', 1.5],
    ['resin', 'dispersion', 1],
    ['resin', 'powder', 5],
    ['gypsum', 'powder', 2],
    ['concrete', 'powder', 10],
    ['soap', 'mica', 3],
    ['soap', 'botanical', 1.5],
    ['soap', 'powder', 2],
    ['melt and pour', 'mica', 1],
    ['plastisol', 'mica', 0.5],
    ['plastisol', 'plastisol colour', 3],
    ['rubber', 'powder', 2]
  ] as const)('in %s, %s goes to %d %%', (material, form, limit) => {
    expect(limitOf(colourant({ form }), material)).toMatchObject({ limit, from: 'usual' });
  });

  it('a card’s own limit wins, with its own reason where it has one', () => {
    const own = limitOf(colourant({ form: 'mica', limit: 2, limitReason: 'it settles' }), 'resin');
    expect(own).toEqual({ limit: 2, reason: 'it settles', from: 'card' });
    expect(limitOf(colourant({ form: 'mica', limit: 2 }), 'resin').reason).toMatch(/settles/);
  });

  it('a cup holds no less than its commonest colourant may', () => {
    expect(materials.all().map(({ kind }) => [kind, cupLimitOf(kind).limit])).toEqual([
      ['resin', 6],
      ['gypsum', 2],
      ['concrete', 10],
      ['soap', 4],
      ['melt and pour', 1.5],
      ['plastisol', 3],
      ['rubber', 2]
    ]);
  });

  it('says of every form in every material whether it belongs there, and why not', () => {
    for (const form of FORMS)
      for (const { kind: material } of materials.all()) {
        const { verdict, reason } = compatibilityOf(form, material);
        expect(reason === '', `${form} in ${material}`).toBe(verdict === 'good');
      }
    expect(compatibilityOf('dispersion', 'resin').verdict).toBe('avoid');
    expect(compatibilityOf('paste', 'soap').verdict).toBe('avoid');
    expect(compatibilityOf('botanical', 'plastisol').verdict).toBe('avoid');
    expect(compatibilityOf('mica', 'soap').verdict).toBe('good');
    expect(compatibilityOf('powder', 'concrete').verdict).toBe('good');
  });
});
