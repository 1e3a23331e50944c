import {
  colouredDensity,
  COLOUR_TOLERANCE,
  countWords,
  cupScale,
  finestFor,
  inDrops,
  inSpoons,
  PART_TOLERANCE,
  roundParts,
  scaleFor,
  toDivision,
  weighCup,
  weighingSpread as spreadOnScale,
  type CarrierRule,
  type Counted,
  type Creep,
  type CupWeights,
  type Dose,
  type Scale
} from '../dosing';
import type { Formula, FormulaPart } from '../material';
import { heldParts, offFormula, type HeldPart } from './held';
import { PORTION, type Weighing } from './weighing';

/** What is poured, clings, stays in the vessel, is taken out uncoloured, is left over: together, what is mixed. Grams. */
export interface CupBalance {
  pouredMl: number;
  poured: number;
  clings: number;
  vessel: number;
  reserved: number;
  left: number;
  mixed: number;
}

/** A cup worked out to the gram. */
export interface WeighedCup {
  balance: CupBalance;
  batch: number;
  /** g/ml of the coloured cup, fillers counted. */
  density: number;
  weighings: Weighing[];
  /** Greatest relative deviation of a part's share after rounding, carriers counted. */
  ratioError: number;
  /** The recipe's parts as they are really in it: weights as rounded, carriers and let-downs counted. */
  held: HeldPart[];
  /** Per part, what carriers bring beyond the ratio in a cup split from a common mix, as a share of the part. */
  offRatio: CupWeights['offRatio'];
}

/** A dose as a plan asks for it: also how it is measured out. */
export type CupDose = Dose & { lineId: string; by?: 'scale' | 'drops' | 'spoon'; creep?: Creep };

/** Chips or other solids stirred into a cup, as a share of the finished cup by weight. */
export interface Filler {
  id: string;
  name: string;
  share: number;
  /** g/ml of the solid itself. */
  density: number;
}

/** What a cup is worked out from. */
export interface CupOrder {
  formula: Formula;
  doses: readonly CupDose[];
  fillers?: readonly Filler[];
  /** Fragrance that goes into this cup, as a share of it when it is finished, by weight. */
  scent?: { share: number; density: number };
  /** ml poured from this cup in all cavities of this mix. */
  pouredMl: number;
  losses: { cling: number; vessel: number };
  /** Share of what is needed that is mixed on top, 0..1. */
  allowance?: number;
  /** Mix at least this much, g. */
  atLeast?: number;
  /** Uncoloured base to take out before the colour goes in, g. */
  reserve?: number;
  /** The plan's own scale first. */
  scales: readonly Scale[];
  readings: 'cumulative' | 'tared';
  /** A cup split from a common mix takes its base by weight, and its carriers cannot be made room for. */
  split?: boolean;
}

/** What has to be mixed for a cup, g, before it is divided into weighings. */
interface Wanted {
  density: number;
  poured: number;
  clings: number;
  vessel: number;
  /** Everything but the reserve. */
  total: number;
  reserve: number;
  exact: CupWeights;
}

const ruleOf = (order: CupOrder): CarrierRule => (order.split ? 'on top' : 'make room');

function wantedOf(order: CupOrder, more: number): Wanted {
  const { formula, losses, fillers = [], allowance = 0 } = order;
  const pours = order.pouredMl > 0;
  const beside = [...fillers, ...(order.scent ? [order.scent] : [])];
  const density = colouredDensity(formula, order.doses, ruleOf(order), beside);
  const poured = order.pouredMl * density;
  const clings = poured * losses.cling;
  const vessel = pours ? losses.vessel : 0;
  const needed = (poured + clings) * (1 + allowance) + vessel;
  const total = Math.max(needed, pours ? (order.atLeast ?? 0) : 0) + more;
  const solids = beside.reduce((s, f) => s + f.share, 0);
  return {
    density,
    poured,
    clings,
    vessel,
    total,
    reserve: pours ? (order.reserve ?? 0) : 0,
    exact: weighCup(formula, order.doses, total * (1 - solids), ruleOf(order))
  };
}

/** The scales of a bench and the one a cup stands on. */
interface Scales {
  own: Scale;
  all: readonly Scale[];
}

/**
 * Works out one cup: mass to mix = poured × ρ × (1 + cling), with its allowance, + vessel loss (+ reserve), split
 * into parts, colourants and fillers, rounded to the scales. The balance closes exactly on the rounded weights:
 * what rounding, `atLeast` or the allowance adds is left over; what rounding takes is taken from what is reckoned
 * to cling, and where that is less, a division more is mixed. Nothing is ever left below nothing.
 */
export function weighOutCup(order: CupOrder): WeighedCup {
  let more = 0;
  for (;;) {
    const out = weighedOnce(order, more);
    const { left, clings, vessel } = out.balance;
    if (left >= -(clings + vessel)) return { ...out, balance: settled(out.balance) };
    // Half a division more at least, so that some weighing is rounded up at last.
    more += cupScale(out.balance.mixed, order.scales).division / 2 - (left + clings + vessel);
  }
}

/** The balance with what rounding takes borne by what clings, then by what stays in the vessel: both are estimates. */
function settled(balance: CupBalance): CupBalance {
  const short = Math.max(0, -balance.left);
  if (short === 0) return balance;
  const clings = Math.max(0, balance.clings - short);
  const vessel = Math.max(0, balance.vessel - (short - (balance.clings - clings)));
  return { ...balance, clings, vessel, left: 0 };
}

/** The cup weighed out with so many grams more than is needed. */
function weighedOnce(order: CupOrder, more: number): WeighedCup {
  const wanted = wantedOf(order, more);
  const { density, poured, clings, vessel, exact } = wanted;
  const scales: Scales = { own: cupScale(wanted.total + wanted.reserve, order.scales), all: order.scales };
  const parts = order.split
    ? [weighing({ key: PORTION, name: 'mix', kind: 'part' }, exact.batch, PART_TOLERANCE, scales)]
    : partWeighings(order.formula, wanted, scales);
  const weighings = inOrder(order, wanted, parts, scales);
  const { mixed, reserved } = readings(weighings, order.readings);
  const left = mixed - poured - clings - vessel - reserved;
  const colourants = new Map(order.doses.map((d) => [d.colourant.id, d.colourant]));
  const held = heldParts({ formula: order.formula, weighings, colourantOf: (id) => colourants.get(id) });
  return {
    balance: { pouredMl: order.pouredMl, poured, clings, vessel, reserved, left, mixed },
    batch: exact.batch,
    density,
    weighings,
    ratioError: order.pouredMl > 0 && !order.split ? offFormula(held, order.formula) : 0,
    held,
    offRatio: exact.offRatio
  };
}

/**
 * The weighings in the order of the bench: dry first where the material asks for it; otherwise the reserve is taken,
 * then colour goes into the mixed batch; chips last.
 */
function inOrder(order: CupOrder, wanted: Wanted, parts: readonly Weighing[], scales: Scales): Weighing[] {
  const { exact, reserve, total } = wanted;
  const colours = exact.colourants.flatMap((c, i): Weighing[] =>
    c.grams > 0 ? [colourWeighing(c, order.doses[i]!, scales)] : []
  );
  const chips = (order.fillers ?? []).map((f) =>
    weighing({ key: f.id, name: f.name, kind: 'filler' }, total * f.share, COLOUR_TOLERANCE, scales)
  );
  const weighings = [...parts];
  const before = order.split ? -1 : weighings.findIndex((w) => w.key === order.formula.colourBefore);
  weighings.splice(before < 0 ? weighings.length : before, 0, ...colours);
  if (reserve > 0 && !order.split) {
    const what = { key: 'reserve', name: 'mix before colour, taken out', kind: 'reserve' } as const;
    const taken = weighing(what, reserve, PART_TOLERANCE, { own: scales.own, all: [scales.own] });
    weighings.splice(before < 0 ? parts.length : weighings.length, 0, taken);
  }
  // What may rush it is stirred in last, by hand.
  const scent = order.scent?.share
    ? [weighing(SCENT, total * order.scent.share, COLOUR_TOLERANCE, scales)]
    : [];
  return [...weighings, ...chips, ...scent];
}

/** A cup's own fragrance among its weighings. */
const SCENT = { key: 'fragrance', name: 'fragrance', kind: 'part' } as const;

/** The reactive parts, rounded together so that the ratio is kept; one too small for the cup's scale is weighed apart. */
function partWeighings(formula: Formula, { exact, reserve }: Wanted, { own, all }: Scales): Weighing[] {
  const grams = exact.parts.map((p, i) => p.grams + formula.parts[i]!.share * reserve);
  // What may never be too much (lye) is weighed on the finest scale that holds it.
  const chosen = grams.map((g, i) =>
    formula.parts[i]!.roundDown ? (finestFor(g, all) ?? own) : scaleFor(g, PART_TOLERANCE, own, all)
  );
  const together = grams.map((_, i) => i).filter((i) => chosen[i] === own);
  const rounded = roundParts(
    together.map((i) => grams[i]!),
    own.division,
    together.map((i) => exact.parts[i]!.fromCarriers)
  );
  const weights = grams.map((g, i) =>
    chosen[i] === own
      ? notNothing(rounded.weights[together.indexOf(i)]!, g, own.division)
      : atLeastOne(g, chosen[i]!.division)
  );
  const present = weights.map((w, i) => w + exact.parts[i]!.fromCarriers);
  return exact.parts.map((part, i): Weighing => {
    const of = formula.parts[i]!;
    const scale = chosen[i]!;
    // Where colourants bring more of a part than the cup holds there is none of it to weigh: the rules say so.
    const weight = Math.max(
      0,
      of.roundDown
        ? roundedDown(Math.min(grams[i]!, most(of, formula, present)), scale.division)
        : weights[i]!
    );
    const spread = weighingSpread(scale, weight);
    return {
      key: part.key,
      name: part.name,
      kind: 'part',
      exact: grams[i]!,
      weight,
      reading: 0,
      spread,
      weighable: spread <= (of.tolerance ?? PART_TOLERANCE),
      scaleId: scale.id,
      division: scale.division,
      ...(scale === own ? {} : { boat: true }),
      ...(of.creep ? { creep: of.creep } : {}),
      ...(of.vessel ? { vessel: of.vessel } : {})
    };
  });
}

function weighing(
  what: Pick<Weighing, 'key' | 'name' | 'kind'>,
  exact: number,
  tolerance: number,
  { own, all }: Scales
): Weighing {
  const scale = scaleFor(exact, tolerance, own, all);
  const spread = weighingSpread(scale, exact);
  return {
    ...what,
    exact,
    weight: atLeastOne(exact, scale.division),
    reading: 0,
    spread,
    weighable: spread <= tolerance,
    scaleId: scale.id,
    division: scale.division,
    ...(scale === own ? {} : { boat: true })
  };
}

function colourWeighing(
  { grams, supplied }: CupWeights['colourants'][number],
  dose: CupDose,
  scales: Scales
): Weighing {
  const name = dose.letDown ? `${dose.colourant.name}, thinned 1 : ${dose.letDown}` : dose.colourant.name;
  const w = weighing({ key: dose.lineId, name, kind: 'colourant' }, grams, COLOUR_TOLERANCE, scales);
  const counted = countedDose(dose, grams);
  return {
    ...w,
    colourantId: dose.colourant.id,
    percent: dose.percent,
    supplied: counted ? counted.grams : supplied,
    ...(dose.letDown ? { letDown: { parts: dose.letDown, supplied } } : {}),
    ...(dose.creep ? { creep: dose.creep } : {}),
    ...(counted ? asCounted(counted, grams) : {})
  };
}

/** What a dose in drops or spoons weighs, and how far that may be off: by its spread, or for want of half a drop. */
const asCounted = (counted: Counted, wanted: number) => ({
  weight: clean(counted.grams),
  spread: counted.spread,
  weighable: Math.max(counted.spread, Math.abs(counted.grams / wanted - 1)) <= 4 * COLOUR_TOLERANCE,
  counted: countWords(counted),
  countedIn: { unit: counted.unit, each: counted.grams / counted.count }
});

/** A dose counted in drops or spoons, where the colourant's card can say what one weighs. */
function countedDose(dose: CupDose, grams: number): Counted | undefined {
  if (dose.letDown) return undefined;
  if (dose.by === 'drops' && dose.colourant.drop) return inDrops(grams, dose.colourant.drop);
  if (dose.by === 'spoon' && dose.colourant.bulkDensity) return inSpoons(grams, dose.colourant.bulkDensity);
  return undefined;
}

/** Fills in what each display reads, vessel by vessel; says what is mixed in all and what is taken out again. */
function readings(weighings: Weighing[], way: CupOrder['readings']): { mixed: number; reserved: number } {
  let mixed = 0;
  let reserved = 0;
  const vessels = new Map<string, number>();
  for (const w of weighings) {
    const goesIn = w.kind === 'reserve' ? -w.weight : w.weight;
    if (w.kind === 'reserve') reserved = clean(reserved + w.weight);
    else mixed = clean(mixed + w.weight);
    const inVessel = clean((vessels.get(w.vessel ?? '') ?? 0) + goesIn);
    vessels.set(w.vessel ?? '', inVessel);
    w.reading = way === 'cumulative' && !w.boat ? inVessel : w.weight;
  }
  return { mixed, reserved };
}

/** Past this a weighing is a guess, and how bad a guess is not told apart. */
const MOST_SPREAD = 1;
const weighingSpread = (scale: Scale, grams: number): number =>
  Math.min(MOST_SPREAD, spreadOnScale(scale, grams));

/** Never nothing of something: the least that the scale shows is a guess, and is called one. */
const notNothing = (weight: number, exact: number, division: number) =>
  exact > 0 ? Math.max(division, weight) : weight;
/** The nearest weight that the scale shows. */
const atLeastOne = (exact: number, division: number) =>
  clean(notNothing(toDivision(exact, division), exact, division));

const roundedDown = (g: number, division: number) => clean(Math.floor(g / division + 1e-9) * division);

/** The most of a part that the other parts, as rounded and with what carriers bring, can take. */
function most(part: FormulaPart, formula: Formula, weights: readonly number[]): number {
  if (!part.mostOf) return Infinity;
  return formula.parts.reduce((s, p, i) => s + (part.mostOf?.[p.key] ?? 0) * (weights[i] ?? 0), 0);
}

/** Multiples of 0.01 drift in binary; 1e-9 g is far below any scale. */
const clean = (g: number) => Math.round(g * 1e9) / 1e9;
