import { foldCup } from './cup';
import { effective, isKnown, type AnyEvent, type RunEvent } from './events';
import type { CupState, GroupState, RunState, TaskState, TopUp } from './state';
import type { Task, WeighTask } from './task';

/** A run's state while it is folded. */
interface Folding {
  tasks: TaskState[];
  byId: Map<string, TaskState>;
  cups: Map<string, CupState>;
  groups: Map<string, GroupState>;
  felt: Map<string, { state: string; at: number }>;
  probed: Map<string, { celsius: number; at: number }>;
  checked: Set<string>;
  accepted: Set<string>;
  left: Map<string, number>;
  notes: RunState['notes'];
  wasted: RunState['wasted'];
  strays: RunState['strays'];
  conductor?: string;
  finishedAt?: number;
  topUp?: TopUp;
}

/**
 * Folds events into the state of a run. Pure; the same events, in any order and however often each arrived,
 * give the same state. `division` is the scale's: a top-up smaller than two divisions and half a percent
 * is left alone.
 */
export function foldRun(tasks: readonly Task[], events: readonly AnyEvent[], division: number): RunState {
  const states = tasks.map((task): TaskState => ({ task, status: 'open' }));
  const f: Folding = {
    tasks: states,
    byId: new Map(states.map((t) => [t.task.id, t])),
    cups: new Map(),
    groups: new Map(),
    felt: new Map(),
    probed: new Map(),
    checked: new Set(),
    accepted: new Set(),
    left: new Map(),
    notes: [],
    wasted: [],
    strays: []
  };
  const named = namesIn(tasks);
  const happened = effective(events);
  for (const event of happened) {
    const stray = strayOf(event, f, named);
    if (stray !== undefined) f.strays.push({ event, sentence: stray });
    else happen(f, event as RunEvent);
  }
  for (const mixId of new Set(
    tasks.flatMap((t) => (t.kind === 'weigh' || t.kind === 'fill' ? [t.mixId] : []))
  ))
    f.cups.set(mixId, foldCup(f, mixId, division));
  const now = f.tasks.find((t) => t.status === 'open');
  const undoable = happened.findLast((e) => e.type !== 'conducts');
  const { byId: _byId, accepted: _accepted, ...state } = f;
  return { ...state, ...(now ? { now } : {}), ...(undoable ? { undoable } : {}) };
}

/** Ids that events of this run may name. */
function namesIn(tasks: readonly Task[]): { cups: Set<string>; groups: Set<string> } {
  const cups = new Set<string>();
  const groups = new Set<string>();
  for (const task of tasks) {
    if ('mixId' in task) cups.add(task.mixId);
    if ('cupId' in task) cups.add(task.cupId);
    if ('groupId' in task) groups.add(task.groupId);
    if ('groupIds' in task) for (const id of task.groupIds) groups.add(id);
  }
  return { cups, groups };
}

/** Why an event cannot be folded in, in words; undefined where it can. */
function strayOf(
  event: AnyEvent,
  f: Folding,
  named: { cups: ReadonlySet<string>; groups: ReadonlySet<string> }
): string | undefined {
  if (!isKnown(event))
    return `A newer version of Kirapen wrote this (“${event.type}”); this one cannot show it.`;
  if ('task' in event && !f.byId.has(event.task)) return `This run has no task “${event.task}”.`;
  if ('cupId' in event && !named.cups.has(event.cupId)) return `This run has no cup “${event.cupId}”.`;
  if ('groupId' in event && !named.groups.has(event.groupId))
    return `This run has no cavities “${event.groupId}”.`;
  if (event.type === 'probed' && !named.cups.has(event.of) && !named.groups.has(event.of))
    return `This run has nothing called “${event.of}” to probe.`;
  return undefined;
}

function happen(f: Folding, event: RunEvent): void {
  if ('task' in event) return onTask(f, event, f.byId.get(event.task)!);
  const { at } = event;
  switch (event.type) {
    case 'left':
      f.left.set(event.cupId, event.grams);
      break;
    case 'reported':
      groupOf(f, event.groupId).reported = { state: event.state, at };
      break;
    case 'felt':
      f.felt.set(event.cupId, { state: event.state, at });
      break;
    case 'probed':
      f.probed.set(event.of, { celsius: event.celsius, at });
      break;
    case 'accepted':
      f.accepted.add(event.cupId);
      break;
    case 'restarted':
      restart(f, event.cupId);
      break;
    case 'note':
    case 'problem':
      f.notes.push({ id: event.id, at, text: event.text, problem: event.type === 'problem' });
      break;
    case 'conducts':
      f.conductor = event.device;
      break;
    case 'finished':
      f.finishedAt = at;
      break;
  }
}

/** A mix is begun again: its weighings and its stir are open once more, and what was in is wasted. */
function restart(f: Folding, mixId: string): void {
  f.accepted.delete(mixId);
  for (const entry of f.tasks) {
    const { task, actual, doneAt } = entry;
    if ((task.kind !== 'weigh' && task.kind !== 'stir') || task.mixId !== mixId) continue;
    if (task.kind === 'weigh' && actual !== undefined && doneAt !== undefined)
      f.wasted.push({ task, grams: actual, at: doneAt });
    entry.status = 'open';
    delete entry.actual;
    delete entry.doneAt;
  }
}

/** What an event does to the task it names. */
function onTask(f: Folding, event: Extract<RunEvent, { task: string }>, entry: TaskState): void {
  const { at } = event;
  switch (event.type) {
    case 'weighed':
      Object.assign(entry, { status: 'done', actual: event.grams, doneAt: at });
      break;
    case 'added':
      entry.actual = (entry.actual ?? 0) + event.grams;
      break;
    case 'done':
      Object.assign(entry, { status: 'done', doneAt: at });
      if (event.grams !== undefined) entry.actual = event.grams;
      if (entry.task.kind === 'pour') groupOf(f, entry.task.groupId).lastPour = at;
      if (entry.task.kind === 'demould') groupOf(f, entry.task.groupId).demoulded = at;
      break;
    case 'skipped':
      Object.assign(entry, { status: 'skipped', doneAt: at });
      // Enough by eye: no further step of the same colour is wanted.
      if (entry.task.kind === 'weigh' && entry.task.creeps)
        for (const later of creepsAfter(f.tasks, entry.task))
          Object.assign(later, { status: 'skipped', doneAt: at });
      break;
    case 'checked':
      f.checked.add(`${event.task}#${event.condition}`);
      break;
  }
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

function groupOf(f: Folding, id: string): GroupState {
  const known = f.groups.get(id);
  if (known) return known;
  const fresh: GroupState = {};
  f.groups.set(id, fresh);
  return fresh;
}
