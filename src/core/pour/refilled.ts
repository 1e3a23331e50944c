import { inPlan } from '../problem';
import type { ActStep, Changed, Pouring } from './act';
import { nothingToPour } from './pouring-problems';
import { poured } from './pouring';
import { filledMl, levelled, type CavityState } from './cavity-state';
import { withdrawn } from './withdrawn';
import { figure } from '../quantity';

/**
 * A cavity in which so much was milled out and the same filled in again: as full as before. The amount is a volume or a
 * share of the cavity; up to a level or the rim there is nothing to fill.
 */
export function refilled(act: Pouring, stand: CavityState, step: ActStep): Changed {
  const ready = levelled(stand);
  const ml = askedMl(act, ready, step.density(act.cupId));
  if (ml === undefined)
    return { stand: ready, problems: [noVolume(act, step, filledMl(ready) / ready.cavity.capacity)] };
  const out = withdrawn(ready, ml, step);
  if (out.problems.length) return { stand: ready, problems: [tooMuch(step, ready, ml)] };
  return poured({ ...act, amount: { kind: 'volume', ml } }, out.stand, step);
}

function askedMl({ amount }: Pouring, { cavity }: CavityState, density: number): number | undefined {
  if (amount.kind === 'weight' && density > 0) return amount.grams / density;
  if (amount.kind === 'volume') return amount.ml;
  return amount.kind === 'share' ? amount.of * cavity.capacity : undefined;
}

const smaller = (step: ActStep, of: number) => [
  { words: `Fill ${of * 100} % of the cavity`, edit: { path: amountOf(step), value: { kind: 'share', of } } }
];
const amountOf = ({ stepId }: ActStep) => ['steps', stepId, 'act', 'amount'];

const noVolume = (act: Pouring, step: ActStep, share: number) => ({
  ...nothingToPour(act, step, share),
  code: 'refill-without-volume' as const,
  sentence: 'What is milled out and refilled needs a volume of its own: the face stands where it stood.',
  mend: 'Give ml, grams, or a share of the cavity.',
  fixes: share > 0.05 ? smaller(step, 0.05) : []
});

const tooMuch = (step: ActStep, stand: CavityState, ml: number) => {
  const there = filledMl(stand);
  return {
    code: 'mills-too-much' as const,
    level: 'stop' as const,
    ...inPlan('steps', step.stepId, 'act', 'amount'),
    sentence: `${stand.name} hold ${figure(there, 'ml', 1)} here, so ${figure(ml, 'ml', 1)} cannot be milled out.`,
    mend: there > 0 ? 'Mill out less.' : 'Pour the ground first, and let it cure.',
    fixes: there > 0.06 * stand.cavity.capacity ? smaller(step, 0.05) : []
  };
};
