import type { RunState } from '../log/state';
import type { Task } from '../tasks/task';

/**
 * The stage of which a photo is worth having now, in words; undefined where none is, or one was taken. As poured, before the
 * surface changes; the open face once it has set; the show face as it comes out: what inspection and the next run are compared with.
 */
export function worthAPhoto(state: RunState, task: Task): string | undefined {
  const stage = stageOf(state, task);
  return stage === undefined || state.photos.some((p) => p.stage === stage) ? undefined : stage;
}

function stageOf(state: RunState, task: Task): string | undefined {
  const done = state.tasks.filter((t) => t.status === 'done').map((t) => t.task);
  const last = done.at(-1);
  if (task.kind === 'gate' && last?.kind === 'pour')
    return `layer ${pouredIn(state, last.groupId)} as poured`;
  if (task.kind === 'demould') return 'the open face as it set';
  return last?.kind === 'demould' ? 'the show face as it came out' : undefined;
}

const pouredIn = (state: RunState, groupId: string): number =>
  state.tasks.filter((t) => t.status === 'done' && t.task.kind === 'pour' && t.task.groupId === groupId)
    .length;
