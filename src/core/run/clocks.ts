import type { Computed } from '../plan/compute';
import type { RunState } from './fold';

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

/** Whether a gate is open, by which right, and when it opens by minutes, ms. */
export interface GateOpening {
  open: boolean;
  by?: 'state' | 'minutes';
  opensAt: number;
}

/** Judges a gate at a time against the material's states in order: open when the hand reported the state (or a later one), or the minutes are over. */
export function gateOpening(
  gate: { groupId: string; state: string; minutes: number },
  state: RunState,
  now: number,
  states: readonly { state: string }[]
): GateOpening {
  const rank = (name: string) => states.findIndex((s) => s.state === name);
  const group = state.groups[gate.groupId];
  const opensAt = (group?.lastPour ?? now) + gate.minutes * MINUTE;
  const report = group?.reported;
  if (report && report.at >= (group?.lastPour ?? 0) && rank(report.state) >= rank(gate.state))
    return { open: true, by: 'state', opensAt };
  return now >= opensAt ? { open: true, by: 'minutes', opensAt } : { open: false, opensAt };
}

/** The clocks that run now, most pressing first: cups still to pour, the gate waited for, demould's two edges. */
export function clocksOf(computed: Computed, state: RunState): Clock[] {
  const clocks: Clock[] = [];
  for (const window of computed.score.windows) {
    const zero = state.cups[window.mixId]?.zero;
    const toPour = state.tasks.some(
      (t) => t.task.kind === 'pour' && t.task.mixId === window.mixId && t.status === 'open'
    );
    if (zero === undefined || !toPour) continue;
    clocks.push({
      id: `pour:${window.mixId}`,
      kind: 'pour',
      of: window.cupId,
      zero,
      due: zero + (window.to - window.zero) * MINUTE
    });
  }
  const now = state.now?.task;
  if (now?.kind === 'gate') {
    const zero = state.groups[now.groupId]?.lastPour;
    if (zero !== undefined)
      clocks.push({ id: now.id, kind: 'gate', of: now.groupId, zero, due: zero + now.minutes * MINUTE });
  }
  for (const { task, status } of state.tasks) {
    if (task.kind !== 'demould' || status !== 'open') continue;
    const zero = state.groups[task.groupId]?.lastPour;
    const pouring = state.tasks.some(
      (t) => t.task.kind === 'pour' && t.task.groupId === task.groupId && t.status === 'open'
    );
    if (zero === undefined || pouring) continue;
    clocks.push(
      { id: task.id, kind: 'demould', of: task.groupId, zero, due: zero + task.from * MINUTE },
      { id: `late:${task.groupId}`, kind: 'late', of: task.groupId, zero, due: zero + task.to * MINUTE }
    );
  }
  return clocks.sort((a, b) => a.due - b.due);
}
