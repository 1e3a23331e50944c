import { EXOTHERM_LIMIT, materials } from '../../material';
import { coolsAs, type Room } from '../../cure';
import { inPlan, type Diagnostic } from '../../problem';
import type { ResolvedMix, ResolvedPlan } from '../resolve';
import { notDeeper } from '../fixes/layering';
import { roomIn } from '../room';
import { figure } from '../../quantity';

/** Within its card's depth a layer is said to run hot only past what the cure model errs by, °C. */
const HOT = EXOTHERM_LIMIT + 5;

/**
 * A layer that is deeper than its resin takes at once: past its card's limit, or so deep that it runs hot in this room. A note
 * where it is past the card's depth alone and cools by its sides.
 */
export function layerTooDeep({ plan }: ResolvedPlan, laid: Parameters<typeof notDeeper>[1]): Diagnostic[] {
  const { base } = laid.mix;
  const { layer } = laid;
  const depth = layer.to - layer.from;
  // Walls between chambers are warm on both sides: there a layer cools by its faces alone.
  const cools = layer.chamber ? depth : coolsAs(layer.each, depth, laid.cavitySet.filledMl);
  const card = materials.of(base).depthLimit?.(base) ?? Infinity;
  const peak = layerPeak(laid.mix, cools, roomIn(plan.bench));
  const hot = peak > HOT;
  if (depth <= card + 1e-9 && !hot) return [];
  const limit = hot ? Math.min(card, coolDepth(laid.mix, depth, roomIn(plan.bench))) : card;
  const compact = cools <= card && !hot;
  const takes = `${base.name} takes ${figure(card, 'mm')} at once`;
  const heats = figure(peak, '°C', 0);
  const why = hot ? `; it heats itself to about ${heats}` : `; ${takes} before it overheats`;
  const cool = `, and ${takes}; so narrow a piece cools by its sides and stays at about ${heats}`;
  return [
    {
      code: 'layer-too-deep',
      by: depth,
      level: compact ? 'note' : 'warn',
      ...inPlan('steps', laid.step.step.id, 'act', 'amount'),
      sentence: `This layer is ${figure(depth, 'mm', 1)} deep${compact ? cool : why}.`,
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
