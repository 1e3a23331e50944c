import { correctMix } from '../../dosing';
import { groupOf, type Folding } from './changes';
import type { RunEvent } from './events';
import { inOf, type TaskState } from './state';
import type { WeighTask } from '../tasks/task';

type OnTask = Extract<RunEvent, { task: string }>;
type Of<K extends OnTask['type']> = Extract<OnTask, { type: K }>;

/** What each kind of event does to the task it names. */
const DOES: { [K in OnTask['type']]: (f: Folding, entry: TaskState, event: Of<K>) => void } = {
  weighed: (_, entry, { at, grams }) => {
    Object.assign(entry, { status: 'done', actual: grams, doneAt: at });
    delete entry.assumed;
  },
  added: (_, entry, { grams }) => {
    entry.actual = (inOf(entry) ?? 0) + grams;
    delete entry.assumed;
  },
  done,
  skipped: (f, entry, { at }) => skip(f, entry, at),
  checked: (f, _, { task, condition }) => f.checked.add(`${task}#${condition}`),
  chosen: (f, _, { task }) => (f.chosen = task),
  swapped: (_, entry, { instead, colourantId }) =>
    (entry.instead = { name: instead, ...(colourantId === undefined ? {} : { colourantId }) }),
  overdosed: (_, entry, { way }) => (entry.over = way),
  gestured: (_, entry, { times }) => (entry.extra = (entry.extra ?? 0) + times),
  repeated: (_, entry, { at }) => repeat(entry, at),
  postponed: (_, entry, { until }) => (entry.until = until),
  misplaced: (f, entry, { id, at, grams, groupId, cavity }) => {
    const of = 'mixId' in entry.task ? entry.task.mixId : '';
    f.mishaps.push({ id, at, kind: 'misplaced', of, grams, groupId, ...(cavity ? { cavity } : {}) });
    groupOf(f, groupId).lastPour = at;
  }
};

/** What an event does to the task it names. */
export function onTask(f: Folding, event: OnTask, entry: TaskState): void {
  (DOES[event.type] as (f: Folding, entry: TaskState, event: OnTask) => void)(f, entry, event);
}

function done(f: Folding, entry: TaskState, event: Extract<RunEvent, { type: 'done' }>): void {
  const { task } = entry;
  const { at, grams } = event;
  // Nothing was read: it counts as aimed at, and is told as unread.
  if (task.kind === 'weigh' && grams === undefined) entry.assumed = task.grams * scaleSoFar(f, task.mixId);
  Object.assign(entry, { status: 'done', doneAt: at });
  if (grams !== undefined) entry.actual = grams;
  if (task.kind === 'pour') groupOf(f, task.groupId).lastPour = at;
  if (task.kind !== 'demould') return;
  const group = groupOf(f, task.groupId);
  group.demoulded = at;
  if (group.lastPour !== undefined) group.lastInMould ??= group.lastPour;
}

/** Once more; with the last of its times it is done. */
function repeat(entry: TaskState, at: number): void {
  entry.repeats = (entry.repeats ?? 0) + 1;
  entry.lastAt = at;
  delete entry.until;
  const times = entry.task.kind === 'do' ? (entry.task.times ?? 1) : 1;
  if (entry.repeats >= times) Object.assign(entry, { status: 'done', doneAt: at });
}

/** How much bigger a mix has become by the parts that are in. */
function scaleSoFar(f: Folding, mixId: string): number {
  if (f.accepted.has(mixId)) return 1;
  const parts = f.tasks.flatMap((t) =>
    t.task.kind === 'weigh' && t.task.mixId === mixId && t.task.part && !t.task.byEye && t.status === 'done'
      ? [{ key: t.task.key, target: t.task.grams, actual: inOf(t) ?? 0 }]
      : []
  );
  return correctMix(parts).scale;
}

function skip(f: Folding, entry: TaskState, at: number): void {
  Object.assign(entry, { status: 'skipped', doneAt: at });
  // Enough by eye: no further step of the same colour is wanted.
  if (entry.task.kind === 'weigh' && entry.task.creeps)
    for (const later of creepsAfter(f.tasks, entry.task))
      Object.assign(later, { status: 'skipped', doneAt: at });
}

/** The steps of a creeping colour after one of them. */
const creepsAfter = (tasks: readonly TaskState[], task: WeighTask) =>
  tasks.filter(
    (t) =>
      t.task.kind === 'weigh' &&
      t.task.mixId === task.mixId &&
      t.task.key === task.key &&
      (t.task.creeps ?? 1) > (task.creeps ?? 1)
  );
