import type { FrozenRun } from '../snapshot/frozen';
import { demouldFromNow, pourUntilNow, refitGate, type Moved } from './refit';
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
export function clocksOf(frozen: FrozenRun, state: RunState): Clock[] {
  return [...pourClocks(frozen, state), ...gateClock(frozen, state), ...demouldClocks(frozen, state)].sort(
    (a, b) => a.due - b.due
  );
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

function gateClock(frozen: FrozenRun, state: RunState): Clock[] {
  const now = state.now?.task;
  const zero = now?.kind === 'gate' ? state.groups.get(now.groupId)?.lastPour : undefined;
  if (now?.kind !== 'gate' || zero === undefined) return [];
  const { gate, moved } = refitGate(frozen, state, now);
  return [
    { id: now.id, kind: 'gate', of: now.groupId, zero, due: zero + gate.minutes * MINUTE, ...movedBy(moved) }
  ];
}

const demouldClocks = (frozen: FrozenRun, state: RunState): Clock[] =>
  state.tasks.flatMap(({ task, status }): Clock[] => {
    if (task.kind !== 'demould' || status !== 'open') return [];
    const zero = state.groups.get(task.groupId)?.lastPour;
    const pouring = state.tasks.some(
      (t) => t.task.kind === 'pour' && t.task.groupId === task.groupId && t.status === 'open'
    );
    if (zero === undefined || pouring) return [];
    const from = demouldFromNow(frozen, state, task);
    return [
      {
        id: task.id,
        kind: 'demould',
        of: task.groupId,
        zero,
        due: zero + from.now * MINUTE,
        ...movedBy(from)
      },
      { id: `late:${task.groupId}`, kind: 'late', of: task.groupId, zero, due: zero + task.to * MINUTE }
    ];
  });
