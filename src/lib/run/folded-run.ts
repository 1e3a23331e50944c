import { foldRun, type AnyEvent, type FrozenRun, type RunState } from '$core/run';

/** The state of a run, folded from what it froze and what happened. */
export const foldedRun = (
  frozen: Pick<FrozenRun, 'tasks' | 'computed'>,
  events: readonly AnyEvent[]
): RunState => foldRun(frozen.tasks, events, frozen.computed.division);
