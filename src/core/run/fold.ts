import { correctMix, shareError } from '../dosing';
import { effective, type RunEvent } from './events';
import type { Task, WeighTask } from './tasks';

/** A task with what has become of it. */
export interface TaskState {
  task: Task;
  status: 'done' | 'skipped' | 'open';
  /** For weighings: what to aim at now, g, after any overshoot. */
  target?: number;
  /** What really went in or was poured, g. */
  actual?: number;
  doneAt?: number;
}

/** A cup while it is made. */
export interface CupState {
  /** The batch as a multiple of the plan. */
  scale: number;
  /** When its parts met, ms; its clock's zero. */
  zero?: number;
  /** Grams more (or, negative, less) than planned. */
  surplus: number;
  /** Greatest relative deviation of a part's share from the plan, of what is in; 0 until all parts are. */
  ratioError: number;
  accepted: boolean;
}

/** A top-up that an overshoot asks for before anything else. */
export interface TopUp {
  task: WeighTask;
  grams: number;
}

/** Everything a run's screen shows, folded from its events. */
export interface RunState {
  tasks: TaskState[];
  /** The first open task, if any. */
  now?: TaskState;
  topUp?: TopUp;
  /** By mix: a cup's own id for its first, `id~2` for the next; the common mix's as well. */
  cups: Record<string, CupState>;
  groups: Record<string, { lastPour?: number; reported?: { state: string; at: number } }>;
  notes: { id: string; at: number; text: string; problem: boolean }[];
  /** What was weighed as left over in each cup at the end, g. */
  left: Record<string, number>;
  /** The last event that Undo would take back. */
  undoable?: RunEvent;
  finishedAt?: number;
}

/**
 * Folds events into the state of a run. Pure; the same events, in any order and however often each arrived,
 * give the same state. `division` is the scale's: a top-up smaller than two divisions and half a percent
 * is left alone.
 */
export function foldRun(tasks: readonly Task[], events: readonly RunEvent[], division: number): RunState {
  const state: RunState = {
    tasks: tasks.map((task) => ({ task, status: 'open' })),
    cups: {},
    groups: {},
    notes: [],
    left: {}
  };
  const byId = new Map(state.tasks.map((t) => [t.task.id, t]));
  const accepted = new Set<string>();

  const happened = effective(events);
  for (const event of happened) {
    const entry = 'task' in event ? byId.get(event.task) : undefined;
    switch (event.type) {
      case 'weighed':
        if (entry) Object.assign(entry, { status: 'done', actual: event.grams, doneAt: event.at });
        break;
      case 'added':
        if (entry) entry.actual = (entry.actual ?? 0) + event.grams;
        break;
      case 'done':
        if (!entry) break;
        Object.assign(entry, { status: 'done', doneAt: event.at });
        if (event.grams !== undefined) entry.actual = event.grams;
        if (entry.task.kind === 'pour') groupOf(state, entry.task.groupId).lastPour = event.at;
        break;
      case 'skipped':
        if (!entry) break;
        Object.assign(entry, { status: 'skipped', doneAt: event.at });
        // Enough by eye: no further step of the same colour is wanted.
        if (entry.task.kind === 'weigh' && entry.task.creeps)
          for (const later of creepsAfter(state, entry.task))
            Object.assign(later, { status: 'skipped', doneAt: event.at });
        break;
      case 'left':
        state.left[event.cupId] = event.grams;
        break;
      case 'reported':
        groupOf(state, event.groupId).reported = { state: event.state, at: event.at };
        break;
      case 'accepted':
        accepted.add(event.cupId);
        break;
      case 'note':
      case 'problem':
        state.notes.push({
          id: event.id,
          at: event.at,
          text: event.text,
          problem: event.type === 'problem'
        });
        break;
      case 'finished':
        state.finishedAt = event.at;
        break;
    }
  }

  for (const mixId of new Set(tasks.flatMap((t) => (t.kind === 'weigh' ? [t.mixId] : []))))
    state.cups[mixId] = cupState(state, mixId, accepted.has(mixId), division);
  const now = state.tasks.find((t) => t.status === 'open');
  if (now) state.now = now;
  const last = happened.at(-1);
  if (last) state.undoable = last;
  return state;
}

/** Recomputes one cup from what is in it: parts set the scale, everything still to come follows. */
function cupState(state: RunState, mixId: string, accepted: boolean, division: number): CupState {
  const weighs = state.tasks.filter(
    (t): t is TaskState & { task: WeighTask } => t.task.kind === 'weigh' && t.task.mixId === mixId
  );
  const parts = weighs.filter((t) => t.task.part);
  const mix = correctMix(
    parts.map((t) => ({
      key: t.task.key,
      target: t.task.grams,
      ...(t.status === 'done' ? { actual: t.actual ?? 0 } : {})
    }))
  );
  const scale = accepted ? 1 : mix.scale;
  for (const t of weighs) t.target = t.task.grams * scale;

  const short = parts
    .map((t) => ({ task: t.task, grams: t.task.grams * scale - (t.actual ?? 0), done: t.status === 'done' }))
    .find((t) => t.done && t.grams > Math.max(2 * division, 0.005 * t.task.grams * scale) - 1e-9);
  const stirred = state.tasks.some(
    (t) => t.task.kind === 'stir' && t.task.mixId === mixId && t.status !== 'open'
  );
  if (short && !accepted && !stirred && !state.topUp) state.topUp = { task: short.task, grams: short.grams };

  const all = parts.every((t) => t.status === 'done');
  const portion = weighs.find((t) => t.task.portionOf)?.task.portionOf;
  const zero = portion ? state.cups[portion]?.zero : weighs.find((t) => t.task.startsClock)?.doneAt;
  return {
    scale,
    surplus: parts.reduce(
      (s, t) => s + (t.status === 'done' ? (t.actual ?? 0) : t.task.grams * scale) - t.task.grams,
      0
    ),
    ratioError: all
      ? shareError(
          parts.map((t) => t.actual ?? 0),
          parts.map((t) => t.task.grams)
        )
      : 0,
    accepted,
    ...(zero === undefined ? {} : { zero })
  };
}

/** The steps of a creeping colour after one of them. */
const creepsAfter = (state: RunState, task: WeighTask) =>
  state.tasks.filter(
    (t) =>
      t.task.kind === 'weigh' &&
      t.task.mixId === task.mixId &&
      t.task.key === task.key &&
      (t.task.creeps ?? 1) > (task.creeps ?? 1)
  );

function groupOf(state: RunState, id: string) {
  return (state.groups[id] ??= {});
}
