import { WEIGHING_MINUTES } from '../../schedule';
import type { FrozenRun } from '../snapshot/frozen';
import { gateOpening, inState, statesIn, type Moment } from './gate';
import { isReady, orderOf } from './ready';
import { demouldNow, pourUntilNow, refitGate } from '../times/refit';
import type { RunState, TaskState } from '../log/state';
import { isMaking, type GateTask, type Task } from './task';

const MINUTE = 60_000;

/** A task that may be done now besides the one in hand. Times in ms. */
export interface CouldDo {
  task: Task;
  /** When its window closes, where one runs. */
  due?: number;
  /** Better not before this moment: what it is for would still be waiting. */
  notBefore?: number;
  /** Why not yet, or why soon. */
  why?: string;
}

/**
 * What else the hands may do now, most pressing first: a pour whose window runs before everything, then the next weighing of
 * every mix, and gates that are open. Each mix is offered once. What would only wait is left out, but for the mix that a wait is
 * for: that comes last, with when to begin it.
 */
export function couldDo(frozen: FrozenRun, state: RunState, moment: Moment): CouldDo[] {
  const order = orderOf(listOf(state));
  const byId = new Map(state.tasks.map((t) => [t.task.id, t]));
  const mixes = new Set<string>();
  const now = state.now?.task;
  if (now && 'mixId' in now && now.kind !== 'pour') mixes.add(now.mixId);
  const found = state.tasks.flatMap((entry): CouldDo[] => {
    const { task } = entry;
    if (entry.status !== 'open' || task.id === now?.id || !isReady(task.id, order, byId)) return [];
    if (task.kind === 'weigh' || task.kind === 'make' || task.kind === 'stir' || task.kind === 'fill') {
      if (mixes.has(task.mixId)) return [];
      mixes.add(task.mixId);
    }
    return offered(frozen, state, entry, moment);
  });
  return ranked(found.filter((c) => c.notBefore === undefined || isWorthKnowing(c)));
}

/** Of what is not to be done yet, only the mix that a wait is for is worth a word: when to begin it. */
const isWorthKnowing = ({ task, notBefore = 0 }: CouldDo): boolean =>
  task.kind === 'weigh' && Number.isFinite(notBefore);

function ranked(found: CouldDo[]): CouldDo[] {
  const rank = (c: CouldDo) => (c.notBefore === undefined ? 0 : 1);
  return found.sort((a, b) => rank(a) - rank(b) || (a.due ?? Infinity) - (b.due ?? Infinity));
}

const lists = new WeakMap<readonly TaskState[], readonly Task[]>();
/** The tasks of a state as one list, the same one each time. */
function listOf(state: RunState): readonly Task[] {
  const known = lists.get(state.tasks);
  if (known) return known;
  const list = state.tasks.map((t) => t.task);
  lists.set(state.tasks, list);
  return list;
}

function offered(frozen: FrozenRun, state: RunState, { task }: TaskState, moment: Moment): CouldDo[] {
  switch (task.kind) {
    case 'pour': {
      if (state.lost.has(task.mixId)) return [];
      const zero = state.cups.get(task.mixId)?.zero;
      const until = pourUntilNow(frozen, state, task.mixId);
      if (zero === undefined || !until) return [{ task }];
      return [{ task, due: zero + until.now * MINUTE }];
    }
    case 'gate':
      return gateOf(frozen, state, task, moment).open ? [{ task, why: 'open' }] : [];
    case 'demould': {
      const zero = state.groups.get(task.groupId)?.lastPour;
      if (zero === undefined) return [];
      const edges = demouldNow(frozen, state, task);
      const from = zero + edges.from.now * MINUTE;
      return [
        {
          task,
          due: zero + edges.to.now * MINUTE,
          ...(moment.now < from ? { notBefore: from, why: 'not firm yet' } : {})
        }
      ];
    }
    case 'weigh': {
      const early = tooEarly(frozen, state, task, moment);
      return [{ task, ...early }];
    }
    default:
      return [{ task }];
  }
}

const gateOf = (frozen: FrozenRun, state: RunState, task: GateTask, moment: Moment) =>
  gateOpening(refitGate(frozen, state, task).gate, state, moment, statesIn(frozen.computed, task.groupId));

/** How long a mix is in the making: weighed, heated or joined, and stirred, minutes. */
const making = (state: RunState, mixId: string): number =>
  state.tasks.reduce((s, { task }) => {
    if (!isMaking(task) || task.mixId !== mixId) return s;
    if (task.kind === 'weigh') return s + WEIGHING_MINUTES;
    return s + (task.kind === 'stir' ? task.minutes : task.attended + task.unattended);
  }, 0);

/** A mix whose first pour waits at a gate: begun now, its window would run while the gate is shut. */
function tooEarly(
  frozen: FrozenRun,
  state: RunState,
  task: Extract<Task, { kind: 'weigh' }>,
  moment: Moment
): Pick<CouldDo, 'notBefore' | 'why'> {
  const own = state.tasks.filter((t) => t.task.kind === 'weigh' && t.task.mixId === task.mixId);
  const begun = own.some((t) => t.status !== 'open');
  const pours = state.tasks.findIndex(
    (t) => t.task.kind === 'pour' && serves(frozen, task, t.task) && t.status === 'open'
  );
  const pour = state.tasks[pours]?.task;
  if (begun || pour?.kind !== 'pour') return {};
  // Another layer comes first in the same cavities: when this one's turn is, nothing says yet.
  const below = state.tasks
    .slice(0, pours)
    .some((t) => t.task.kind === 'pour' && t.task.groupId === pour.groupId && t.status === 'open');
  if (below) return { notBefore: Infinity, why: 'another layer goes in first' };
  const gate = state.tasks
    .slice(0, pours)
    .findLast((t) => t.task.kind === 'gate' && t.task.groupId === pour.groupId && t.status === 'open')?.task;
  if (gate?.kind !== 'gate') return {};
  const { open, opensAt } = gateOf(frozen, state, gate, moment);
  if (open) return {};
  const notBefore = opensAt - making(state, task.mixId) * MINUTE;
  return notBefore > moment.now ? { notBefore, why: `it goes on once they are ${inState(gate.state)}` } : {};
}

/** Whether a weighing's mix, or a cup split from it, is what a pour takes. */
function serves(
  { computed }: FrozenRun,
  weigh: Extract<Task, { kind: 'weigh' }>,
  pour: Extract<Task, { kind: 'pour' }>
) {
  if (pour.mixId === weigh.mixId) return true;
  const splitMix = computed.common.find((m) => m.mixId === weigh.mixId);
  const cup = computed.cups.find((c) => c.cupId === pour.cupId);
  return splitMix !== undefined && cup?.mixOf === splitMix.of;
}
