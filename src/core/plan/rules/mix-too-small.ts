import type { Diagnostic, Fix } from '../../problem';
import type { ResolvedPlan } from '../resolve';
import type { AllMixes } from '../weighing/weighed';
import type { Batch } from './batches';
import { figure } from '../../quantity';

/** A joining of reactive parts that is too little to measure and stir; a portion's parts were joined in its pot. */
export function tooSmall(plan: ResolvedPlan, b: Batch, allMixes: AllMixes): Diagnostic[] {
  const { mixed } = b.smallest.balance;
  const { base } = b.mix;
  if (b.portion || mixed >= base.leastMix - plan.scales[0]!.division / 2) return [];
  return [
    {
      code: 'mix-too-small',
      level: 'warn',
      ...b.about,
      sentence: `${b.name} is a mix of ${figure(Number(mixed.toFixed(1)), 'g')}; under ${figure(base.leastMix, 'g')} the ratio and the stirring suffer.`,
      mend: 'Cast more at once.',
      fixes: atLeast(b, allMixes)
    }
  ];
}

/** Enough asked of it, and what is left kept: of a pot, in the cup that takes the most of it. */
function atLeast(b: Batch, { cups }: AllMixes): Fix[] {
  const { leastMix } = b.mix.base;
  const words = `Mix ${figure(leastMix, 'g')} and keep what is left`;
  const own = cups.filter((w) => b.cups.includes(w.cup));
  const sizeOf = (w: (typeof own)[number]) => w.mixes.reduce((s, m) => s + m.balance.mixed, 0);
  const cup = own.reduce((x, y) => (sizeOf(y) > sizeOf(x) ? y : x), own[0]!);
  const short = (leastMix - b.smallest.balance.mixed) * b.turns;
  // Whole grams, and a little more where rounding falls short of them again.
  return [leastMix * b.turns, Math.ceil(sizeOf(cup) + short), Math.ceil((sizeOf(cup) + short) * 1.02)].map(
    (grams) => ({
      words,
      edit: { path: ['cups', cup.cup.id, 'atLeast'], value: grams }
    })
  );
}
