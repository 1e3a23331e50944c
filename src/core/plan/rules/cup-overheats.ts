import type { Diagnostic, Fix } from '../../problem';
import type { FilledCavitySet } from '../fill';
import { EXOTHERM_LIMIT } from '../../material';
import { safeGrams, tooHot } from '../weighing/safe-mass';
import { inEqualLayers } from '../fixes/layering';
import { eachByItself } from '../../document/mixing';
import type { ResolvedPlan } from '../resolve';
import { roomIn } from '../room';
import { moreTurns, type Batch } from './batches';
import { figure } from '../../quantity';

/** How much longer than planned a cup may come to stand before it is too hot: hands are called away. */
const HALF_AS_LONG_AGAIN = 1.5;

/**
 * More mixed resin in one vessel than stays cool for as long as it stands there. What is poured off before it warms is safe
 * however much it is; what stays behind when all is poured stands for good.
 */
export function overheats(
  plan: ResolvedPlan,
  b: Batch,
  { filled, standing }: { filled: readonly FilledCavitySet[]; standing: number }
): Diagnostic[] {
  const room = roomIn(plan.plan.bench);
  const { mixed, left, reserved } = b.largest.balance;
  // A cup that stays cool needs no search for what would.
  if (!tooHot(b.mix, mixed, room)) return [];
  const { behaviour } = b.mix;
  // What gels in its cup runs away with its heat there, whatever the model says of how far.
  const hotAfter = Math.min(
    behaviour.warmsTo(EXOTHERM_LIMIT, { cup: mixed }, room),
    behaviour.goneBy(mixed, room)
  );
  if (standing * HALF_AS_LONG_AGAIN < hotAfter && !tooHot(b.mix, Math.max(left, reserved), room)) return [];
  const safe = safeGrams(b.mix, room);
  const peak = behaviour.cupPeak(mixed, room);
  return [
    {
      code: 'cup-overheats',
      by: peak,
      level: 'warn',
      ...b.about,
      sentence: `${b.name}: ${figure(mixed, 'g', 0)} of ${b.mix.base.name} in one cup heats itself to about ${figure(peak, '°C', 0)}; up to ${figure(safe, 'g', 0)} is safe.`,
      mend: 'Mix less at once: in several mixes, or in layers with a gate between.',
      fixes: [
        ...moreTurns(b, Math.ceil((mixed * b.turns) / safe)),
        ...moreLayers(plan, b, filled, mixed / safe)
      ]
    }
  ];
}

/** Its deepest layer poured in several, each mixed for itself; a split mix made cup by cup first. */
function moreLayers(plan: ResolvedPlan, b: Batch, filled: readonly FilledCavitySet[], over: number): Fix[] {
  const cupIds = new Set(b.cups.map((c) => c.id));
  const laid = filled.flatMap((cavitySet) =>
    cavitySet.layers.filter((l) => cupIds.has(l.cupId)).map((layer) => ({ cavitySet, layer }))
  );
  if (!laid.length) return [];
  const { cavitySet, layer } = laid.reduce((x, y) => (y.layer.each > x.layer.each ? y : x));
  const step = plan.steps.find((s) => s.step.id === layer.stepId);
  if (!step) return [];
  const from = b.mix.mix.feeds === 'split' ? eachByItself(plan.plan, b.mix.base.id) : plan.plan;
  const counts = [0, 1, 2].map((more) => Math.ceil(over) + more);
  return counts.flatMap((n): Fix[] => {
    const value = n > 1 && inEqualLayers(from, { step, layer, cavitySet, mix: b.mix }, n);
    if (!value) return [];
    const words = `Pour it in ${n} layers, each mixed for itself, a gate between`;
    return [{ words, edit: { path: [], value } }];
  });
}
