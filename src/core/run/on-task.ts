import { correctMix } from '../dosing';
import { groupOf, type Folding } from './folding';
import type { RunEvent } from './events';
import { inOf, type TaskState } from './state';
import type { WeighTask } from './task';

/** What an event does to the task it names. */
export function onTask(f: Folding, event: Extract<RunEvent, { task: string }>, entry: TaskState): void {
  const { at } = event;
  switch (event.type) {
    case 'weighed':
      Object.assign(entry, { status: 'done', actual: event.grams, doneAt: at });
      delete entry.assumed;
      break;
    case 'added':
      entry.actual = (inOf(entry) ?? 0) + event.grams;
      delete entry.assumed;
      break;
    case 'done':
      done(f, entry, event);
      break;
    case 'skipped':
      skip(f, entry, at);
      break;
    case 'checked':
      f.checked.add(`${event.task}#${event.condition}`);
      break;
    case 'chosen':
      f.chosen = event.task;
      break;
    case 'swapped':
      entry.instead = {
        name: event.instead,
        ...(event.colourantId === undefined ? {} : { colourantId: event.colourantId })
      };
      break;
    case 'gestured':
      entry.extra = (entry.extra ?? 0) + event.times;
      break;
    case 'misplaced':
      f.mishaps.push({
        id: event.id,
        at,
        kind: 'misplaced',
        of: 'mixId' in entry.task ? entry.task.mixId : '',
        grams: event.grams,
        groupId: event.groupId
      });
      groupOf(f, event.groupId).lastPour = at;
      break;
  }
}

function done(f: Folding, entry: TaskState, event: Extract<RunEvent, { type: 'done' }>): void {
  const { task } = entry;
  const { at, grams } = event;
  // Nothing was read: it counts as aimed at, and is told as unread.
  if (task.kind === 'weigh' && grams === undefined) entry.assumed = task.grams * scaleSoFar(f, task.mixId);
  Object.assign(entry, { status: 'done', doneAt: at });
  if (grams !== undefined) entry.actual = grams;
  if (task.kind === 'pour') groupOf(f, task.groupId).lastPour = at;
  if (task.kind === 'demould') groupOf(f, task.groupId).demoulded = at;
}

/** How much bigger a mix has become by the parts that are in. */
function scaleSoFar(f: Folding, mixId: string): number {
  if (f.accepted.has(mixId)) return 1;
  const parts = f.tasks.flatMap((t) =>
    t.task.kind === 'weigh' && t.task.mixId === mixId && t.task.part && t.status === 'done'
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
