import { Matrix, solve } from 'ml-matrix';
import { z } from 'zod';
import { Ref, StoredId } from '../id';
import type { Colourant } from '../material';
import { deltaE } from './difference';
import type { BaseLook } from './optics';
import { deepReflectance, filmReflectance, mixtureOf } from './pigment';
import { flat, labOf, labOfHex, type Lab } from './spectrum';

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

/** What all cards together say: how strong each colourant is beside its card, and which cards do not fit. */
export interface Correction {
  factors: { colourantId: string; factor: number; cards: number }[];
  cards: { id: string; before: number; after: number; outlier: boolean }[];
}

/** A card further off than this, and than three times the middle card, does not fit the others. ΔE00. */
const OUTLIER = 6;
/** Difference at which a card counts half while the others are fitted, ΔE00. */
const DOUBT = 3;
/** How far strengths are held to the cards' own values: one card of one step of colour moves them freely. */
const HOLD = 0.25;

/**
 * Least squares over all cards: one factor for the strength of each colourant that they use, held loosely to 1. Cards
 * that still do not fit are named, left out, and the rest fitted again.
 */
export function correctStrengths(
  cards: readonly TrialCard[],
  baseOf: (id: string) => BaseLook | undefined,
  colourants: ReadonlyMap<string, Colourant>
): Correction {
  const usable = cards.filter((c) => baseOf(c.baseId) && c.lines.every((l) => colourants.has(l.colourantId)));
  const off = (card: TrialCard, factors: ReadonlyMap<string, number>) =>
    deltaE(predictedCard(card, baseOf(card.baseId)!, colourants, factors), labOfHex(card.colour));
  // Cards that lie far off count for less and less, so that one slip does not pull the others with it.
  let weights = usable.map(() => 1);
  let first = fitFactors(usable, weights, baseOf, colourants);
  for (let round = 0; round < 5; round++) {
    weights = usable.map((c) => 1 / (1 + (off(c, first) / DOUBT) ** 2));
    first = fitFactors(usable, weights, baseOf, colourants);
  }
  const errors = usable.map((c) => off(c, first));
  const middle = [...errors].sort((a, b) => a - b)[Math.floor(errors.length / 2)] ?? 0;
  const outliers = new Set(
    usable.filter((_, i) => errors[i]! > Math.max(OUTLIER, 3 * middle)).map((c) => c.id)
  );
  const kept = usable.filter((c) => !outliers.has(c.id));
  const factors = fitFactors(
    kept,
    kept.map(() => 1),
    baseOf,
    colourants
  );
  const none = new Map<string, number>();
  return {
    factors: [...factors].map(([colourantId, factor]) => ({
      colourantId,
      factor,
      cards: kept.filter((c) => c.lines.some((l) => l.colourantId === colourantId)).length
    })),
    cards: usable.map((c) => ({
      id: c.id,
      before: off(c, none),
      after: off(c, factors),
      outlier: outliers.has(c.id)
    }))
  };
}

function fitFactors(
  cards: readonly TrialCard[],
  weights: readonly number[],
  baseOf: (id: string) => BaseLook | undefined,
  colourants: ReadonlyMap<string, Colourant>
): Map<string, number> {
  const ids = [...new Set(cards.flatMap((c) => c.lines.map((l) => l.colourantId)))].sort();
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
  let u = ids.map(() => 0);
  for (let round = 0; round < 12 && ids.length; round++) {
    const r = residuals(u);
    const columns = u.map((v, j) => {
      const moved = [...u];
      moved[j] = v + 1e-4;
      return residuals(moved).map((x, i) => (x - r[i]!) / 1e-4);
    });
    const dot = (a: readonly number[], b: readonly number[]) => a.reduce((s, v, i) => s + v * b[i]!, 0);
    const normal = new Matrix(columns.map((a, i) => columns.map((b, j) => dot(a, b) + (i === j ? 1e-6 : 0))));
    const step = solve(normal, Matrix.columnVector(columns.map((c) => -dot(c, r))));
    const before = dot(r, r);
    let scale = 1;
    let next = u;
    while (scale > 1e-3) {
      next = u.map((v, j) => Math.max(-3, Math.min(3, v + scale * step.get(j, 0))));
      const now = residuals(next);
      if (dot(now, now) <= before) break;
      scale /= 2;
    }
    const moved = Math.max(...next.map((v, j) => Math.abs(v - u[j]!)));
    u = next;
    if (moved < 1e-6) break;
  }
  return new Map(ids.map((id, i) => [id, Math.exp(u[i]!)]));
}
