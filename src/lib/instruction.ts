import { commonId, type Computed, type PlanFile } from '$core/plan';
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
  mixId?: string;
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
    case 'weigh': {
      const into = task.vessel ? `the ${task.vessel} jug` : vesselWords(task, cup);
      if (task.takeOut) return { act: 'Take out', rest: `uncoloured base, from ${into}` };
      if (task.creeps) return { act: 'Add', rest: `more ${task.name} to ${into}, by eye` };
      return { act: task.counted ? 'Count' : 'Weigh', rest: `${task.name} into ${into}` };
    }
    case 'stir':
      return { act: 'Stir', rest: `${vesselWords(task, cup)} · ${duration(task.minutes)}` };
    case 'pour':
      return { act: 'Pour', rest: `cup ${cup?.letter} ${cup?.name} into ${group?.name}` };
    case 'gate':
      return { act: 'Wait', rest: `until ${group?.name} are ${task.state}` };
    case 'demould':
      return { act: 'Demould', rest: `${group?.name}` };
  }
}

/** What is being filled: the common mix, a cup, or one of several mixes of it. */
function vesselWords(
  task: { cupId: string; mixId: string },
  cup: Computed['cups'][number] | undefined
): string {
  if (task.cupId === commonId) return 'the mixing pot';
  const mix = cup?.mixes.find((m) => m.mixId === task.mixId);
  return `cup ${cup?.letter}${cup && mix && cup.mixes.length > 1 ? `, mix ${mix.turn} of ${cup.mixes.length}` : ''}`;
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
    ...('cupId' in task ? { cupId: task.cupId, mixId: task.mixId } : {}),
    ...('groupId' in task ? { groupId: task.groupId } : {})
  };
  switch (task.kind) {
    case 'weigh': {
      const cumulative = snapshot.plan.readings === 'cumulative';
      const inCup = run.tasks
        .filter(
          ({ task: t, status }) =>
            t.kind === 'weigh' && t.mixId === task.mixId && t.vessel === task.vessel && status === 'done'
        )
        .reduce((s, t) => s + (t.task.kind === 'weigh' && t.task.takeOut ? -1 : 1) * (t.actual ?? 0), 0);
      const target = run.topUp ? run.topUp.grams : (run.now?.target ?? task.grams);
      const { division } = task;
      const rounded = Math.round(Math.round(target / division) * division * 1e6) / 1e6;
      return {
        ...common,
        ...(run.topUp ? { title: `Top up ${task.name} in the same cup` } : {}),
        kind: 'weigh',
        task,
        target: rounded,
        // What comes out, or is weighed in a boat, is read alone.
        before: cumulative && !task.boat && !task.takeOut ? inCup : 0,
        topUp: !!run.topUp,
        confirm: run.topUp ? 'Topped up' : task.takeOut ? 'It is out' : 'It is in',
        hint: run.topUp ? 'slowly towards the end' : weighHint(task, snapshot)
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
      return {
        ...common,
        kind: 'pour',
        task,
        confirm: 'Poured',
        hint: task.how ?? 'low and slow, down the middle'
      };
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

function weighHint(task: WeighTask, snapshot: PlanFile): string {
  const scale = snapshot.shelf.scales.find((s) => s.id === task.scaleId);
  if (task.counted) return `${task.counted}, counted slowly; type what they weigh if you know`;
  if (task.takeOut) return 'into a clean cup, before any colour goes in';
  if (task.creeps) return 'look at a trial smear first; E when it is enough';
  if (task.boat) return `in a boat on the ${scale?.name ?? 'finer scale'}, then tip it in`;
  if (task.startsClock) return 'the clock starts when the parts meet';
  return scale && scale.id !== snapshot.plan.scaleId
    ? `on the ${scale.name}; slowly towards the end`
    : 'slowly towards the end';
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
