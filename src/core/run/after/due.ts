import { materials } from '../../material';
import { acts } from '../../pour';
import type { FrozenRun } from '../snapshot/frozen';
import { gateIdOf, gateOpening, statesIn, type Moment } from '../tasks/gate';
import { groupsOf, isReady, orderOf } from '../tasks/ready';
import { demouldNow, refitGate } from '../times/refit';
import type { RunState, TaskState } from '../log/state';
import type { GateTask, Task } from '../tasks/task';

const MINUTE = 60_000;

/** Something that is done to what was poured, with both edges of its window, ms. */
export interface Due {
  /** What is done, and the wait before it where there is one: both are closed by doing it. */
  task: Task;
  gate?: GateTask;
  /** In words: “Demould knobs 1–6”, “Spray the slab, 2 of 4”. */
  what: string;
  groupIds: readonly string[];
  /** Pieces it concerns. */
  pieces: number;
  from: number;
  to?: number;
  /** What it costs to do it before, and after. */
  early?: string;
  late?: string;
}

/**
 * What a run is due for once it is poured, soonest first: demoulding, and every act after it that nothing else holds up but its
 * own wait; and the next layer, while one is still to come. The one rule for every place that says what is due.
 */
export function dueOf(frozen: FrozenRun, state: RunState, moment: Moment): Due[] {
  const pouring = new Set(
    state.tasks.flatMap((t) => (t.task.kind === 'pour' && t.status === 'open' ? [t.task.groupId] : []))
  );
  const poured = (task: Task) => groupsOf(task).every((id) => !pouring.has(id));
  const order = orderOf(frozen.tasks);
  const next = nextLayer(frozen, state, moment);
  const byId = new Map(state.tasks.map((t) => [t.task.id, t]));
  const after = state.tasks
    .filter((t) => t.status === 'open' && groupsOf(t.task).length > 0 && poured(t.task))
    .filter((t) => t.task.kind === 'do' || t.task.kind === 'demould')
    .flatMap((entry) => {
      const gates = gatesBefore(entry.task, state);
      const ready = readyWith(entry.task, gates, order, byId);
      return ready ? (dueTask(frozen, state, { entry, gates, moment }) ?? []) : [];
    });
  return [...next, ...after].sort((a, b) => a.from - b.from);
}

/** The wait in hand while there is still something to pour: the next layer. */
function nextLayer(frozen: FrozenRun, state: RunState, moment: Moment): Due[] {
  const task = state.now?.task;
  const pouring =
    task?.kind === 'gate' &&
    state.tasks.some((t) => t.task.kind === 'pour' && t.task.groupId === task.groupId && t.status === 'open');
  if (task?.kind !== 'gate' || !pouring) return [];
  const opens = openingOf(frozen, state, task, moment);
  if (!Number.isFinite(opens)) return [];
  const group = frozen.computed.groups.find((g) => g.groupId === task.groupId);
  return [
    {
      task,
      what: `Pour on: ${group?.name ?? 'the mould'} ${task.state}`,
      groupIds: [task.groupId],
      pieces: group?.count ?? 0,
      from: opens,
      early: 'colours run together',
      late: 'the layers may part'
    }
  ];
}

/** When a wait opens, by what is read and told of what it waits for, ms; infinite where only a probe or a look tells. */
const openingOf = (frozen: FrozenRun, state: RunState, gate: GateTask, moment: Moment): number =>
  gateOpening(refitGate(frozen, state, gate).gate, state, moment, statesIn(frozen.computed, gate.groupId))
    .opensAt;

/** The open waits that stand right before a task: they are its own. */
function gatesBefore(task: Task, state: RunState): GateTask[] {
  if (!('stepId' in task)) return [];
  return state.tasks.flatMap((t) =>
    t.task.kind === 'gate' && t.task.stepId === task.stepId && t.status === 'open' ? [t.task] : []
  );
}

/** Whether nothing but its own waits holds a task up. */
function readyWith(
  task: Task,
  gates: readonly GateTask[],
  order: ReturnType<typeof orderOf>,
  byId: ReadonlyMap<string, TaskState>
): boolean {
  const own = new Set(gates.map((g) => g.id));
  const held = (id: string): boolean =>
    (order.get(id) ?? []).some((b) => (own.has(b) ? held(b) : byId.get(b)?.status === 'open'));
  return gates.length ? !held(task.id) : isReady(task.id, order, byId);
}

interface Asked {
  entry: TaskState;
  gates: readonly GateTask[];
  moment: Moment;
}

function dueTask(frozen: FrozenRun, state: RunState, { entry, gates, moment }: Asked): Due | undefined {
  const { task } = entry;
  if (task.kind !== 'do' && task.kind !== 'demould') return undefined;
  const groupIds = groupsOf(task);
  const names = frozen.computed.groups.filter((g) => groupIds.includes(g.groupId)).map((g) => g.name);
  const pieces = frozen.file.plan.groups
    .filter((g) => groupIds.includes(g.id))
    .reduce((s, g) => s + g.count, 0);
  const window =
    task.kind === 'demould'
      ? demouldWindow(frozen, state, task)
      : actWindow(frozen, state, { entry, gates, moment });
  if (!window) return undefined;
  const times = task.kind === 'do' && task.times ? `, ${(entry.repeats ?? 0) + 1} of ${task.times}` : '';
  const what = task.kind === 'demould' ? `Demould ${names.join(', ')}` : `${task.act} ${task.rest}${times}`;
  return {
    task,
    ...(gates[0] ? { gate: gates[0] } : {}),
    what,
    groupIds,
    pieces,
    ...window,
    from: Math.max(window.from, entry.until ?? 0),
    ...costOf(frozen, task)
  };
}

function demouldWindow(frozen: FrozenRun, state: RunState, task: Extract<Task, { kind: 'demould' }>) {
  const zero = state.groups.get(task.groupId)?.lastPour;
  if (zero === undefined) return undefined;
  const { from, to } = demouldNow(frozen, state, task);
  return { from: zero + from.now * MINUTE, to: zero + to.now * MINUTE };
}

/** When an act after the pour may be done: once its waits open; again so long after the last time; else since what came before. */
function actWindow(frozen: FrozenRun, state: RunState, { entry, gates, moment }: Asked) {
  const { task } = entry;
  if (task.kind === 'do' && entry.lastAt !== undefined)
    return { from: entry.lastAt + (task.every ?? 0) * MINUTE };
  const opens = gates.map((g) => openingOf(frozen, state, g, moment));
  const since = Math.max(0, ...state.tasks.flatMap((t) => (isBefore(t, task) ? [t.doneAt ?? 0] : [])));
  const from = Math.max(since, ...opens);
  // What only a look or a probe opens has no time: it may be now.
  return { from: Number.isFinite(from) ? from : since, ...latest(frozen, state, task, gates) };
}

/** Whether something was done to the same cavities. */
const isBefore = ({ task: before, status }: TaskState, task: Task): boolean =>
  status === 'done' && groupsOf(before).some((id) => groupsOf(task).includes(id));

/** The latest a step may be done, where its plan says so. */
function latest(frozen: FrozenRun, state: RunState, task: Task, gates: readonly GateTask[]) {
  const step = 'stepId' in task ? frozen.file.plan.steps.find((s) => s.id === task.stepId) : undefined;
  const own = new Set(gates.map(gateIdOf));
  const after = step?.gates.find((g) => own.has(g.id) && g.notAfter)?.notAfter;
  const zero =
    after && 'demoulded' in after.zero ? state.groups.get(after.zero.demoulded)?.demoulded : undefined;
  return zero === undefined ? {} : { to: zero + after!.minutes * MINUTE };
}

function costOf({ computed, file }: FrozenRun, task: Task): Pick<Due, 'early' | 'late'> {
  if (task.kind === 'demould') {
    const cupId = computed.groups.find((g) => g.groupId === task.groupId)?.layers[0]?.cupId;
    const baseId = computed.cups.find((c) => c.cupId === cupId)?.baseId;
    const kind = computed.bases.find((b) => b.baseId === baseId)?.kind;
    return materials.find(kind)?.demould ?? {};
  }
  const step = 'stepId' in task ? file.plan.steps.find((s) => s.id === task.stepId) : undefined;
  return (step && acts.find(step.act.kind)?.edges) ?? {};
}
