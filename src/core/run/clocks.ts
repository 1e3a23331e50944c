import type { Score } from '../schedule';
import type { RunState } from './state';

const MINUTE = 60_000;

/** A clock on the run screen. Times in ms since 1970. */
export interface Clock {
  id: string;
  kind: 'pour' | 'gate' | 'demould' | 'late';
  /** Which cup or group it belongs to. */
  of: string;
  zero: number;
  due: number;
}

/** The clocks that run now, most pressing first: cups still to pour, the gate waited for, demould's two edges. */
export function clocksOf(score: Pick<Score, 'windows'>, state: RunState): Clock[] {
  return [...pourClocks(score, state), ...gateClock(state), ...demouldClocks(state)].sort(
    (a, b) => a.due - b.due
  );
}

const pourClocks = (score: Pick<Score, 'windows'>, state: RunState): Clock[] =>
  score.windows.flatMap((window): Clock[] => {
    const zero = state.cups.get(window.mixId)?.zero;
    const toPour = state.tasks.some(
      (t) => t.task.kind === 'pour' && t.task.mixId === window.mixId && t.status === 'open'
    );
    if (zero === undefined || !toPour) return [];
    const due = zero + (window.to - window.zero) * MINUTE;
    return [{ id: `pour:${window.mixId}`, kind: 'pour', of: window.cupId, zero, due }];
  });

function gateClock(state: RunState): Clock[] {
  const now = state.now?.task;
  const zero = now?.kind === 'gate' ? state.groups.get(now.groupId)?.lastPour : undefined;
  if (now?.kind !== 'gate' || zero === undefined) return [];
  return [{ id: now.id, kind: 'gate', of: now.groupId, zero, due: zero + now.minutes * MINUTE }];
}

const demouldClocks = (state: RunState): Clock[] =>
  state.tasks.flatMap(({ task, status }): Clock[] => {
    if (task.kind !== 'demould' || status !== 'open') return [];
    const zero = state.groups.get(task.groupId)?.lastPour;
    const pouring = state.tasks.some(
      (t) => t.task.kind === 'pour' && t.task.groupId === task.groupId && t.status === 'open'
    );
    if (zero === undefined || pouring) return [];
    return [
      { id: task.id, kind: 'demould', of: task.groupId, zero, due: zero + task.from * MINUTE },
      { id: `late:${task.groupId}`, kind: 'late', of: task.groupId, zero, due: zero + task.to * MINUTE }
    ];
  });
