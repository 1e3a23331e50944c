import type { Weighing } from '../../batch';
import type { RunFigures } from '../snapshot/figures';
import type { FigureMix } from '../snapshot/figures';
import { jarId } from '../../schedule';
import type { GateTask } from '../tasks/task';
import { inOf, type RunState, type TaskState } from '../log/state';

const MINUTE = 60_000;

/** Planned beside actual, for one thing that was measured. */
export interface Fact {
  id: string;
  what: string;
  unit: 'g' | '%' | 'min';
  planned: number;
  actual?: number;
}

const fact = (id: string, what: string, unit: Fact['unit'], figures: [number, number | undefined]): Fact => ({
  id,
  what,
  unit,
  planned: figures[0],
  ...(figures[1] === undefined ? {} : { actual: figures[1] })
});

/** Every measured fact of a run: weights, percentages that came of them, pours and waits. */
export function factsOf(computed: RunFigures, state: RunState): Fact[] {
  const cups = computed.cups.flatMap((cup) =>
    cup.mixes.flatMap((mix) =>
      mixFacts(mix, `${cup.name}${cup.mixes.length > 1 ? `, mix ${mix.turn}` : ''}`, state)
    )
  );
  const splitMixes = computed.common.flatMap((mix) =>
    mix.weighings.map((w) =>
      fact(`weigh:${mix.mixId}:${w.key}`, `the mix: ${w.name}`, 'g', [
        w.weight,
        weighedOf(state, mix.mixId, w.key)
      ])
    )
  );
  const jars = computed.letDowns.flatMap((l, i) =>
    [['colourant', l.name, l.colourant] as const, ['carrier', l.carrierName, l.carrier] as const].flatMap(
      ([key, name, grams]) => {
        const id = `weigh:${jarId(i + 1)}:${key}`;
        // Runs that were begun before let-downs were weighed in them have no such task.
        if (!state.tasks.some((t) => t.task.id === id)) return [];
        const what = `${l.name}, thinned 1 : ${l.parts}: ${name}`;
        return [fact(id, what, 'g', [grams, weighedOf(state, jarId(i + 1), key)])];
      }
    )
  );
  return [...jars, ...cups, ...splitMixes, ...state.tasks.flatMap((t) => taskFacts(t, computed, state))];
}

function mixFacts(mix: FigureMix, name: string, state: RunState): Fact[] {
  return mix.weighings.flatMap((w) => {
    const what = `${name}: ${w.name}`;
    const grams = fact(`weigh:${mix.mixId}:${w.key}`, what, 'g', [
      w.weight,
      weighedOf(state, mix.mixId, w.key)
    ]);
    if (w.kind !== 'colourant') return [grams];
    const percent: [number, number | undefined] = [w.percent ?? 0, actualPercent(mix, state, w)];
    return [grams, fact(`percent:${mix.mixId}:${w.key}`, what, '%', percent)];
  });
}

/** What a pour took and how long a wait was. */
function taskFacts(
  { task, status, actual, doneAt }: TaskState,
  computed: RunFigures,
  state: RunState
): Fact[] {
  const group = 'groupId' in task ? computed.groups.find((g) => g.groupId === task.groupId) : undefined;
  const since = (zero: number | undefined) =>
    doneAt !== undefined && zero !== undefined ? (doneAt - zero) / MINUTE : undefined;
  switch (task.kind) {
    case 'pour': {
      const cup = computed.cups.find((c) => c.cupId === task.cupId);
      const planned = task.gramsEach * task.count;
      const poured = status === 'done' ? (actual ?? planned) : undefined;
      return [fact(task.id, `${cup?.name} into ${group?.name}`, 'g', [planned, poured])];
    }
    case 'gate':
      return [fact(task.id, `wait: ${task.state}`, 'min', [task.minutes, since(zeroBefore(state, task))])];
    case 'demould': {
      const { lastInMould, lastPour } = state.groups.get(task.groupId) ?? {};
      const zero = lastInMould ?? lastPour;
      return [fact(task.id, `demould ${group?.name}`, 'min', [task.from, since(zero)])];
    }
    default:
      return [];
  }
}

/** What a wait counts from, ms: the meeting of another mix’s parts where it holds a mix back, else the last pour before it. */
function zeroBefore(state: RunState, task: GateTask): number | undefined {
  const [first] = task.all ?? [];
  if (task.holds === undefined || first?.condition.kind !== 'since') return pouredBefore(state, task.id);
  const { zero } = first.condition;
  return 'mixMet' in zero ? state.cups.get(zero.mixMet)?.zero : undefined;
}

/** When the last pour before a task was done, ms. */
function pouredBefore(state: RunState, taskId: string): number | undefined {
  const index = state.tasks.findIndex((t) => t.task.id === taskId);
  const own = state.tasks[index]?.task;
  const groupId = own && 'groupId' in own ? own.groupId : undefined;
  return state.tasks
    .slice(0, index)
    .filter((t) => t.task.kind === 'pour' && t.task.groupId === groupId)
    .at(-1)?.doneAt;
}

/** What went into a mix of one key in all, g: steps towards a colour added up; undefined before the first is in. */
export function weighedOf(state: RunState, mixId: string, key: string): number | undefined {
  const mine = state.tasks.filter(
    (t) => t.task.kind === 'weigh' && t.task.mixId === mixId && t.task.key === key && t.actual !== undefined
  );
  return mine.length ? mine.reduce((s, t) => s + t.actual!, 0) : undefined;
}

/** What is in a mix of one key, g, what was not read taken as it was aimed at; undefined before the first is in. */
export function inMix(state: RunState, mixId: string, key: string): number | undefined {
  const mine = state.tasks.filter(
    (t) => t.task.kind === 'weigh' && t.task.mixId === mixId && t.task.key === key && inOf(t) !== undefined
  );
  return mine.length ? mine.reduce((s, t) => s + inOf(t)!, 0) : undefined;
}

/** The percentage a colourant really came to: planned × (its actual over planned) ÷ (the parts' actual over planned). */
function actualPercent(mix: FigureMix, state: RunState, own: Weighing): number | undefined {
  const grams = weighedOf(state, mix.mixId, own.key);
  if (grams === undefined) return undefined;
  const parts = mix.weighings.filter((w) => w.kind === 'part');
  const weighed = parts.map((w) => weighedOf(state, mix.mixId, w.key));
  if (weighed.some((g) => g === undefined)) return undefined;
  const ofPlan = weighed.reduce<number>((s, g) => s + g!, 0) / parts.reduce((s, w) => s + w.exact, 0);
  return ((own.percent ?? 0) * (grams / own.exact)) / ofPlan;
}
