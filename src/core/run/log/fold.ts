import { foldCup } from './fold-cup';
import { eventsInForce, isKnown, type AnyEvent, type RunEvent } from './events';
import { freshFolding, groupOf, type Folding } from './changes';
import { mishap, restart } from './fold-mishaps';
import { onTask } from './fold-task';
import { isReady, orderOf } from '../tasks/ready';
import type { RunState, TaskState } from './state';
import { isMaking, type Task } from '../tasks/task';

/**
 * Folds events into the state of a run. Pure; the same events, in any order and however often each arrived,
 * give the same state. `division` is the scale's: a top-up smaller than two divisions and half a percent
 * is left alone.
 */
export function foldRun(tasks: readonly Task[], events: readonly AnyEvent[], division: number): RunState {
  const f = freshFolding(tasks);
  const names: Names = { cups: new Set(), groups: new Set() };
  addNames(names, tasks);
  const happened = eventsInForce(events);
  for (const event of happened) {
    const stray = strayOf(event, f, names);
    if (stray !== undefined) f.strays.push({ event, sentence: stray });
    else happen(f, event as RunEvent, names);
  }
  for (const mixId of mixesOf(f.tasks)) f.cups.set(mixId, foldCup(f, mixId, division));
  const now = nowOf(f);
  const undoable = happened.findLast((e) => e.type !== 'conducts' && e.type !== 'chosen');
  const { list: _list, byId: _byId, accepted: _accepted, chosen: _chosen, ...state } = f;
  return { ...state, ...(now ? { now } : {}), ...(undoable ? { undoable } : {}) };
}

const mixesOf = (tasks: readonly TaskState[]): Set<string> =>
  new Set(tasks.flatMap(({ task: t }) => (t.kind === 'weigh' || t.kind === 'fill' ? [t.mixId] : [])));

/** The task in hand: what was chosen and the rest of its mix, while it may be done; else the first that is open. */
function nowOf(f: Folding): TaskState | undefined {
  const first = f.tasks.find((t) => t.status === 'open');
  const chosen = f.chosen === undefined ? undefined : f.byId.get(f.chosen);
  if (!chosen) return first;
  const order = orderOf(f.list);
  const ready = (t: TaskState) => t.status === 'open' && isReady(t.task.id, order, f.byId);
  if (ready(chosen)) return chosen;
  const { task } = chosen;
  if (task.kind !== 'weigh') return first;
  return f.tasks.find((t) => isMaking(t.task) && t.task.mixId === task.mixId && ready(t)) ?? first;
}

/** Ids that events of this run may name. */
interface Names {
  cups: Set<string>;
  groups: Set<string>;
}

function addNames(names: Names, tasks: readonly Task[]): void {
  for (const task of tasks) {
    if ('mixId' in task) names.cups.add(task.mixId);
    if ('cupId' in task) names.cups.add(task.cupId);
    if ('groupId' in task) names.groups.add(task.groupId);
    if ('groupIds' in task) for (const id of task.groupIds) names.groups.add(id);
  }
}

/** Why an event cannot be folded in, in words; undefined where it can. */
function strayOf(event: AnyEvent, f: Folding, named: Names): string | undefined {
  if (!isKnown(event))
    return `A newer version of Kirapen wrote this (“${event.type}”); this one cannot show it.`;
  if ('task' in event && !f.byId.has(event.task)) return `This run has no task “${event.task}”.`;
  const cup = 'cupId' in event ? event.cupId : 'mixId' in event ? event.mixId : undefined;
  if (cup !== undefined && !named.cups.has(cup)) return `This run has no cup “${cup}”.`;
  if ('groupId' in event && !named.groups.has(event.groupId))
    return `This run has no cavities “${event.groupId}”.`;
  if (event.type === 'probed' && !named.cups.has(event.of) && !named.groups.has(event.of))
    return `This run has nothing called “${event.of}” to probe.`;
  return undefined;
}

/** What each kind of event that names no task does. */
const HAPPENS: { [K in Exclude<RunEvent, { task: string }>['type']]?: (f: Folding, e: Of<K>) => void } = {
  left: (f, e) => f.left.set(e.cupId, e.grams),
  reported: (f, e) => (groupOf(f, e.groupId).reported = { state: e.state, at: e.at }),
  felt: (f, e) => f.felt.set(e.cupId, { state: e.state, at: e.at }),
  probed: (f, e) => f.probed.set(e.of, { celsius: e.celsius, at: e.at }),
  accepted: (f, e) => f.accepted.add(e.mixId),
  restarted: (f, e) => restart(f, e.mixId, e.at),
  rewetted: mishap,
  spilled: mishap,
  lost: mishap,
  topped: mishap,
  withdrew: mishap,
  dried: (f, e) => (groupOf(f, e.groupId).dried ??= []).push({ grams: e.grams, at: e.at }),
  ticked: (f, e) => f.ticked.add(e.check),
  room: (f, e) => (f.room = { celsius: e.celsius, at: e.at }),
  replanned: replan,
  // A photo that was sent again after a lost answer is the same photo.
  pictured: (f, e) => {
    if (!f.photos.some((p) => p.id === e.photo)) f.photos.push({ id: e.photo, at: e.at, stage: e.stage });
  },
  note: (f, e) => f.notes.push({ id: e.id, at: e.at, text: e.text, problem: false }),
  problem: (f, e) => f.notes.push({ id: e.id, at: e.at, text: e.text, problem: true }),
  conducts: (f, e) => (f.conductor = e.device),
  finished: (f, e) => (f.finishedAt = e.at)
};
type Of<K extends RunEvent['type']> = Extract<RunEvent, { type: K }>;

function happen(f: Folding, event: RunEvent, names: Names): void {
  if ('task' in event) return onTask(f, event, f.byId.get(event.task)!);
  (HAPPENS[event.type] as ((f: Folding, e: RunEvent) => void) | undefined)?.(f, event);
  if (event.type === 'replanned') addNames(names, event.tasks);
}

/** Other tasks from here on: those that go on keep what became of them, and what was done stays done. */
function replan(f: Folding, { plan, tasks, why, at }: Extract<RunEvent, { type: 'replanned' }>): void {
  const wanted = new Set(tasks.map((t) => t.id));
  const past = f.tasks.filter((t) => t.status !== 'open' && !wanted.has(t.task.id));
  const going = tasks.map((task): TaskState => {
    const known = f.byId.get(task.id);
    return known ? { ...known, task } : { task, status: 'open' };
  });
  f.list = tasks;
  f.tasks = [...past, ...going];
  f.byId = new Map(f.tasks.map((t) => [t.task.id, t]));
  f.replanned = { plan, why, at };
}
