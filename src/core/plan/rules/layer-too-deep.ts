import { materials } from '../../material';
import { inPlan, type Diagnostic } from '../../problem';
import type { Plan } from '../../document';
import { notDeeper } from '../fixes/layering';
import { figure } from '../../quantity';

/** A layer that is deeper than its resin takes at once. */
export function layerTooDeep(plan: Plan, laid: Parameters<typeof notDeeper>[1]): Diagnostic[] {
  const { base } = laid.mix;
  const depth = laid.layer.to - laid.layer.from;
  const limit = materials.of(base).depthLimit?.(base);
  if (limit === undefined || depth <= limit + 1e-9) return [];
  return [
    {
      code: 'layer-too-deep',
      level: 'warn',
      ...inPlan('steps', laid.step.step.id, 'act', 'amount'),
      sentence: `This layer is ${figure(depth, 'mm', 1)} deep; ${base.name} takes ${figure(limit, 'mm')} at once before it overheats.`,
      mend: `Pour it in layers of at most ${figure(limit, 'mm')}, each once the one below has gelled.`,
      fixes: notDeeper(plan, laid, limit)
    }
  ];
}
