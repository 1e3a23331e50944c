import type { FrozenRun } from '../snapshot/frozen';
import { gateOpening, statesIn, type Moment } from '../tasks/gate';
import { demouldNow, pourUntilNow, refitGate, type Moved } from './refit';
import type { RunState } from '../log/state';

const MINUTE = 60_000;

/** A clock on the run screen. Times in ms since 1970. */
export interface Clock {
  id: string;
  kind: 'pour' | 'gate' | 'demould' | 'late';
  /** Which cup or group it belongs to. */
  of: string;
  zero: number;
  due: number;
  /** It is another than planned, and why. */
  moved?: Moved;
}

/**
 * The clocks that run now, most pressing first: cups still to pour, the gate waited for, demould's two edges. Estimates follow
 * what was read while the run goes on.
 */
export function clocksOf(frozen: FrozenRun, state: RunState, moment: Moment): Clock[] {
  return [
    ...pourClocks(frozen, state),
    ...gateClock(frozen, state, moment),
    ...demouldClocks(frozen, state)
  ].sort((a, b) => a.due - b.due);
}

const pourClocks = (frozen: FrozenRun, state: RunState): Clock[] =>
  frozen.computed.score.windows.flatMap((window): Clock[] => {
    const zero = state.cups.get(window.mixId)?.zero;
    const toPour = state.tasks.some(
      (t) => t.task.kind === 'pour' && t.task.mixId === window.mixId && t.status === 'open'
    );
    const until = pourUntilNow(frozen, state, window.mixId);
    if (zero === undefined || !toPour || !until || state.lost.has(window.mixId)) return [];
    return [
      {
        id: `pour:${window.mixId}`,
        kind: 'pour',
        of: window.cupId,
        zero,
        due: zero + until.now * MINUTE,
        ...movedBy(until)
      }
    ];
  });

const movedBy = (m: Moved | undefined) => (m && m.now !== m.planned ? { moved: m } : {});

/** The wait in hand, by the gate's own judgement: it runs out when the gate opens, whatever its time is counted from. */
function gateClock(frozen: FrozenRun, state: RunState, moment: Moment): Clock[] {
  const now = state.now?.task;
  if (now?.kind !== 'gate') return [];
  const { gate, moved } = refitGate(frozen, state, now);
  const { open, opensAt } = gateOpening(gate, state, moment, statesIn(frozen.computed, now.groupId));
  // Where only a look or a probe tells, no clock does.
  if (!Number.isFinite(opensAt)) return [];
  const clock = { id: now.id, kind: 'gate' as const, of: now.groupId, due: opensAt };
  return [{ ...clock, zero: opensAt - gate.minutes * MINUTE, ...(open ? {} : movedBy(moved)) }];
}

const demouldClocks = (frozen: FrozenRun, state: RunState): Clock[] =>
  state.tasks.flatMap(({ task, status }): Clock[] => {
    if (task.kind !== 'demould' || status !== 'open') return [];
    const zero = state.groups.get(task.groupId)?.lastPour;
    const pouring = state.tasks.some(
      (t) => t.task.kind === 'pour' && t.task.groupId === task.groupId && t.status === 'open'
    );
    if (zero === undefined || pouring) return [];
    const { from, to } = demouldNow(frozen, state, task);
    const clock = { of: task.groupId, zero };
    return [
      { ...clock, id: task.id, kind: 'demould', due: zero + from.now * MINUTE, ...movedBy(from) },
      { ...clock, id: `late:${task.groupId}`, kind: 'late', due: zero + to.now * MINUTE, ...movedBy(to) }
    ];
  });
