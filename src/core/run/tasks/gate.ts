import type { Condition, Zero } from '../../document';
import { whenWas } from '../../schedule';
import type { RunFigures } from '../snapshot/figures';
import type { RunState } from '../log/state';
import { isMaking, type GateTask, type Task } from './task';

const MINUTE = 60_000;

/** The states that what lies in a group's cavities passes through, in order. */
export function statesIn(computed: RunFigures, groupId: string): RunFigures['bases'][number]['states'] {
  const cupId = computed.groups.find((g) => g.groupId === groupId)?.layers[0]?.cupId;
  const baseId = computed.cups.find((c) => c.cupId === cupId)?.baseId;
  return computed.bases.find((b) => b.baseId === baseId)?.states ?? [];
}

/** Whether a gate is open, by which right, and when it opens by minutes, ms. */
export interface GateOpening {
  open: boolean;
  by?: 'state' | 'minutes' | 'probe' | 'clock' | 'checked' | 'nothing';
  /** When it opens by the clock alone; infinite where only a probe or a look tells. */
  opensAt: number;
  conditions: { words: string; met: boolean; opensAt: number; look: boolean; celsius?: number }[];
}

/** The plan's gate that a task waits at: its id without the turn. */
export const gateIdOf = (task: { id: string }): string => task.id.replace(/^gate:/, '').replace(/~\d+$/, '');

/** The moment a gate is judged at, ms, and the start of that day by the bench's own clock. */
export interface Moment {
  now: number;
  dayStart: number;
}

type Opening = Pick<GateOpening, 'open' | 'by' | 'opensAt'>;

/**
 * Judges a gate: open when every condition is met. A state when the hand reported it (or a later one of the
 * material's states, in order), or when its minutes are over; a temperature when a probe read it.
 */
export function gateOpening(
  gate: GateTask,
  state: RunState,
  moment: Moment,
  states: readonly { state: string }[]
): GateOpening {
  const all = gate.all ?? [plainState(gate)];
  const judged = all.map(({ condition, minutes }, i) =>
    judge({ gate, state, moment, states, condition, minutes, i })
  );
  const open = judged.every((j) => j.open);
  // What opened last is what is worth saying.
  const last = judged.reduce((a, b) => (b.opensAt >= a.opensAt ? b : a));
  const told = judged.find((j) => j.open && j.by !== 'minutes' && j.by !== 'clock');
  return {
    open,
    ...(open ? { by: (told ?? last).by ?? 'minutes' } : {}),
    opensAt: Math.max(...judged.map((j) => (j.open ? Math.min(j.opensAt, moment.now) : j.opensAt))),
    conditions: all.map(({ words, condition }, i) => ({
      words,
      met: judged[i]!.open,
      opensAt: judged[i]!.opensAt,
      look: condition.kind === 'checked',
      ...(condition.kind === 'probe' ? { celsius: condition.celsius } : {})
    }))
  };
}

/** A state as it follows *is* or *are*: what is named by a noun is come to. */
export const inState = (state: string): string => (state.endsWith('trace') ? `at ${state}` : state);

/** Whether a gate waits for a state of the layer below alone: only then are its minutes counted from the last pour. */
export const waitsForLayer = (gate: GateTask): boolean =>
  (gate.all ?? [plainState(gate)]).every(
    ({ condition }) => condition.kind === 'state' && condition.of === 'layer below'
  );

/** A gate frozen before gates had conditions: the layer below, in a state or after minutes. */
const plainState = (gate: GateTask) => ({
  condition: { kind: 'state' as const, state: gate.state, of: 'layer below' as const },
  words: gate.state,
  minutes: gate.minutes
});

interface Case {
  gate: GateTask;
  state: RunState;
  moment: Moment;
  states: readonly { state: string }[];
  condition: Condition;
  minutes: number | undefined;
  i: number;
}

function judge(c: Case): Opening {
  const { condition, state, moment } = c;
  switch (condition.kind) {
    case 'state':
      return judgeState(c, condition);
    case 'since': {
      const dry = 'demoulded' in condition.zero ? dryAt(state, condition.zero.demoulded) : undefined;
      if (dry !== undefined) return { open: true, by: 'checked', opensAt: dry };
      const zero = zeroIn(state, condition.zero);
      return zero === undefined && isZeroLeftOut(state, condition.zero)
        ? { open: true, by: 'nothing', opensAt: moment.now }
        : byMinutes(zero, condition.minutes, moment.now);
    }
    case 'probe': {
      const read = state.probed.get('cup' in condition.of ? condition.of.cup : condition.of.cavity);
      return read && read.celsius >= condition.celsius
        ? { open: true, by: 'probe', opensAt: read.at }
        : { open: false, opensAt: Infinity };
    }
    case 'clock': {
      const [hours, minutes] = condition.at.split(':').map(Number);
      const opensAt = moment.dayStart + (hours! * 60 + minutes!) * MINUTE;
      return moment.now >= opensAt ? { open: true, by: 'clock', opensAt } : { open: false, opensAt };
    }
    case 'checked':
      return state.checked.has(`${c.gate.id}#${c.i}`)
        ? { open: true, by: 'checked', opensAt: -Infinity }
        : { open: false, opensAt: Infinity };
  }
}

function judgeState(c: Case, condition: Extract<Condition, { kind: 'state' }>): Opening {
  const { state, moment, states } = c;
  const rank = (name: string) => states.findIndex((s) => s.state === name);
  const cup = condition.of === 'layer below' ? undefined : condition.of.cup;
  const zero = cup === undefined ? state.groups.get(c.gate.groupId)?.lastPour : state.cups.get(cup)?.zero;
  if (zero === undefined && isLeftOut(c, cup)) return { open: true, by: 'nothing', opensAt: moment.now };
  const report = cup === undefined ? state.groups.get(c.gate.groupId)?.reported : state.felt.get(cup);
  if (report && report.at >= (zero ?? 0) && rank(report.state) >= rank(condition.state))
    return { open: true, by: 'state', opensAt: report.at };
  return c.minutes === undefined
    ? { open: false, opensAt: Infinity }
    : byMinutes(zero ?? moment.now, c.minutes, moment.now);
}

/** Whether all of some tasks were left out, at least one of them: what waits for them waits for nothing. */
function areLeftOut(state: RunState, of: (task: Task) => boolean): boolean {
  const found = state.tasks.filter(({ task }) => of(task));
  return found.length > 0 && found.every(({ status }) => status === 'skipped');
}

/** Whether what a gate feels for was left out: a cup that was not made, every pour before it. */
function isLeftOut({ state, gate }: Case, cup: string | undefined): boolean {
  const at = state.tasks.findIndex((t) => t.task.id === gate.id);
  const before = new Set(state.tasks.slice(0, at).map((t) => t.task));
  return areLeftOut(state, (task) =>
    cup === undefined
      ? task.kind === 'pour' && task.groupId === gate.groupId && before.has(task)
      : isMaking(task) && isOfCup(task, cup)
  );
}

const isOfCup = (task: Task, cup: string): boolean =>
  ('cupId' in task && task.cupId === cup) || ('mixId' in task && task.mixId === cup);

/** Whether what a wait is counted from was left out. */
const isZeroLeftOut = (state: RunState, zero: Zero): boolean => {
  const left = (of: (task: Task) => boolean) => (areLeftOut(state, of) ? 1 : undefined);
  const ofCup = (id: string) => left((t) => isMaking(t) && isOfCup(t, id));
  const known = whenWas(zero, {
    met: ofCup,
    coloured: ofCup,
    done: (id) => left((t) => 'stepId' in t && t.kind !== 'gate' && t.stepId === id),
    demoulded: (id) => left((t) => t.kind === 'demould' && t.groupId === id)
  });
  return known !== undefined;
};

function byMinutes(zero: number | undefined, minutes: number, now: number): Opening {
  const opensAt = zero === undefined ? Infinity : zero + minutes * MINUTE;
  return now >= opensAt ? { open: true, by: 'minutes', opensAt } : { open: false, opensAt };
}

/** Two weighings of a drying piece this far apart, h, that differ by less than a share say that it is dry. Usual practice. */
const APART_HOURS = 20;
const SAME_WEIGHT = 0.002;

/** When two weighings of a group's piece a day apart said that it is dry, ms; they stand for the days of a fixed wait. */
export function dryAt(state: RunState, groupId: string): number | undefined {
  const weighed = (state.groups.get(groupId)?.dried ?? []).toSorted((a, b) => a.at - b.at);
  const last = weighed.at(-1);
  const before = weighed.findLast((w) => last !== undefined && last.at - w.at >= APART_HOURS * 60 * MINUTE);
  return last && before && Math.abs(last.grams / before.grams - 1) < SAME_WEIGHT ? last.at : undefined;
}

/** When a zero really was, ms. */
const zeroIn = (state: RunState, zero: Zero): number | undefined =>
  whenWas(zero, {
    met: (id) => state.cups.get(id)?.zero,
    coloured: (id) => state.cups.get(id)?.coloured,
    done: (id) => lastDone(state, id),
    demoulded: (id) => state.groups.get(id)?.demoulded
  });

/** When the last task of a step was done, ms. */
function lastDone(state: RunState, stepId: string): number | undefined {
  const done = state.tasks.filter(
    ({ task, status }) =>
      'stepId' in task && task.kind !== 'gate' && task.stepId === stepId && status === 'done'
  );
  return done.length ? Math.max(...done.map((t) => t.doneAt ?? 0)) : undefined;
}
