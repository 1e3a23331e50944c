import { duration, figure } from '../quantity';
import { debriefOf, factsOf, type FrozenRun, type RunState, type Task } from '../run';

/** One thing that was otherwise in two runs, as each had it; nothing where one had none. */
export interface Difference {
  what: string;
  a: string;
  b: string;
}

/** A run as it is compared. */
export interface Compared {
  frozen: FrozenRun;
  state: RunState;
}

/** Figures nearer than this, as a share, are the same: a hand is no more exact. */
const SAME = 0.02;

type Facts = Map<string, { words: string; figure?: number }>;

/**
 * Every logged fact that differs between two runs: where, of what, in which order, how much, how warm and how long. What follows
 * from another (a weight from a percentage) is told once.
 */
export function differences(a: Compared, b: Compared): Difference[] {
  const [of, other] = [factsIn(a), factsIn(b)];
  const whats = [...new Set([...of.keys(), ...other.keys()])];
  return whats.flatMap((what) => {
    const [x, y] = [of.get(what), other.get(what)];
    const alike =
      x?.figure !== undefined && y?.figure !== undefined
        ? Math.abs(x.figure - y.figure) <= SAME * Math.max(Math.abs(x.figure), Math.abs(y.figure))
        : x?.words === y?.words;
    return alike ? [] : [{ what, a: x?.words ?? '', b: y?.words ?? '' }];
  });
}

function factsIn({ frozen, state }: Compared): Facts {
  const facts: Facts = new Map();
  const { computed, file } = frozen;
  const { plan } = file;
  const say = (what: string, words: string, figure?: number) =>
    facts.set(what, { words, ...(figure === undefined ? {} : { figure }) });
  const room = state.room?.celsius ?? plan.bench.roomCelsius;
  say('room', figure(room, '°C'), room);
  say('base', computed.bases.map((x) => x.name).join(', '));
  say(
    'mould',
    [
      ...new Set(plan.groups.map((g) => file.shelf.moulds.find((m) => m.id === g.mouldId)?.name ?? g.mouldId))
    ].join(', ')
  );
  say('pieces', String(computed.totals.pieces), computed.totals.pieces);
  for (const [i, line] of computed.lines.entries()) say(`step ${i + 1}`, line.line);
  for (const f of factsOf(computed, state))
    if (f.unit === '%') say(f.what, `${(f.actual ?? f.planned).toFixed(2)} %`, f.actual ?? f.planned);
  for (const [i, g] of debriefOf(frozen, state).gates.entries())
    say(`wait ${i + 1}, until ${g.state}`, duration(g.waited), g.waited);
  for (const f of factsOf(computed, state))
    if (f.id.startsWith('demould:') && f.actual !== undefined) say(f.what, duration(f.actual), f.actual);
  for (const m of state.mishaps) say(`${m.kind}: ${nameIn(frozen, m.of)}`, figure(m.grams, 'g', 1), m.grams);
  sayTasks({ frozen, state }, say);
  sayStates({ frozen, state }, say);
  return facts;
}

type Say = (what: string, words: string, figure?: number) => unknown;

/** What happened at each task: left out, made more often, weighed off its target, stirred or done for too short. */
function sayTasks({ frozen, state }: Compared, say: Say): void {
  const done = state.tasks.flatMap((t) => t.doneAt ?? []).sort((a, b) => a - b);
  for (const entry of state.tasks) {
    const name = taskName(frozen, entry.task);
    if (entry.status === 'skipped') say(name, 'left out');
    if (entry.extra) say(`${name}, more than planned`, String(entry.extra), entry.extra);
    sayAmount(entry, name, say);
    const took = cutShort(entry, done);
    if (took !== undefined) say(`${name}, for`, duration(took), took);
  }
}

type Entry = RunState['tasks'][number];

/** A part or a pour that was off its target: another target is told by what it comes from. */
function sayAmount({ task, actual, target }: Entry, name: string, say: Say): void {
  if (actual === undefined) return;
  if (task.kind === 'pour' && isOff(actual, task.gramsEach * task.count, 1))
    say(name, figure(actual, 'g', 1), actual);
  if (task.kind !== 'weigh' || !(task.part || task.takeOut)) return;
  const aimed = target ?? task.grams;
  if (aimed > 0 && isOff(actual, aimed, task.division))
    say(name, `${figure(actual, 'g', 1)} for ${figure(aimed, 'g', 1)}`, actual / aimed);
}

/** Minutes that a task took where that was less than it is to take; longer may be a pause, and says nothing. */
function cutShort({ task, status, doneAt }: Entry, done: readonly number[]): number | undefined {
  const before = doneAt === undefined ? undefined : done.findLast((at) => at < doneAt);
  if (status !== 'done' || doneAt === undefined || before === undefined) return undefined;
  const took = (doneAt - before) / 60_000;
  return took < minutesOf(task) * SHORT ? took : undefined;
}

/** Off a target by more than a hand is. */
const isOff = (grams: number, aimed: number, division: number): boolean =>
  Math.abs(grams - aimed) > Math.max(SAME * aimed, 1.5 * division);

/** Under this share of its minutes something was cut short. */
const SHORT = 0.8;

/** Minutes that a task is to take with nothing else done. */
const minutesOf = (task: Task): number =>
  task.kind === 'stir' ? task.minutes : task.kind === 'do' ? task.attended + task.unattended : 0;

/** States that the hand told and temperatures that a probe read, of every cup and every group, the last of each. */
function sayStates({ frozen, state }: Compared, say: Say): void {
  for (const [id, { reported }] of state.groups)
    if (reported) say(`told of ${nameIn(frozen, id)}`, reported.state);
  for (const [id, { state: felt }] of state.felt) say(`told of ${nameIn(frozen, id)}`, felt);
  for (const [id, { celsius }] of state.probed)
    say(`probe in ${nameIn(frozen, id)}`, figure(celsius, '°C'), celsius);
}

/** How a cup, a pot or cavities are called. */
function nameIn({ computed }: FrozenRun, id: string): string {
  const cup = computed.cups.find((c) => c.cupId === id || c.mixes.some((m) => m.mixId === id));
  if (cup) return `cup ${cup.letter}`;
  if (computed.common.some((m) => m.mixId === id)) return 'the mixing pot';
  return computed.groups.find((g) => g.groupId === id)?.name ?? 'a jar';
}

/** A task by what it is done to. */
function taskName(frozen: FrozenRun, task: Task): string {
  switch (task.kind) {
    case 'weigh':
      return `${nameIn(frozen, task.mixId)}: ${task.name}`;
    case 'pour':
      return `${(task.act ?? 'pour').toLowerCase()} ${nameIn(frozen, task.cupId)} into ${nameIn(frozen, task.groupId)}`;
    case 'stir':
      return `stir ${nameIn(frozen, task.mixId)}`;
    case 'fill':
      return `fill ${nameIn(frozen, task.cupId)}`;
    case 'gate':
      return `wait until ${task.state}`;
    case 'demould':
      return `demould ${nameIn(frozen, task.groupId)}`;
    case 'prepare':
      return 'make ready';
    default:
      return `${task.act} ${task.rest}`.toLowerCase();
  }
}

/** Differences that a maker chose or caused; a step’s place in the list moves with those before it. */
export const changesIn = (all: readonly Difference[]): number =>
  all.filter((d) => !d.what.startsWith('step ')).length +
  (all.some((d) => d.what.startsWith('step ')) ? 1 : 0);
