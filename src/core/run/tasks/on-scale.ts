import type { RunState, TaskState } from '../log/state';
import type { WeighTask } from './task';

/**
 * Whether what is weighed goes into a vessel that does not stand on the scale any more, or not yet, so that it is put
 * there and tared: another one, a small dish each time, or one that was stirred, heated or poured from meanwhile.
 */
export function isPutOnScale(run: RunState, task: WeighTask): boolean {
  const last = run.tasks
    .filter((t) => t.doneAt !== undefined && t.task.id !== task.id)
    .reduce<TaskState | undefined>((a, b) => (a && a.doneAt! > b.doneAt! ? a : b), undefined)?.task;
  if (last?.kind !== 'weigh' || task.boat || last.boat) return true;
  return last.mixId !== task.mixId || last.vessel !== task.vessel;
}
