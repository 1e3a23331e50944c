import { WEIGHING_MINUTES } from '../../schedule';
import { aimedAt } from '../amounts/targets';
import type { FrozenRun } from '../snapshot/frozen';
import { waitsForLayer } from '../tasks/gate';
import { pourUntilNow } from '../times/refit';
import type { RunState, TaskState } from '../log/state';

const MINUTE = 60_000;
/** A pause longer than this many times what an act was planned for is a pause, not the act. */
const PAUSE = 6;
/** Less than this share off the plan's time is no reason to change it. */
const NOTICED = 0.15;

/** A weighing over its target by more than this, as a factor, is worth a word. */
const OVER = 1.03;

/** Time that was taken from the hands: when, and how long, ms. */
export interface Gone {
  at: number;
  ms: number;
}

/** How a run or a rehearsal went against the clock. */
export interface Debrief {
  /** Every mix with a window: minutes from its zero to its last pour, and until when it poured. */
  windows: { mixId: string; cupId: string; until: number; poured: number; met: boolean }[];
  /** Every wait: minutes as estimated and as waited. */
  gates: { taskId: string; state: string; planned: number; waited: number; early: boolean }[];
  /** Every act that keeps the hands: seconds as planned and as spent, for one weighing, stir or cavity. */
  acts: ActTime[];
  /** What to change, in the order it matters. */
  advice: Advice[];
}

/** The hands' time for one kind of act, or for one step. */
export interface ActTime {
  key: string;
  what: string;
  planned: number;
  spent: number;
  times: number;
  /** The step whose pours these are. */
  stepId?: string;
}

/** A change to make: of a window that was missed, a wait, a weighing, or the pace of the hands. */
export interface Advice {
  kind: 'window' | 'wait' | 'weighing' | 'pace';
  sentence: string;
}

/** Sets a run's own times beside its plan's; what was taken from the hands in between counts for no act. */
export function debriefOf(frozen: FrozenRun, state: RunState, gone: readonly Gone[] = []): Debrief {
  const windows = windowsOf(frozen, state);
  const gates = gatesOf(state);
  const acts = actTimes(frozen, state, gone);
  return { windows, gates, acts, advice: adviceOf(frozen, state, { windows, gates, acts }) };
}

function windowsOf(frozen: FrozenRun, state: RunState): Debrief['windows'] {
  return frozen.computed.score.windows.flatMap((w) => {
    const zero = state.cups.get(w.mixId)?.zero;
    const until = pourUntilNow(frozen, state, w.mixId);
    const pours = state.tasks.filter(
      (t) => t.task.kind === 'pour' && t.task.mixId === w.mixId && t.status === 'done'
    );
    if (zero === undefined || !until || !pours.length) return [];
    const poured = (Math.max(...pours.map((t) => t.doneAt ?? 0)) - zero) / MINUTE;
    return [{ mixId: w.mixId, cupId: w.cupId, until: until.now, poured, met: poured <= until.now + 1e-6 }];
  });
}

function gatesOf(state: RunState): Debrief['gates'] {
  return state.tasks.flatMap(({ task, status, doneAt }, i) => {
    // What is counted from another zero than the pour is no wait for a layer.
    if (task.kind !== 'gate' || !waitsForLayer(task) || status !== 'done' || doneAt === undefined) return [];
    const before = state.tasks
      .slice(0, i)
      .findLast((t) => t.task.kind === 'pour' && t.task.groupId === task.groupId && t.status === 'done');
    if (before?.doneAt === undefined) return [];
    const waited = (doneAt - before.doneAt) / MINUTE;
    const reported = state.groups.get(task.groupId)?.reported;
    const told = reported !== undefined && reported.at >= before.doneAt && reported.at <= doneAt;
    return [
      {
        taskId: task.id,
        state: task.state,
        planned: task.minutes,
        waited,
        early: !told && waited < task.minutes * 0.98
      }
    ];
  });
}

/** The tasks that were done, in the order they were, each with the hands' time since the one before. */
function spans(state: RunState, gone: readonly Gone[]): { entry: TaskState; seconds: number }[] {
  const done = state.tasks
    .filter((t) => t.status === 'done' && t.doneAt !== undefined)
    .sort((a, b) => a.doneAt! - b.doneAt!);
  return done.flatMap((entry, i) => {
    if (!i) return [];
    const [from, to] = [done[i - 1]!.doneAt!, entry.doneAt!];
    const taken = gone.reduce((s, g) => s + (g.at >= from && g.at < to ? g.ms : 0), 0);
    return [{ entry, seconds: Math.max(0, to - from - taken) / 1000 }];
  });
}

/** Minutes the plan gives a step's hands for one cavity. */
function plannedEach({ computed }: FrozenRun, stepId: string, count: number): number {
  const blocks = computed.score.blocks.filter(
    (b) => b.stepId === stepId && !b.unattended && (b.act === 'pour' || b.act === 'do')
  );
  const minutes = blocks.reduce((s, b) => s + b.to - b.from, 0);
  const cavities = computed.groups
    .filter((g) => g.layers.some((l) => l.stepId === stepId))
    .reduce((s, g) => s + g.count, 0);
  return minutes / Math.max(1, cavities || count);
}

/** A time under this share of the planned is no hands’. */
const NO_HANDS = 0.2;

function actTimes(frozen: FrozenRun, state: RunState, gone: readonly Gone[]): ActTime[] {
  const found = new Map<string, ActTime>();
  const add = (
    key: string,
    what: string,
    { planned, seconds, times, stepId }: { planned: number; seconds: number; times: number; stepId?: string }
  ) => {
    if (planned <= 0 || seconds / times > planned * PAUSE) return;
    const known = found.get(key) ?? {
      key,
      what,
      planned,
      spent: 0,
      times: 0,
      ...(stepId === undefined ? {} : { stepId })
    };
    const all = known.times + times;
    found.set(key, { ...known, spent: (known.spent * known.times + seconds) / all, times: all });
  };
  for (const { entry, seconds } of spans(state, gone)) {
    const { task } = entry;
    if (task.kind === 'weigh')
      add('weigh', 'a weighing', { planned: WEIGHING_MINUTES * 60, seconds, times: 1 });
    else if (task.kind === 'stir' && task.minutes > 0)
      add(`stir:${task.minutes}`, 'a stir', { planned: task.minutes * 60, seconds, times: 1 });
    else if (task.kind === 'pour') {
      const planned = plannedEach(frozen, task.stepId, task.count) * 60;
      // A round is a part of what a cavity takes.
      const whole = seconds * (task.round?.of ?? 1);
      // What no hands can have done was confirmed at once, and tells nothing of them.
      if (whole < planned * task.count * NO_HANDS) continue;
      const cup = frozen.computed.cups.find((c) => c.cupId === task.cupId);
      add(
        task.stepId,
        `${(task.act ?? 'pour').toLowerCase()} ${cup ? `cup ${cup.letter}` : ''}, a cavity`.replace(
          '  ',
          ' '
        ),
        {
          planned,
          seconds: whole,
          times: task.count,
          stepId: task.stepId
        }
      );
    }
  }
  return [...found.values()];
}

type Seen = Pick<Debrief, 'windows' | 'gates' | 'acts'>;

function adviceOf(frozen: FrozenRun, state: RunState, { windows, gates, acts }: Seen): Advice[] {
  const nameOf = (cupId: string) => {
    const cup = frozen.computed.cups.find((c) => c.cupId === cupId);
    return cup ? `cup ${cup.letter}` : 'the mix';
  };
  const missed = windows
    .filter((w) => !w.met)
    .map((w): Advice => ({
      kind: 'window',
      sentence: `${nameOf(w.cupId)} was still poured ${(w.poured - w.until).toFixed(1)} min past its window: mix less at a time, or begin with what it is poured into.`
    }));
  const early = gates
    .filter((x) => x.early)
    .map((x): Advice => ({
      kind: 'wait',
      sentence: `The wait until ${x.state} was ended after ${x.waited.toFixed(1)} of ${x.planned.toFixed(1)} min: wait, or let the fingertip say so first.`
    }));
  const measured = acts
    .filter((a) => a.stepId !== undefined && Math.abs(a.spent / a.planned - 1) > NOTICED)
    .map((a): Advice => ({
      kind: 'pace',
      sentence: `${a.what}: ${a.spent.toFixed(0)} s, planned ${a.planned.toFixed(0)} s.`
    }));
  const off = state.tasks.filter(
    (t) => t.task.kind === 'weigh' && (t.actual ?? 0) > aimedAt(state, t) * OVER + 2 * t.task.division
  );
  const over: Advice[] = off.length
    ? [
        {
          kind: 'weighing',
          sentence: `${off.length} ${off.length === 1 ? 'weighing' : 'weighings'} went over by more than 3 %: slow down for the last tenth.`
        }
      ]
    : [];
  return [...missed, ...early, ...over, ...measured];
}
