import { z } from 'zod';
import { fail, ok, type Result } from '../../../problem';
import { commonCard, density } from '../../card';
import { figure, type Message } from '../../../quantity';
import type { Composition, FormulaPart, Making, MakingStep } from '../../formula';

/** Molar masses of sodium and potassium hydroxide, g/mol: SAP values are stated for KOH. */
const NAOH = 40.0;
const KOH = 56.11;

/** Saponification values, mg KOH per g of oil. Typical of the trade; the oil's own sheet wins. */
export const SAP = {
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
} as const;

/** Where the fats that are hard in a cool room begin to set again, °C. Typical melting points. */
const SETS_AT: Partial<Record<string, number>> = {
  coconut: 24,
  palm: 35,
  shea: 34,
  'cocoa butter': 34
};

/**
 * The fat that may set in the batter at a temperature, °C, with its melting point: the hardest of those that are
 * a seventh of the oils or more. Undefined while all of them stay liquid.
 */
export function settingFat(base: SoapCard, celsius: number): { name: string; melts: number } | undefined {
  return base.oils
    .filter((o) => o.share >= 1 / 7)
    .flatMap((o) => {
      const melts = SETS_AT[o.name];
      return melts !== undefined && melts > celsius ? [{ name: o.name, melts }] : [];
    })
    .sort((a, b) => b.melts - a.melts)[0];
}

/** Cold-process soap: oils by share, and how the lye is made up. Percentages are of the oils. */
export const SoapCard = z.object({
  kind: z.literal('soap'),
  ...commonCard,
  oils: z
    .array(
      z.object({
        name: z.string().min(1).max(40),
        share: z.number().positive().max(1),
        sap: z.number().min(80, 'is below any oil').max(350, 'is above any oil')
      })
    )
    .min(1, 'needs at least one oil')
    .max(10),
  /** Oils of the maker's own recipe in all, g: what its grams are written for; a kilogram when absent. */
  recipeGrams: z.number().positive().max(200_000).optional(),
  superfat: z.number().min(0, 'cannot be negative: lye would be left over').max(0.25),
  lyePurity: z.number().min(0.5).max(1, 'cannot be over 100 %'),
  lyeConcentration: z.number().min(0.2).max(0.5, 'cannot be over 50 %: the lye would not dissolve'),
  fragrance: z.number().min(0).max(0.06, 'is over the usual cap of 6 % of the oils'),
  /** How the fragrance behaves in the batter; calm when absent. */
  fragranceIs: z.enum(['calm', 'quick', 'floral']).optional(),
  /** What else goes in with the oils, as a share of them (sugar, salt, clay); at most a fifth each. */
  additives: z
    .array(
      z.object({ name: z.string().min(1, 'needs a name').max(40), share: z.number().positive().max(0.2) })
    )
    .max(8)
    .optional(),
  /** What the lye is made with in place of water (milk, beer, aloe): its sugar and its fat, shares of its weight. */
  liquid: z
    .object({
      name: z.string().trim().min(1, 'needs a name').max(40),
      sugar: z.number().min(0).max(0.5, 'is a syrup, no liquid for lye'),
      fat: z.number().min(0).max(0.4, 'is a fat: count it with the oils')
    })
    .optional(),
  /** What stands ready in jars: lye of a strength (NaOH as supplied, share of its weight), and the oils melted together. */
  stock: z
    .object({
      lye: z
        .number()
        .min(0.2, 'is too weak for any soap')
        .max(0.5, 'cannot be over 50 %: it would not stay clear')
        .optional(),
      oils: z.literal(true).optional()
    })
    .optional(),
  density,
  setMinutes: z.number().positive().max(2880)
});
export type SoapCard = z.infer<typeof SoapCard>;

/** Lye for a weight of oils, g. */
export interface Lye {
  naoh: number;
  water: number;
  /** The most NaOH these oils can take, at no superfat, of this purity. */
  naohMost: number;
}

/**
 * NaOH = Σ oil × SAP × (40.00/56.11) × (1 − superfat) / purity; water = NaOH × (1 − c)/c.
 * @param oils grams and SAP (mg KOH/g) of each oil
 */
export function lyeFor(
  oils: readonly { grams: number; sap: number }[],
  lye: { superfat: number; purity: number; concentration: number }
): Lye {
  const takes = oils.reduce((s, o) => s + (o.grams * o.sap) / 1000, 0) * (NAOH / KOH);
  const naoh = (takes * (1 - lye.superfat)) / lye.purity;
  return {
    naoh,
    water: (naoh * (1 - lye.concentration)) / lye.concentration,
    naohMost: takes / lye.purity
  };
}

/** How exactly each part is weighed: what rounding does to the superfat is judged by itself, and more strictly. */
const BY_SUPERFAT = 0.05;

/** Parts of a cold-process batch by weight. Refused when the oils' shares do not add up to the whole. */
export function soapFormula(base: SoapCard, path = `shelf/bases/${base.id}`): Result<Composition> {
  const shares = base.oils.reduce((s, o) => s + o.share, 0);
  if (Math.abs(shares - 1) > 0.005) {
    return fail({
      code: 'oils-not-whole',
      path: `${path}/oils`,
      sentence: `The oils of ${base.name} add up to ${(shares * 100).toFixed(1)} %.`,
      mend: 'Make them 100 %.'
    });
  }
  const weak = weakStock(base, path);
  if (weak) return weak;
  const parts = partsOf(base);
  const all = parts.reduce((s, p) => s + p.share, 0);
  return ok({
    parts: parts.map((p) => ({ ...p, share: p.share / all, tolerance: BY_SUPERFAT })),
    density: base.density,
    basis: { of: 'parts', parts: oilParts(base).map((p) => p.key), words: 'of the oils' },
    carriers: {},
    letDownIn: oilParts(base)[0]!.key
  });
}

const oilKey = (i: number): string => `oil-${i + 1}`;
const STOCK_LYE = 'stock-lye';
const STOCK_OILS = 'stock-oils';

/** Everything that goes in, in its order, as shares of the oils. Lye goes into the water; it cools while the oils are weighed. */
const partsOf = (base: SoapCard): FormulaPart[] => [
  ...lyeParts(base),
  ...oilParts(base),
  ...(base.additives ?? []).map((a, i) => ({ key: `additive-${i + 1}`, name: a.name, share: a.share })),
  ...(base.fragrance > 0 ? [{ key: 'fragrance', name: 'fragrance', share: base.fragrance }] : [])
];

/** The oils one by one, or as the blend that stands ready. */
const oilParts = ({ oils, stock }: SoapCard): FormulaPart[] =>
  stock?.oils
    ? [{ key: STOCK_OILS, name: 'stock oils, stirred through', share: 1 }]
    : oils.map((o, i) => ({ key: oilKey(i), name: `${o.name} oil`, share: o.share }));

/** So much fragrance of the oils as a share of a batter with it, by weight. */
export function scentIn(base: SoapCard, ofOils: number): number {
  const rest = partsOf({ ...base, fragrance: 0 }).reduce((s, p) => s + p.share, 0);
  return ofOils / (rest + ofOils);
}

/** Lye for one gram of the oils. */
const lyeOf = (base: SoapCard): Lye =>
  lyeFor(
    base.oils.map((o) => ({ grams: o.share, sap: o.sap })),
    { superfat: base.superfat, purity: base.lyePurity, concentration: base.lyeConcentration }
  );

/** The liquid first, never onto lye; then sodium hydroxide, or the lye that stands ready. */
function lyeParts(base: SoapCard): FormulaPart[] {
  const lye = lyeOf(base);
  const strength = base.stock?.lye;
  const each = (sap: number) =>
    lyeFor([{ grams: 1, sap }], { superfat: 0, purity: base.lyePurity, concentration: 0.33 }).naohMost /
    (strength ?? 1);
  const mostOf = base.stock?.oils
    ? { [STOCK_OILS]: base.oils.reduce((s, o) => s + o.share * each(o.sap), 0) }
    : Object.fromEntries(base.oils.map((o, i) => [oilKey(i), each(o.sap)]));
  const water = lye.water - inStock(lye, strength);
  // Of a stock as strong as the recipe wants it no water is left to add.
  const adds = water > 1e-9;
  const name = base.liquid?.name ?? 'water';
  const lyeName =
    strength === undefined ? 'sodium hydroxide' : `stock lye of ${Number((strength * 100).toFixed(1))} %`;
  return [
    ...(adds ? [{ key: 'water', name: `${name}, for the lye`, share: water, vessel: 'lye' }] : []),
    {
      key: strength === undefined ? 'naoh' : STOCK_LYE,
      name: adds ? `${lyeName}, into the ${name}` : lyeName,
      share: lye.naoh / (strength ?? 1),
      mostOf,
      vessel: 'lye',
      roundDown: true
    }
  ];
}

/** What the lye is made with, as a share of the oils. */
export const waterShare = (base: SoapCard): number => lyeOf(base).water;

/** Water that a stock lye brings with its sodium hydroxide, g. */
const inStock = ({ naoh }: Lye, strength: number | undefined): number =>
  strength === undefined ? 0 : (naoh * (1 - strength)) / strength;

/** A stock lye that is weaker than the recipe’s would bring more water than that wants. */
function weakStock({ id, name, stock, lyeConcentration }: SoapCard, path = `shelf/bases/${id}`) {
  if (stock?.lye === undefined || stock.lye >= lyeConcentration - 1e-9) return undefined;
  const percent = (share: number) => `${Number((share * 100).toFixed(1))} %`;
  return fail({
    code: 'stock-lye-weak',
    path: `${path}/stock/lye`,
    sentence: `The stock lye of ${name} has ${percent(stock.lye)}, and its recipe wants ${percent(lyeConcentration)}: it would bring too much water.`,
    mend: `Make a stock of ${percent(lyeConcentration)} or stronger, or set the recipe’s lye to ${percent(stock.lye)}.`
  });
}

/** What is done between the weighings, the usual way: lye and oils come to one warmth, and the lye goes into the oils. */
export function soapMaking(base: SoapCard): Making {
  const last = oilParts(base).at(-1)!.key;
  return {
    clockPart: last,
    between: [
      ...(base.stock?.lye === undefined ? [dissolving(base)] : []),
      melting(base, last),
      joining(last)
    ]
  };
}

/** Sugar in what the lye is made with burns in its heat: cold, and slowly. */
const COLD = 'ice cold or frozen to slush, the lye in a little at a time, or its sugar burns brown';
const HEATS = 'it heats to about 80 °C: goggles on, face away from the fumes, out of reach of others';

const dissolving = ({ liquid }: SoapCard): MakingStep => ({
  id: 'dissolve',
  after: 'naoh',
  act: 'Stir',
  rest: 'the lye until it is clear, then set it aside to cool',
  how: liquid && liquid.sugar > 0 ? `${COLD}; ${HEATS}` : HEATS,
  confirm: 'Clear',
  attended: 2,
  unattended: 0
});

const melting = ({ stock }: SoapCard, after: string): MakingStep => ({
  id: 'melt',
  after,
  act: stock?.oils ? 'Warm' : 'Melt',
  rest: 'the oils, and wait until they and the lye are as warm as each other',
  how: 'about 40 °C for both; cooler gives more time, under the melting point of a fat it sets',
  confirm: 'Both ready',
  attended: 2,
  unattended: 30
});

const joining = (after: string): MakingStep => ({
  id: 'join',
  after,
  act: 'Pour',
  rest: 'the lye into the oils',
  how: 'slowly, through a sieve, goggles on: never the oils into the lye; the clock starts now',
  confirm: 'In',
  attended: 0.5,
  unattended: 0,
  joins: true
});

/** Sodium hydroxide in weights as they are, g: by itself, and in the lye that stood ready. */
export const naohIn = (base: SoapCard, grams: (key: string) => number): number =>
  grams('naoh') + grams(STOCK_LYE) * (base.stock?.lye ?? 0);

/** Water in them, g. */
export const waterIn = (base: SoapCard, grams: (key: string) => number): number =>
  grams('water') + grams(STOCK_LYE) * (1 - (base.stock?.lye ?? 1));

/** What a kilogram of each stock is made of, in words; nothing of what is weighed fresh. */
export function stockWords({ oils, stock }: SoapCard): { label: string; value: Message }[] {
  const gram = (g: number) => figure(g, 'g', 1);
  const blend = oils.map((o) => `${gram(o.share * 1000)} ${o.name}`).join(', ');
  const { lye } = stock ?? {};
  return [
    ...(lye === undefined
      ? []
      : [
          {
            label: 'a kilogram of stock lye',
            value: `${gram(lye * 1000)} sodium hydroxide into ${gram((1 - lye) * 1000)} water`
          }
        ]),
    ...(stock?.oils ? [{ label: 'a kilogram of stock oils', value: blend }] : [])
  ];
}

/** The superfat, 0..1, that weights as they are (carriers counted by the caller) leave; below zero there is free lye. */
export function superfatOf(base: SoapCard, grams: (key: string) => number): number {
  const takes = lyeFor(
    base.oils.map((o, i) => ({ grams: grams(oilKey(i)) + grams(STOCK_OILS) * o.share, sap: o.sap })),
    { superfat: 0, purity: base.lyePurity, concentration: base.lyeConcentration }
  );
  return takes.naohMost > 0 ? 1 - naohIn(base, grams) / takes.naohMost : 0;
}
