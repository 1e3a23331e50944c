import { duration, weighing, type Message } from '../../quantity';
import { booksOf } from '../amounts/ledger';
import { isThere, standsReady, type StandsReady } from '../amounts/stands-ready';
import type { RunState } from '../log/state';
import type { FrozenRun } from '../snapshot/frozen';
import type { FillTask, PourTask, Task, WeighTask } from '../tasks/task';
import { demouldNow } from '../times/refit';

/** Why a confirmation is asked about before it is believed. */
export interface Doubt {
  code: 'slip' | 'more-than-there' | 'too-early';
  /** What does not fit, and what would follow. */
  sentence: Message;
  follows?: Message;
  /** What was probably meant, g: one tap. */
  meant?: number;
}

/** What is told when a task is confirmed: when, ms; grams where there are any, and for a weighing what it was aimed at. */
export interface Told {
  now: number;
  grams?: number | undefined;
  aimed?: number | undefined;
}

/**
 * What is doubtful in a confirmation: an amount that is no reading of this task, more than there is, or a time that has not passed.
 * Nothing where it may be so.
 */
export function doubtOf(frozen: FrozenRun, state: RunState, task: Task, told: Told): Doubt | undefined {
  switch (task.kind) {
    case 'weigh':
      return moreThanInPot(frozen, state, task, told.grams) ?? slipOf(task, told);
    case 'fill':
      return moreThanFills(frozen, state, task);
    case 'pour': {
      const slip = pourSlip(task, told);
      // A comma in another place says more than that there is not so much.
      return slip?.meant === undefined ? (moreThanThere(frozen, state, task, told.grams) ?? slip) : slip;
    }
    default:
      return tooEarly(frozen, state, task, told.now);
  }
}

/** An amount this many times as large or as small as it should be is asked about. */
const FAR = 2;
/** What people write when they mean another: a comma in another place, kilograms for grams, ounces for grams. */
const MEANT = [10, 0.1, 100, 0.01, 1000, 0.001, 28.349523125, 1 / 28.349523125];
/** What was meant comes about as near as hands do. */
const NEAR = 1.5;
/** Divisions of the scale by which a small amount may be off without being another. */
const DIVISIONS = 6;

function slipOf({ division, creeps, byEye }: WeighTask, { grams, aimed }: Told): Doubt | undefined {
  if (grams === undefined || !aimed) return undefined;
  // By eye it may be any less.
  const isFar = grams > FAR * aimed || (!(creeps || byEye) && grams < aimed / FAR);
  if (!isFar || Math.abs(grams - aimed) <= DIVISIONS * division) return undefined;
  return slip(grams, aimed, division);
}

function pourSlip({ gramsEach, count, also, division = 0.1 }: PourTask, { grams }: Told): Doubt | undefined {
  if (grams === undefined) return undefined;
  const aimed = count * (gramsEach + (also ?? []).reduce((s, a) => s + a.gramsEach, 0));
  const isFar = grams > FAR * aimed || grams < aimed / FAR;
  return isFar && Math.abs(grams - aimed) > DIVISIONS * division ? slip(grams, aimed, division) : undefined;
}

function slip(grams: number, aimed: number, division: number): Doubt {
  const off = (g: number) => Math.abs(Math.log(g / aimed));
  const best = MEANT.map((by) => grams * by).sort((a, b) => off(a) - off(b))[0]!;
  const meant = off(best) < Math.log(NEAR) ? Math.round(best / division) * division : undefined;
  return {
    code: 'slip',
    sentence: `${weighing(grams, division)} for ${weighing(aimed, division)}?`,
    ...(meant ? { meant: Number(meant.toPrecision(12)) } : {})
  };
}

/** No more comes out of a cup than is in it, nor out of another that is poured at once with it. */
function moreThanThere(
  frozen: FrozenRun,
  state: RunState,
  task: PourTask,
  grams: number | undefined
): Doubt | undefined {
  const together = (task.also ?? []).flatMap(({ task: id }) => {
    const other = state.tasks.find((t) => t.task.id === id)?.task;
    return other?.kind === 'pour' ? [other] : [];
  });
  const all = [task, ...together].reduce((s, t) => s + t.gramsEach, 0);
  for (const one of [task, ...together]) {
    const stands = standsReady(frozen, state, one);
    const asked = (grams ?? all * task.count) * (one.gramsEach / all);
    if (stands && !isThere(asked, stands.grams, one.division ?? 0.1))
      return notThere(one, { stands, asked, times: all / one.gramsEach });
  }
  return undefined;
}

/** @param of what stands ready, what was asked of it, and how many times as much is poured with all that goes in at once, g */
function notThere(
  task: PourTask,
  { stands, asked, times }: { stands: StandsReady; asked: number; times: number }
): Doubt {
  const { division = 0.1 } = task;
  const meant = downTo(stands.grams * times, division);
  return {
    code: 'more-than-there',
    sentence: `${weighing(stands.grams, division)} are in the cup; ${weighing(asked, division)} cannot have come out of it.`,
    follows: reaches(task, stands.fills),
    ...(meant > 0 ? { meant } : {})
  };
}

/** A portion is no more than is in its pot. */
function moreThanInPot(
  frozen: FrozenRun,
  state: RunState,
  { portionOf, division }: WeighTask,
  grams: number | undefined
): Doubt | undefined {
  const book = portionOf === undefined ? undefined : booksOf(frozen, state).get(portionOf);
  if (!book || book.put <= 0 || grams === undefined || isThere(grams, book.left, division)) return undefined;
  return {
    code: 'more-than-there',
    sentence: `${weighing(book.left, division)} are in the pot; ${weighing(grams, division)} cannot have come out of it.`,
    follows: 'What this cup is short of can be mixed to its recipe with S.',
    ...(book.left >= division ? { meant: downTo(book.left, division) } : {})
  };
}

/** What a cup is filled with from others is in them: otherwise what there is goes in. */
function moreThanFills(frozen: FrozenRun, state: RunState, task: FillTask): Doubt | undefined {
  const { division } = frozen.computed;
  const books = [...booksOf(frozen, state).values()];
  for (const { cupId, grams } of task.from) {
    const own = books.filter((b) => b.cupId === cupId && b.put > 0);
    const left = own.reduce((s, b) => s + b.left, 0);
    if (own.length && !isThere(grams, left, division))
      return {
        code: 'more-than-there',
        sentence: `${weighing(left, division)} are in cup ${letterOf(frozen, cupId)}; ${weighing(grams, division)} cannot have come out of it.`,
        follows: 'What there is goes in, and its colours are in other shares. S mixes more.'
      };
  }
  return undefined;
}

const letterOf = ({ computed }: FrozenRun, cupId: string): string =>
  computed.cups.find((c) => c.cupId === cupId)?.letter ?? '';

/** The most that a scale of a division shows of so much. */
const downTo = (grams: number, division: number): number =>
  Number((Math.floor(grams / division) * division).toPrecision(12));

/** How many cavities what is left still fills whole, and what that leaves. */
function reaches({ count }: PourTask, fills: number): Message {
  if (count === 1) return 'It does not fill the cavity. S mixes more.';
  return fills
    ? `It fills ${fills} of ${count} cavities whole. S mixes more for the others.`
    : 'It fills none of the cavities whole. S mixes more.';
}

const MINUTE = 60_000;
/** Of a time, so much may be missing without being asked: a clock that is read from across the bench. */
const READ = 0.1;

/** A time that has to pass first: a stir, what cures or stands, a piece that is not firm yet. */
function tooEarly(frozen: FrozenRun, state: RunState, task: Task, now: number): Doubt | undefined {
  if (task.kind === 'demould') return notFirm(frozen, state, task, now);
  const again = againAfter(state, task);
  const wanted = again?.minutes ?? minutesOf(task);
  const since = again?.since ?? Math.max(0, ...state.tasks.map((t) => t.doneAt ?? 0));
  if (wanted <= 0 || !since) return undefined;
  const passed = Math.max(0, (now - since) / MINUTE);
  if (passed >= wanted * (1 - READ)) return undefined;
  return task.kind === 'stir'
    ? {
        code: 'too-early',
        sentence: `Stirred ${duration(passed)} of ${duration(wanted)}.`,
        follows: 'What is not stirred through stays soft, or streaks.'
      }
    : { code: 'too-early', sentence: `${duration(passed)} of ${duration(wanted)} have passed.` };
}

/** Minutes that have to pass in a task. What is done several times only waits from one time to the next. */
const minutesOf = (task: Task): number => {
  if (task.kind === 'stir') return task.minutes;
  if (task.kind === 'do' && task.every) return 0;
  return 'unattended' in task ? task.unattended : 0;
};

/** The wait between two times of an act that is done several times, and since when it runs, ms. */
function againAfter(state: RunState, task: Task): { minutes: number; since: number } | undefined {
  if (task.kind !== 'do' || !task.every) return undefined;
  const since = state.tasks.find((t) => t.task.id === task.id)?.lastAt;
  return since === undefined ? undefined : { minutes: task.every, since };
}

function notFirm(
  frozen: FrozenRun,
  state: RunState,
  task: Extract<Task, { kind: 'demould' }>,
  now: number
): Doubt | undefined {
  const poured = state.groups.get(task.groupId)?.lastPour;
  if (poured === undefined) return undefined;
  const missing = demouldNow(frozen, state, task).from.now - (now - poured) / MINUTE;
  if (missing <= 1) return undefined;
  return {
    code: 'too-early',
    sentence: `Another ${duration(missing)}.`,
    follows: 'It is not firm yet: out of its mould now, it bends or tears.'
  };
}
