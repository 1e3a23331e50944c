import { limitOf } from '../../material';
import type { FrozenRun } from '../snapshot/frozen';
import type { RunState } from '../log/state';
import { grownTo } from './overshoot-options';

/** Less than this share over is what any scale does. */
const NOTICED = 0.03;

/** A colour of which more went in than was aimed at: what that makes of it. */
export interface ColourOver {
  name: string;
  /** Its weighing. */
  taskId: string;
  /** Percent as supplied, as planned and as it is now. */
  planned: number;
  now: number;
  /** The most its card or the material takes, percent, and why; where it is past that. */
  past?: { limit: number; reason: string };
  /** How much more of everything else would bring it back to its percentage, a share. */
  more: number;
  /** What the mix would come to then, g, and whether its vessel holds that, in words. */
  total: number;
  room?: string;
  holds: boolean;
}

/**
 * Colours of one mix that went in over their target, and what each does: the percentage it comes to, whether that is past
 * its limit, and how much bigger the mix would have to be. A colour moves no ratio, so nothing else follows it.
 */
export function coloursOver(frozen: FrozenRun, state: RunState, mixId: string): ColourOver[] {
  const cup = frozen.computed.cups.find((c) => c.mixes.some((m) => m.mixId === mixId));
  const base = frozen.file.shelf.bases.find((b) => b.id === cup?.baseId);
  const recipe = frozen.file.plan.cups.find((c) => c.id === cup?.cupId)?.recipe ?? [];
  if (!cup || !base) return [];
  return state.tasks.flatMap(({ task, status, actual, target, over }): ColourOver[] => {
    if (task.kind !== 'weigh' || task.mixId !== mixId || task.part || status !== 'done' || over) return [];
    const line = recipe.find((r) => r.id === task.key);
    const splitMix = frozen.file.shelf.colourants.find((c) => c.id === line?.colourantId);
    const aimed = target ?? task.grams;
    if (!line || !splitMix || task.creeps || actual === undefined || aimed <= 0) return [];
    const times = actual / aimed;
    if (times <= 1 + NOTICED || actual - aimed <= task.division * 1.5) return [];
    const now = line.percent * times;
    const { limit, reason } = limitOf(splitMix, base.kind);
    return [
      {
        name: splitMix.name,
        taskId: task.id,
        planned: line.percent,
        now,
        more: times - 1,
        ...grownTo(frozen, state, mixId, times),
        ...(now > limit * (1 + 1e-9) ? { past: { limit, reason } } : {})
      }
    ];
  });
}
