import { EXOTHERM_LIMIT, materials } from '../../material';
import type { Room } from '../../cure';
import { inPlan, type Diagnostic } from '../../problem';
import type { ResolvedMix, ResolvedPlan } from '../resolve';
import { notDeeper } from '../fixes/layering';
import { roomIn } from '../room';
import { figure } from '../../quantity';

/** Within its card's depth a layer is said to run hot only past what the cure model errs by, °C. */
const HOT = EXOTHERM_LIMIT + 5;

/** A layer that is deeper than its resin takes at once: past its card's limit, or so deep that it runs hot in this room. */
export function layerTooDeep({ plan }: ResolvedPlan, laid: Parameters<typeof notDeeper>[1]): Diagnostic[] {
  const { base } = laid.mix;
  const depth = laid.layer.to - laid.layer.from;
  const card = materials.of(base).depthLimit?.(base) ?? Infinity;
  const peak = layerPeak(laid.mix, depth, roomIn(plan.bench));
  const hot = peak > HOT;
  if (depth <= card + 1e-9 && !hot) return [];
  const limit = hot ? Math.min(card, coolDepth(laid.mix, depth, roomIn(plan.bench))) : card;
  const why = hot
    ? `it heats itself to about ${figure(peak, '°C', 0)}`
    : `${base.name} takes ${figure(limit, 'mm')} at once before it overheats`;
  return [
    {
      code: 'layer-too-deep',
      by: depth,
      level: 'warn',
      ...inPlan('steps', laid.step.step.id, 'act', 'amount'),
      sentence: `This layer is ${figure(depth, 'mm', 1)} deep; ${why}.`,
      mend: `Pour it in layers of at most ${figure(limit, 'mm')}, each once the one below has gelled.`,
      fixes: notDeeper(plan, laid, limit)
    }
  ];
}

/** How hot a layer of a mix gets by its own cure, °C; nothing for what has no cure model. */
const layerPeak = ({ behaviour }: ResolvedMix, mm: number, room: Room): number =>
  behaviour.course?.({ layer: Math.max(0.05, mm) }, room).peakCelsius ?? -Infinity;

/** The deepest layer that stays under the limit, whole millimetres, at least one. */
function coolDepth(mix: ResolvedMix, tooDeep: number, room: Room): number {
  let [cool, hot] = [1, tooDeep];
  while (hot - cool > 0.25) {
    const middle = (cool + hot) / 2;
    if (layerPeak(mix, middle, room) > HOT) hot = middle;
    else cool = middle;
  }
  return Math.max(1, Math.floor(cool));
}
