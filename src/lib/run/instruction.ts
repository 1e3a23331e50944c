import { lettered } from '$core/document';
import { countWords } from '$core/dosing';
import type { PlanFile } from '$core/plan';
import type { RunFigures } from '$core/run';
import { spokenFigure } from '$core/preferences';
import { fail, ok, type Result } from '$core/problem';
import {
  about,
  displayOf,
  duration,
  figure,
  numbersIn,
  parseQuantity,
  reading,
  type Message
} from '$core/quantity';
import { inState, MOST_GRAMS, statesIn, type RunState, type Task, type WeighTask } from '$core/run';
import { isJar, isSplitMix, jarPlace } from '$core/schedule';

/** What to do now, in words and figures for the run's screen. */
export type Instruction = {
  key: string;
  title: Message;
  hint: Message;
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
  | OfKind<'prepare'>
  | OfKind<'make'>
  | OfKind<'stir'>
  | OfKind<'fill'>
  | OfKind<'pour'>
  | OfKind<'do'>
  | OfKind<'gate'>
  | OfKind<'demould'>
);

type Kind = Task['kind'];
type TaskOf<K extends Kind> = Extract<Task, { kind: K }>;
interface OfKind<K extends Kind> {
  kind: K;
  task: TaskOf<K>;
}

type Words = { act: string; rest: Message };

/** How far a stir goes, as a hint. */
const STIRS = {
  full: 'slowly, scraping sides and bottom',
  marbled: 'three to six strokes, then stop',
  speckled: 'fold it once or twice; the specks stay'
} as const;

/** The words of every kind of task, before it is anyone's turn. */
const WORDS: { [K in Kind]: (task: TaskOf<K>, c: RunFigures) => Words } = {
  prepare: ({ sitting, after }) =>
    sitting === undefined
      ? { act: 'Make ready', rest: 'the mould, the cups, your gloves' }
      : {
          act: 'Make ready again',
          rest: `for sitting ${sitting}, about ${about(after ?? 0)} after the one before`
        },
  weigh: weighWords,
  make: (task) => ({ act: task.act, rest: task.rest }),
  stir: (task, c) => ({ act: 'Stir', rest: `${vesselWords(task, c)} · ${duration(task.minutes)}` }),
  fill: (task, c) => ({
    act: 'Fill',
    rest: `${vesselWords(task, c)} from ${task.from.map((f) => `cup ${cupOf(c, f.cupId)?.letter ?? ''}`).join(' and ')}`
  }),
  pour: (task, c) => ({
    act: task.act ?? 'Pour',
    rest: `${[task, ...(task.also ?? [])].map((x) => lettered(cupOf(c, x.cupId)!)).join(' and ')} into ${groupOf(c, task)?.name}${numbersIn(task.numbers)}${task.round ? `, round ${task.round.nth} of ${task.round.of}` : ''}`
  }),
  do: (task) => ({ act: task.act, rest: task.rest }),
  gate: (task, c) => ({
    act: 'Wait',
    rest: `until ${layerReady(task, c) ?? task.state}`
  }),
  demould: (task, c) => ({ act: 'Demould', rest: groupOf(c, task)?.name ?? '' })
};

/** A state that the layer below comes to, of the cavities it lies in; a time or a cup's state says itself. */
function layerReady(task: TaskOf<'gate'>, c: RunFigures): string | undefined {
  const group = groupOf(c, task);
  if (
    !group ||
    !task.all?.every(({ condition }) => condition.kind === 'state' && condition.of === 'layer below')
  )
    return undefined;
  return `${group.name} ${group.count === 1 ? 'is' : 'are'} ${inState(task.state)}`;
}

const cupOf = (c: RunFigures, id: string) => c.cups.find((x) => x.cupId === id);
const groupOf = (c: RunFigures, task: { groupId: string; cavitySetId?: string | undefined }) =>
  c.groups.find((g) => g.cavitySetId === task.cavitySetId) ??
  c.groups.find((g) => g.groupId === task.groupId);

/** What stands on the scale for a weighing. */
export const vesselOf = (task: WeighTask, c: RunFigures): string =>
  task.boat ? 'a small dish' : task.vessel ? `the ${task.vessel} jug` : vesselWords(task, c);

function weighWords(task: WeighTask, c: RunFigures): Words {
  const into = vesselOf({ ...task, boat: false }, c);
  if (task.takeOut) return { act: 'Take out', rest: `mix before colour, from ${into}` };
  if (task.creeps) return { act: 'Add', rest: `more ${task.name} to ${into}, by eye` };
  // “sodium hydroxide, into the water”: where it goes is said already.
  const where = task.name.includes(', into ')
    ? `, in ${into}`
    : `${task.name.includes(',') ? ',' : ''} into ${into}`;
  return { act: task.counted ? 'Count' : 'Weigh', rest: `${task.name}${where}` };
}

/** Words for a task, before it is anyone's turn. */
export const taskWords = (task: Task, computed: RunFigures): Words =>
  (WORDS[task.kind] as (task: Task, c: RunFigures) => Words)(task, computed);

/** What is being filled: a pot, a cup, or one of several mixes of it. */
function vesselWords(task: { cupId: string; mixId: string }, c: RunFigures): string {
  if (isSplitMix(task.cupId)) return 'the mixing pot';
  if (isJar(task.cupId)) return jarWords(c, task.cupId);
  const cup = cupOf(c, task.cupId);
  const mix = cup?.mixes.find((m) => m.mixId === task.mixId);
  return `cup ${cup?.letter}${cup && mix && cup.mixes.length > 1 ? `, mix ${mix.turn} of ${cup.mixes.length}` : ''}`;
}

/** A let-down's jar, by what is in it. */
function jarWords(c: RunFigures, cupId: string): string {
  const letDown = c.letDowns[jarPlace(cupId)];
  return letDown ? `the jar of 1 : ${letDown.parts} ${letDown.name}` : 'a jar';
}

/** What the button says of a kind of task, and the hint under its title. */
const SAID: {
  [K in Exclude<Kind, 'weigh'>]: (
    task: TaskOf<K>,
    c: RunFigures,
    file: PlanFile
  ) => { confirm: string; hint: string };
} = {
  prepare: () => ({ confirm: 'Ready', hint: 'mould clean and level, cups marked, gloves on' }),
  make: (task) => ({ confirm: task.confirm, hint: task.how }),
  stir: (task) => ({ confirm: 'Stirred', hint: STIRS[task.mixing ?? 'full'] }),
  fill: () => ({ confirm: 'Filled', hint: 'one after the other, down the side, without stirring' }),
  pour: (task) => ({ confirm: task.confirm ?? 'Poured', hint: task.how ?? 'low and slow, down the middle' }),
  do: (task) => ({ confirm: task.confirm, hint: task.how }),
  gate: (task, c) => ({ confirm: 'Go on', hint: decides(task, c) }),
  demould: (task, _, file) => ({ confirm: 'Demoulded', hint: comesOut(file, task.groupId) })
};

/** How a piece comes out of its mould, by what that is made of. */
function comesOut({ plan, shelf }: PlanFile, groupId: string): string {
  const own = plan.groups.find((g) => g.id === groupId);
  switch (shelf.moulds.find((m) => m.id === own?.mouldId)?.material) {
    case 'aluminium':
      return 'let it cool, then open it; nothing sharp between mould and piece';
    case 'lined timber':
      return 'take its sides off, or lift the piece out by the lining';
    case 'HDPE':
      return 'loosen its walls, turn it over and tap; do not pull the piece';
    default:
      return 'flex the mould away, do not pull the piece';
  }
}

/** What tells that a wait is over. */
function decides(gate: TaskOf<'gate'>, c: RunFigures): string {
  if (gate.holds !== undefined) return 'mixed apart, the cups are as far at one moment';
  const of = (gate.all ?? []).map(({ condition }) => condition);
  const states = of.flatMap((c) => (c.kind === 'state' ? [c.of] : []));
  if (!of.length || states.includes('layer below')) {
    const tell = statesIn(c, gate.groupId).find((s) => s.state === gate.state)?.tell;
    // Some of it is hot, caustic or a sensitiser.
    const how = 'try the edge of one cavity with a stick or a gloved fingertip; it tells more than the clock';
    return tell ? `${tell}: ${how}` : how;
  }
  if (states.length) return 'what runs off the stick tells more than the clock';
  if (of.some((c) => c.kind === 'probe')) return 'the thermometer decides, not the clock';
  return of.some((c) => c.kind === 'checked')
    ? 'look, and say so when it is'
    : 'it stands until then; other work may go on';
}

/** The instruction of the moment: a top-up before anything else, then the first open task; none at the end. */
export function instructionOf(
  run: RunState,
  computed: RunFigures,
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
  if (task.kind === 'weigh') return { ...common, ...weighing(run, task, snapshot) };
  const words = SAID[task.kind] as (
    task: Task,
    c: RunFigures,
    file: PlanFile
  ) => { confirm: string; hint: string };
  const said = words(task, computed, snapshot);
  return { ...common, ...said, kind: task.kind, task } as Instruction;
}

function weighing(run: RunState, task: WeighTask, snapshot: PlanFile) {
  const cumulative = snapshot.plan.bench.readings === 'cumulative';
  const inCup = run.tasks
    .filter(
      ({ task: t, status }) =>
        t.kind === 'weigh' && t.mixId === task.mixId && t.vessel === task.vessel && status === 'done'
    )
    .reduce((s, t) => s + (t.task.kind === 'weigh' && t.task.takeOut ? -1 : 1) * (t.actual ?? 0), 0);
  const target = run.topUp ? run.topUp.grams : (run.now?.target ?? task.grams);
  const { division } = task;
  const done = task.takeOut ? 'Done, taken out' : 'Done, weighed';
  return {
    ...(run.topUp ? { title: `Top up ${task.name} in the same cup` } : {}),
    kind: 'weigh' as const,
    task,
    target: Math.round(Math.round(target / division) * division * 1e6) / 1e6,
    // What comes out, or is weighed in a boat, is read alone.
    before: cumulative && !task.boat && !task.takeOut ? inCup : 0,
    topUp: !!run.topUp,
    confirm: run.topUp ? 'Topped up' : done,
    hint: run.topUp ? 'slowly towards the end' : weighHint(task, target, snapshot)
  };
}

function weighHint(task: WeighTask, target: number, snapshot: PlanFile): string {
  if (isJar(task.cupId))
    return task.key === 'carrier'
      ? 'a little first, rubbed smooth, then the rest'
      : 'made before any clock runs';
  const scale = snapshot.shelf.scales.find((s) => s.id === task.scaleId);
  if (task.counted) return `${countedNow(task, target)}, counted slowly; type what they weigh if you know`;
  if (task.takeOut) return 'into a clean cup, before any colour goes in';
  if (task.byEye)
    return task.creeps ? 'look how it flows first; E when it is enough' : 'most of it now, the rest by eye';
  if (task.creeps) return 'look at a trial smear first; E when it is enough';
  if (task.boat) return `in a small dish on the ${scale?.name ?? 'finer scale'}, then tip it in`;
  if (task.startsClock) return 'the clock starts when you pour it in';
  return scale && scale.id !== snapshot.plan.bench.scaleIds[0]
    ? `on the ${scale.name}; slowly towards the end`
    : 'slowly towards the end';
}

/** A count that follows its cup: more drops where more of the parts went in. */
function countedNow({ counted, countedIn }: WeighTask, target: number): string {
  if (!countedIn) return counted ?? '';
  const { unit, each } = countedIn;
  return countWords({ unit, count: Math.max(1, Math.round(target / each)) });
}

/** An instruction as it is read out: what to do, and how much, a weight in the unit its scale shows. */
export function spokenInstruction(instruction: Instruction): Message {
  const { title } = instruction;
  if (instruction.kind === 'weigh') {
    const { division } = instruction.task;
    return `${title}, ${spokenFigure(reading(instruction.target, division), displayOf(division).symbol)}`;
  }
  if (instruction.kind === 'pour') {
    const { gramsEach, also = [] } = instruction.task;
    const each = [gramsEach, ...also.map((a) => a.gramsEach)].map((g) => figure(g, 'g', 1));
    return `${title}, ${each.join(' and ')} each`;
  }
  return title;
}

/** Grams of a weight typed into a run; a bare number is in the unit that the scale shows. */
export function typedGrams(text: string, unit = 'g'): Result<number> {
  const read = parseQuantity(text, { kind: 'mass', bare: unit });
  if (!read.ok) return read;
  const { value } = read.value;
  if (value < 0)
    return fail({
      code: 'grams-negative',
      path: '',
      sentence: 'A weight cannot be less than nothing.',
      mend: 'Check the figure.'
    });
  if (value > MOST_GRAMS)
    return fail({
      code: 'too-big',
      path: '',
      sentence: `${figure(value, 'g', 0)} is more than half a tonne.`,
      mend: 'Check the figure and its unit.'
    });
  return ok(value);
}
