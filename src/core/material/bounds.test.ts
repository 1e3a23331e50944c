import { describe, expect, it } from 'vitest';
import { startingLibrary } from '../shelf';
import { Base, Colourant, type MaterialKind } from '.';

type Field = [path: string, least: number, most: number];

/** What every base card may hold, as the formats say: each bound itself is taken, and a little past it is not. */
const COMMON: Field[] = [
  ['openMinutes', 0.5, 1440],
  ['stirMinutes', 0.1, 60],
  ['demouldHours/to', 0, 20_000],
  ['shelfMonths', 0, 240],
  ['leastMix', 0, Infinity]
];
const DENSITY: Field = ['density', 0.3, 9];
const OWN: Record<MaterialKind, Field[]> = {
  resin: [
    ['ratio/a', 0, 100],
    ['ratio/b', 0, 100],
    ['densityA', 0.3, 9],
    ['densityB', 0.3, 9],
    ['densityMixed', 0.3, 9],
    ['fullCureHours', 0, Infinity],
    ['depthLimit', 0, 500],
    ['safeMass', 0, 100_000]
  ],
  gypsum: [['liquid', 0, 100], ['powder', 0, 1000], DENSITY, ['setMinutes', 0, 1440]],
  concrete: [
    ['sand', 0, 6],
    ['waterCement', 0.2, 0.8],
    ['plasticiser', 0, 0.05],
    ['air', 0, 0.15],
    ['setMinutes', 0, 2880],
    ['bag/water', 0.05, 0.6],
    ['bag/density', 0.3, 9],
    ['bag/cement', 0.05, 1]
  ],
  soap: [
    ['oils/0/share', 0, 1],
    ['oils/0/sap', 80, 350],
    ['superfat', 0, 0.25],
    ['lyePurity', 0.5, 1],
    ['lyeConcentration', 0.2, 0.5],
    ['fragrance', 0, 0.06],
    ['additives/0/share', 0, 0.2],
    DENSITY,
    ['setMinutes', 0, 2880]
  ],
  'melt and pour': [DENSITY, ['heatTo', 30, 230], ['neverPast', 40, 250], ['pourAbove', 30, 220]],
  plastisol: [
    ['setMinutes', 0, 600],
    ['blend/soft', 0, 100],
    ['blend/hard', 0, 100],
    ['blend/wanted', 0, 100],
    ['injector/ml', 0, 5000],
    ['injector/dead', 0, 500],
    ['injector/sprue', 0, 0.5]
  ],
  rubber: [['a', 0, 100], ['b', 0, 100], DENSITY, ['setMinutes', 0, 2880]]
};
const COLOURANT: Field[] = [
  ['pigmentFraction', 0, 1],
  ['density', 0.3, 20],
  ['limit', 0, 100],
  ['drop/grams', 0, 2],
  ['drop/error', 0, 1],
  ['bulkDensity', 0.02, 5],
  ['shelfMonths', 0, 240],
  ['tint/percent', 0.1, 60],
  ['strength', 0, 100]
];
/** Fields where the least itself means something: none of it. Elsewhere nought is refused. */
const MAY_BE_NOUGHT = new Set([
  'leastMix',
  'sand',
  'plasticiser',
  'air',
  'superfat',
  'fragrance',
  'blend/soft',
  'blend/hard',
  'blend/wanted',
  'injector/dead',
  'injector/sprue',
  'drop/error'
]);

/** Parts of a card that are not always there, so that every field has its place. */
const MORE = {
  resin: {},
  gypsum: {},
  concrete: { bag: { water: 0.15, density: 2.2, cement: 0.4 } },
  soap: { additives: [{ name: 'sugar', share: 0.01 }] },
  'melt and pour': {},
  plastisol: {
    blend: { soft: 20, hard: 80, wanted: 50 },
    injector: { ml: 100, dead: 5, sprue: 0.1 }
  },
  rubber: {}
} as const;

function withField(card: object, path: string, value: unknown): object {
  const copy = structuredClone(card) as Record<string, unknown>;
  const keys = path.split('/');
  const last = keys.pop()!;
  const holder = keys.reduce((o, k) => o[k] as Record<string, unknown>, copy);
  holder[last] = value;
  return copy;
}

/** The figures just inside and just outside of a field's bounds. */
function around([path, least, most]: Field): { inside: number[]; outside: number[] } {
  const low = least > 0 || MAY_BE_NOUGHT.has(path);
  return {
    inside: [low ? least : 1e-6, ...(Number.isFinite(most) ? [most] : [1e6])],
    outside: [low ? least - 0.001 : 0, -1, ...(Number.isFinite(most) ? [most * 1.001] : []), NaN]
  };
}

const cards = Object.entries(OWN).map(([kind, fields]) => {
  const card = startingLibrary.bases.find((b) => b.kind === kind)!;
  return { kind, fields: [...COMMON, ...fields], card: { ...card, ...MORE[kind as MaterialKind] } };
});

describe.each(cards)('a card of $kind', ({ card, fields }) => {
  it.each(fields)('%s lies between %d and %d', (...field) => {
    const { inside, outside } = around(field);
    // The other end of the span must not be what is refused.
    const open = field[0] === 'demouldHours/to' ? withField(card, 'demouldHours/from', 1e-7) : card;
    for (const value of inside)
      expect(Base.safeParse(withField(open, field[0], value)).success, `${value}`).toBe(true);
    for (const value of outside)
      expect(Base.safeParse(withField(open, field[0], value)).success, `${value}`).toBe(false);
  });

  it('ends its time in the mould no sooner than it begins', () => {
    const span = (from: number, to: number) =>
      Base.safeParse({ ...card, demouldHours: { from, to } }).success;
    expect(span(8, 8)).toBe(true);
    expect(span(8, 7.9)).toBe(false);
  });

  it('has a name, a colour and cautions of bearable length', () => {
    const taken = (over: object) => Base.safeParse({ ...card, ...over }).success;
    expect(taken({ name: 'x'.repeat(80) })).toBe(true);
    expect(taken({ name: 'x'.repeat(81) })).toBe(false);
    expect(taken({ name: '' })).toBe(false);
    expect(taken({ colour: '#a0B1c2' })).toBe(true);
    for (const colour of ['a0b1c2', '#a0b1c', '#a0b1c2d', '#g0b1c2']) expect(taken({ colour })).toBe(false);
    expect(taken({ cautions: Array(40).fill('x'.repeat(300)) })).toBe(true);
    expect(taken({ cautions: Array(41).fill('x') })).toBe(false);
    expect(taken({ cautions: ['x'.repeat(301)] })).toBe(false);
    expect(taken({ source: 'x'.repeat(301) })).toBe(false);
    expect(taken({ sheet: Array(81).fill('x') })).toBe(false);
  });
});

describe('a card of soap', () => {
  const soap = cards.find((c) => c.kind === 'soap')!.card;
  const oil = { name: 'olive', share: 0.1, sap: 190 };
  const additive = { name: 'clay', share: 0.01 };
  it.each([
    ['oils', [], false],
    ['oils', Array(10).fill(oil), true],
    ['oils', Array(11).fill(oil), false],
    ['oils', [{ ...oil, name: 'x'.repeat(40) }], true],
    ['oils', [{ ...oil, name: 'x'.repeat(41) }], false],
    ['oils', [{ ...oil, name: '' }], false],
    ['additives', Array(8).fill(additive), true],
    ['additives', Array(9).fill(additive), false],
    ['additives', [{ ...additive, name: 'x'.repeat(41) }], false],
    ['additives', [{ ...additive, name: '' }], false]
  ])('%s: as many and as long as can be read', (key, value, taken) => {
    expect(Base.safeParse({ ...soap, [key]: value }).success).toBe(taken);
  });
});

describe('a card of plastisol', () => {
  it('counts its reheats whole, one to fifty', () => {
    const card = cards.find((c) => c.kind === 'plastisol')!.card;
    const taken = (reheatLimit: number) => Base.safeParse({ ...card, reheatLimit }).success;
    expect([0, 1, 2.5, 50, 51].map(taken)).toEqual([false, true, false, true, false]);
  });
});

describe('a colourant', () => {
  const card = {
    ...startingLibrary.colourants[0]!,
    drop: { grams: 0.03, error: 0.001 },
    tint: { colour: '#808080', percent: 10 }
  };
  it.each(COLOURANT)('%s lies between %d and %d', (...field) => {
    const { inside, outside } = around(field);
    for (const value of inside)
      expect(Colourant.safeParse(withField(card, field[0], value)).success, `${value}`).toBe(true);
    for (const value of outside)
      expect(Colourant.safeParse(withField(card, field[0], value)).success, `${value}`).toBe(false);
  });
});
