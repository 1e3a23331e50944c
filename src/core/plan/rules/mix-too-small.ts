import type { Diagnostic, Fix } from '../../problem';
import type { ResolvedPlan } from '../resolve';
import type { AllMixes } from '../weighing/weighed';
import type { Batch } from './batches';
import { figure } from '../../quantity';

/**
 * Mixes that are less than a stirrer takes well, said once: by hand in a small cup it goes. What is too little to be measured is
 * said of its ratio.
 */
export function tooSmall(plan: ResolvedPlan, batches: readonly Batch[], allMixes: AllMixes): Diagnostic[] {
  const small = batches.filter((b) => isSmall(plan, b));
  const [first, ...others] = small;
  if (!first) return [];
  const { leastMix } = first.mix.base;
  const own = figure(Number(first.smallest.balance.mixed.toFixed(1)), 'g');
  const sentence = others.length
    ? `${small.length} mixes are under the ${figure(leastMix, 'g')} that stir well: ${small.map((b) => b.name).join(', ')}.`
    : `${first.name} is a mix of ${own}; ${figure(leastMix, 'g')} and more stir well.`;
  return [
    {
      code: 'mix-too-small',
      level: 'note',
      ...first.about,
      sentence,
      mend: 'Stir in a small cup, scrape its walls and bottom twice, or cast more at once.',
      fixes: others.length ? [] : atLeast(first, allMixes)
    }
  ];
}

/** Whether a joining of reactive parts is less than its card's least; a portion's parts were joined in its pot. */
const isSmall = (plan: ResolvedPlan, b: Batch): boolean =>
  !b.portion && b.smallest.balance.mixed < b.mix.base.leastMix - plan.scales[0]!.division / 2;

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
