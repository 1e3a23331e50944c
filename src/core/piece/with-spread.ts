import type { Amount, Plan } from '../document';
import { acts, withAmount } from '../pour';
import { chanceFrom, normal, seedOf, type Chance } from '../pattern/seeded';

/** No pour is drawn with less or more than this many times its amount. */
const [LEAST, MOST] = [0.5, 1.7];

/** Pours this large in shares of the piece vary by the spread itself; smaller ones by more of themselves. */
const SMALLEST = 0.1;

/**
 * A plan as a hand may pour it: every amount and every share of a cup of cups off by chance, as far as this maker's measured pieces
 * vary. The same seed gives the same pour; levels and rims are where the mould says, and stay.
 * @param spread how far measured shares lie from their plans, 0..1
 */
export function withSpread(plan: Plan, spread: number, seed: string): Plan {
  const chance = chanceFrom(seedOf(`spread ${seed}`));
  return {
    ...plan,
    steps: plan.steps.map((step) => {
      const known = acts.read(step.act);
      const amount = known?.definition.amount?.(known.act);
      const off = amount && offBy(amount, spread, chance);
      return off ? { ...step, act: withAmount(step.act, off) } : step;
    }),
    cups: plan.cups.map((cup) => {
      if (!('cups' in cup.from)) return cup;
      const poured = cup.from.cups.map((p) => ({ ...p, share: p.share * times(spread, p.share, chance) }));
      const all = poured.reduce((s, p) => s + p.share, 0);
      return { ...cup, from: { cups: poured.map((p) => ({ ...p, share: p.share / all })) } };
    })
  };
}

/** How many times its amount is poured of something that is so large a share. */
function times(spread: number, share: number, chance: Chance): number {
  const by = 1 + (normal(chance) * spread) / Math.max(SMALLEST, share);
  return Math.min(MOST, Math.max(LEAST, by));
}

/** An amount off by chance; nothing of one that the mould sets. */
function offBy(amount: Amount, spread: number, chance: Chance): Amount | undefined {
  // Of an amount in millilitres, grams or millimetres its share of the piece is not known here: a third is usual.
  const usual = 1 / 3;
  switch (amount.kind) {
    case 'share':
      return { kind: 'share', of: Math.min(1, amount.of * times(spread, amount.of, chance)) };
    case 'volume':
      return { kind: 'volume', ml: amount.ml * times(spread, usual, chance) };
    case 'weight':
      return { kind: 'weight', grams: amount.grams * times(spread, usual, chance) };
    case 'deep':
      return { kind: 'deep', mm: amount.mm * times(spread, usual, chance) };
    default:
      return undefined;
  }
}
