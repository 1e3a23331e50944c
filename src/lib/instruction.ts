import type { Computed, PlanFile } from '$core/plan';
import { fail, ok, type Result } from '$core/problem';
import { duration, parseQuantity } from '$core/quantity';
import type { RunState, Task, WeighTask } from '$core/run';

/** What to do now, in words and figures for the run's screen. */
export type Instruction = {
  key: string;
  title: string;
  hint: string;
  confirm: string;
  cupId?: string;
  groupId?: string;
} & (
  | {
      kind: 'weigh';
      task: WeighTask;
      /** Grams to add; and what stands on the display before and after, by the plan's way of reading. */
      target: number;
      before: number;
      topUp: boolean;
    }
  | { kind: 'prepare'; task: Extract<Task, { kind: 'prepare' }> }
  | { kind: 'stir'; task: Extract<Task, { kind: 'stir' }> }
  | { kind: 'pour'; task: Extract<Task, { kind: 'pour' }> }
  | { kind: 'gate'; task: Extract<Task, { kind: 'gate' }> }
  | { kind: 'demould'; task: Extract<Task, { kind: 'demould' }> }
);

/** Words for a task, before it is anyone's turn. */
export function taskWords(task: Task, computed: Computed): { act: string; rest: string } {
  const cup = 'cupId' in task ? computed.cups.find((c) => c.cupId === task.cupId) : undefined;
  const group = 'groupId' in task ? computed.groups.find((g) => g.groupId === task.groupId) : undefined;
  switch (task.kind) {
    case 'prepare':
      return { act: 'Make ready', rest: 'the mould, the cups, your gloves' };
    case 'weigh':
      return {
        act: 'Weigh',
        rest: `${task.name} into ${task.vessel ? `the ${task.vessel} jug` : `cup ${cup?.letter}`}`
      };
    case 'stir':
      return { act: 'Stir', rest: `cup ${cup?.letter} · ${duration(task.minutes)}` };
    case 'pour':
      return { act: 'Pour', rest: `cup ${cup?.letter} ${cup?.name} into ${group?.name}` };
    case 'gate':
      return { act: 'Wait', rest: `until ${group?.name} are ${task.state}` };
    case 'demould':
      return { act: 'Demould', rest: `${group?.name}` };
  }
}

/** The instruction of the moment: a top-up before anything else, then the first open task; none at the end. */
export function instructionOf(
  run: RunState,
  computed: Computed,
  snapshot: PlanFile
): Instruction | undefined {
  const task = run.topUp?.task ?? run.now?.task;
  if (!task) return undefined;
  const { act, rest } = taskWords(task, computed);
  const common = {
    key: run.topUp ? `topup:${task.id}` : task.id,
    title: `${act} ${rest}`,
    ...('cupId' in task ? { cupId: task.cupId } : {}),
    ...('groupId' in task ? { groupId: task.groupId } : {})
  };
  switch (task.kind) {
    case 'weigh': {
      const cumulative = snapshot.plan.readings === 'cumulative';
      const inCup = run.tasks
        .filter(
          ({ task: t, status }) =>
            t.kind === 'weigh' && t.cupId === task.cupId && t.vessel === task.vessel && status === 'done'
        )
        .reduce((s, t) => s + (t.actual ?? 0), 0);
      const target = run.topUp ? run.topUp.grams : (run.now?.target ?? task.grams);
      const division = computed.division;
      const rounded = Math.round(Math.round(target / division) * division * 1e6) / 1e6;
      return {
        ...common,
        ...(run.topUp ? { title: `Top up ${task.name} in the same cup` } : {}),
        kind: 'weigh',
        task,
        target: rounded,
        before: cumulative ? inCup : 0,
        topUp: !!run.topUp,
        confirm: run.topUp ? 'Topped up' : 'It is in',
        hint:
          task.startsClock && !run.topUp ? 'the clock starts when the parts meet' : 'slowly towards the end'
      };
    }
    case 'prepare':
      return {
        ...common,
        kind: 'prepare',
        task,
        confirm: 'Ready',
        hint: 'mould clean and level, cups marked, gloves on'
      };
    case 'stir':
      return { ...common, kind: 'stir', task, confirm: 'Stirred', hint: 'slowly, scraping sides and bottom' };
    case 'pour':
      return { ...common, kind: 'pour', task, confirm: 'Poured', hint: 'low and slow, down the middle' };
    case 'gate':
      return {
        ...common,
        kind: 'gate',
        task,
        confirm: 'Go on',
        hint: 'a fingertip test at the edge of one cavity tells more than the clock'
      };
    case 'demould':
      return {
        ...common,
        kind: 'demould',
        task,
        confirm: 'Demoulded',
        hint: 'flex the mould away, do not pull the piece'
      };
  }
}

/** Grams as typed into a run; a bare number is grams. */
export function typedGrams(text: string): Result<number> {
  const read = parseQuantity(text, { kind: 'mass', bare: 'g' });
  if (!read.ok) return read;
  return read.value.value >= 0
    ? ok(read.value.value)
    : fail({
        code: 'grams-negative',
        path: '',
        sentence: 'A weight cannot be less than nothing.',
        mend: 'Check the figure.'
      });
}
