import { inverse } from 'ml-matrix';
import { z } from 'zod';
import { grouped } from '../../grouped';
import { Ref, StoredId } from '../../id';
import type { Colourant } from '../../material';
import { descend, dot, normalOf, slopes } from '../match/descend';
import { deltaE } from '../spectrum/difference';
import type { BaseLook } from '../pigment/optics';
import { deepReflectance, filmReflectance, mixtureOf } from '../pigment/pigment';
import { flat, labOf, labOfHex, type Lab } from '../spectrum/spectrum';
import { paleness } from '../spectrum/white-point';

/** What a trial card was laid on. */
export const BACKINGS = ['deep', 'white', 'black'] as const;

/** A smear or chip kept for comparison: its recipe, how thick over what, and the colour as it was measured. */
export const TrialCard = z.object({
  id: StoredId,
  name: z.string().min(1, 'needs a name').max(80),
  baseId: Ref,
  /** Grams of each colourant as supplied to 100 g of base. */
  lines: z
    .array(
      z.object({
        colourantId: Ref,
        percent: z.number().positive('must be more than nothing').max(100)
      })
    )
    .min(1, 'needs at least one colourant')
    .max(6),
  mm: z.number().positive().max(500),
  backing: z.enum(BACKINGS),
  /** The colour as measured, dry. */
  colour: z.string().regex(/^#[0-9a-f]{6}$/i),
  light: z.enum(['daylight', 'lamp', 'mixed']).default('daylight'),
  madeAt: z.number().int().nonnegative(),
  photo: z.string().max(80).optional(),
  note: z.string().max(1000).default('')
});
export type TrialCard = z.infer<typeof TrialCard>;

/** Reflectances of a drawdown card's halves. */
const WHITE = flat(0.85);
const BLACK = flat(0.02);

/** What the model says a card should look like, with the colourants' strengths multiplied. */
export function predictedCard(
  card: TrialCard,
  base: BaseLook,
  colourants: ReadonlyMap<string, Colourant>,
  factors: ReadonlyMap<string, number> = new Map()
): Lab {
  const optics = mixtureOf({
    base,
    doses: card.lines.flatMap((l) => {
      const colourant = colourants.get(l.colourantId);
      return colourant ? [{ colourant, percent: l.percent * (factors.get(l.colourantId) ?? 1) }] : [];
    })
  });
  if (card.backing === 'deep') return labOf(deepReflectance(optics));
  return labOf(filmReflectance(optics, card.mm, card.backing === 'white' ? WHITE : BLACK));
}

/** What cards say of one colourant: how strong it is beside its card, and between what they leave it. */
export interface StrengthFactor {
  colourantId: string;
  factor: number;
  /** Nineteen times in twenty the true factor lies between these, by how well the cards tell it. */
  low: number;
  high: number;
  cards: number;
  /** Where the cards tell only a ratio: the colourants that were held at their own cards' strength. */
  beside?: string[];
}

/** What all cards together say: how strong each colourant is beside its card, and which cards do not fit. */
export interface StrengthCorrection {
  factors: StrengthFactor[];
  /** Colourants of which the cards tell nothing by themselves: too few, or laid so that strength does not show. */
  unknown: string[];
  /**
   * Two cards that cannot both be right, and no third that says which: nothing is corrected by either. The factors
   * are what each alone says of the first colourant.
   */
  conflicts: { colourantIds: string[]; cards: [string, string]; factors: [number, number] }[];
  cards: { id: string; before: number; after: number; outlier: boolean }[];
}

/** What a colour is read off a card to, ΔE, typical of a photo with a white beside it. */
const READ_TO = 1.5;
/** A strength known no better than by this factor (two standard errors) is not known. */
const KNOWN_TO = 2;
/** Two standard errors: nineteen in twenty. */
const TWO = 2;

/** A card further off than this, and than three times the middle card, does not fit the others. ΔE00. */
const OUTLIER = 6;
/** Difference at which a card counts half while the others are fitted, ΔE00. */
const DOUBT = 3;
/** How far strengths are held to the cards' own values: one card of one step of colour moves them freely. */
const HOLD = 0.25;

/** The cards that can be read, with what they are read by. */
interface Wall {
  cards: readonly TrialCard[];
  baseOf: (id: string) => BaseLook | undefined;
  colourants: ReadonlyMap<string, Colourant>;
}

/**
 * Least squares over all cards: one factor for the strength of each colourant that they use. Only what they tell is
 * corrected: where they tell no more than a ratio, one of the two is held; where they tell nothing, nothing. Cards
 * that do not fit are named and left out; two that cannot both be right are named, and neither is believed.
 * @example correctStrengths([], [], []).factors // []
 */
export function correctStrengths(
  cards: readonly TrialCard[],
  baseOf: (id: string) => BaseLook | undefined,
  colourants: ReadonlyMap<string, Colourant>
): StrengthCorrection {
  const usable = cards.filter((c) => baseOf(c.baseId) && c.lines.every((l) => colourants.has(l.colourantId)));
  const wall: Wall = { cards: usable, baseOf, colourants };
  const conflicts = conflictsOf(wall);
  const doubted = new Set(conflicts.flatMap((c) => c.cards));
  const outliers = outliersOf({ ...wall, cards: usable.filter((c) => !doubted.has(c.id)) });
  const kept = usable.filter((c) => !outliers.has(c.id) && !doubted.has(c.id));
  const known = knownFactors({ ...wall, cards: kept });
  const none = new Map<string, number>();
  const factors = new Map(known.factors.map((f) => [f.colourantId, f.factor]));
  return {
    ...known,
    conflicts,
    cards: usable.map((card) => ({
      id: card.id,
      before: off(wall, card, none),
      after: off(wall, card, factors),
      outlier: outliers.has(card.id)
    }))
  };
}

const off = ({ baseOf, colourants }: Wall, card: TrialCard, factors: ReadonlyMap<string, number>) =>
  deltaE(predictedCard(card, baseOf(card.baseId)!, colourants, factors), labOfHex(card.colour));

const usedIn = (cards: readonly TrialCard[]): string[] =>
  [...new Set(cards.flatMap((c) => c.lines.map((l) => l.colourantId)))].sort();

/** Cards that lie far off what the others say: they count for less and less, so that one slip does not pull them. */
function outliersOf(wall: Wall): Set<string> {
  const { cards } = wall;
  const ids = usedIn(cards);
  let weights = cards.map(() => 1);
  let fit = fitFactors(wall, ids, weights).factors;
  for (let round = 0; round < 5; round++) {
    weights = cards.map((c) => 1 / (1 + (off(wall, c, fit) / DOUBT) ** 2));
    fit = fitFactors(wall, ids, weights).factors;
  }
  const errors = cards.map((c) => off(wall, c, fit));
  const middle = [...errors].sort((a, b) => a - b)[Math.floor(errors.length / 2)] ?? 0;
  return new Set(cards.filter((_, i) => errors[i]! > Math.max(OUTLIER, 3 * middle)).map((c) => c.id));
}

/**
 * Two cards of the same colourants that each can be explained and together cannot, where no third says which is wrong.
 */
function conflictsOf(wall: Wall): StrengthCorrection['conflicts'] {
  const idsOf = (card: TrialCard) => usedIn([card]);
  const alike = grouped(wall.cards, (card) => [idsOf(card).join()]);
  return [...alike.values()].flatMap((own): StrengthCorrection['conflicts'] => {
    const [one, other] = own;
    if (!one || !other || own.length > 2) return [];
    const ids = idsOf(one);
    const third = wall.cards.some(
      (c) => !own.includes(c) && c.lines.some((l) => ids.includes(l.colourantId))
    );
    const fit = (cards: readonly TrialCard[]) => {
      const { factors } = fitFactors({ ...wall, cards }, ids);
      return { factors, off: Math.max(...cards.map((c) => off(wall, c, factors))) };
    };
    const [a, b, both] = [fit([one]), fit([other]), fit(own)];
    if (third || both.off < DOUBT || Math.max(a.off, b.off) > both.off / 2) return [];
    return [
      {
        colourantIds: ids,
        cards: [one.id, other.id],
        factors: [a.factors.get(ids[0]!)!, b.factors.get(ids[0]!)!]
      }
    ];
  });
}

/**
 * Fits what the cards tell. The colourant known worst is held, the palest first among much the same (whites are what
 * others are tinted in), and the rest fitted again, until all that is left is known.
 */
function knownFactors(wall: Wall): Pick<StrengthCorrection, 'factors' | 'unknown'> {
  const held: string[] = [];
  for (;;) {
    const ids = usedIn(wall.cards).filter((id) => !held.includes(id));
    const { factors, errors } = fitFactors(wall, ids);
    const worst = worstKnown(wall, ids, errors);
    if (worst !== undefined) {
      held.push(worst);
      continue;
    }
    const told = ids.map((id): StrengthFactor => {
      const { log, error } = believed(Math.log(factors.get(id)!), errors.get(id)!);
      const factor = Math.exp(log);
      const doubt = Math.exp(TWO * error);
      const own = wall.cards.filter((c) => c.lines.some((l) => l.colourantId === id));
      const beside = held.filter((h) => own.some((c) => c.lines.some((l) => l.colourantId === h)));
      return {
        colourantId: id,
        factor,
        low: factor / doubt,
        high: factor * doubt,
        cards: own.length,
        ...(beside.length ? { beside } : {})
      };
    });
    return { factors: told, unknown: held };
  }
}

/** How far pots lie from their cards, as a logarithm: two in three within two fifths. A starting figure. */
const SPREAD = 0.35;

/**
 * What is believed of a strength: what the cards say, drawn towards the pot's own card by as much as they leave in doubt. One noisy
 * card moves it a little, several that agree move it all the way.
 */
function believed(log: number, error: number): { log: number; error: number } {
  const told = SPREAD ** 2 / (SPREAD ** 2 + error ** 2);
  return { log: log * told, error: error * Math.sqrt(told) };
}

function worstKnown(wall: Wall, ids: readonly string[], errors: ReadonlyMap<string, number>) {
  const badly = ids.filter((id) => TWO * errors.get(id)! > Math.log(KNOWN_TO));
  const most = Math.max(...badly.map((id) => errors.get(id)!));
  return badly
    .filter((id) => errors.get(id)! > most * 0.8)
    .sort((x, y) => paleness(wall.colourants.get(y)!) - paleness(wall.colourants.get(x)!))[0];
}

/** How well these cards were read: what is usual, and more and more what is left of them once they are fitted, ΔE. */
function noiseOf(left: readonly number[], fitted: number): number {
  const spare = Math.max(0, left.length - fitted);
  return Math.sqrt((USUAL_WEIGHT * READ_TO ** 2 + dot(left, left)) / (USUAL_WEIGHT + spare));
}
/** So many readings' worth the usual figure counts for: one card's. */
const USUAL_WEIGHT = 3;

/** Factors of some colourants, the others at their own strength, and the standard error of the logarithm of each. */
function fitFactors(
  { cards, baseOf, colourants }: Wall,
  ids: readonly string[],
  weights: readonly number[] = cards.map(() => 1)
): { factors: Map<string, number>; errors: Map<string, number> } {
  const targets = cards.map((c) => labOfHex(c.colour));
  const residuals = (u: readonly number[]): number[] => {
    const factors = new Map(ids.map((id, i) => [id, Math.exp(u[i]!)]));
    return [
      ...cards.flatMap((card, i) => {
        const lab = predictedCard(card, baseOf(card.baseId)!, colourants, factors);
        const t = targets[i]!;
        const w = Math.sqrt(weights[i]!);
        return [w * (lab.l - t.l), w * (lab.a - t.a), w * (lab.b - t.b)];
      }),
      ...u.map((v) => v * HOLD)
    ];
  };
  const { at, left } = descend(
    ids.map(() => 0),
    residuals,
    { inside: (v) => Math.max(-3, Math.min(3, v)), step: 3, rounds: 40, near: 0 }
  );
  const doubt = ids.length ? inverse(normalOf(slopes(residuals, at, left))) : undefined;
  const noise = noiseOf(left.slice(0, 3 * cards.length), ids.length);
  return {
    factors: new Map(ids.map((id, i) => [id, Math.exp(at[i]!)])),
    errors: new Map(ids.map((id, i) => [id, noise * Math.sqrt(Math.max(0, doubt!.get(i, i)))]))
  };
}
