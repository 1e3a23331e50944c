import { booksOf, type FrozenRun, type RunEvent, type RunState, type Task } from '../run';
import { figure } from '../quantity';

/** What can go wrong in a rehearsal, by name, with what it is in words. */
export const MISHAPS = [
  { kind: 'overshoot', words: 'a weighing goes over' },
  { kind: 'fast gel', words: 'a cup sets faster than its card says' },
  { kind: 'spilled cup', words: 'a cup is knocked over' },
  { kind: 'phone call', words: 'you are called away' },
  { kind: 'cold room', words: 'the room is colder than planned' },
  { kind: 'wrong pot', words: 'a wrong pot is taken' }
] as const;
export type MishapKind = (typeof MISHAPS)[number]['kind'];

/** A mishap that waits for a task to be done. */
export interface PlannedMishap {
  kind: MishapKind;
  task: string;
}

/** An event as a mishap causes it, before it has an id and a moment. */
type Caused = RunEvent extends infer E ? (E extends RunEvent ? Omit<E, 'id' | 'at' | 'by'> : never) : never;

/** What a mishap does: events, minutes that are gone at once, and what is said of it. */
export interface Struck {
  kind: MishapKind;
  events: Caused[];
  ahead: number;
  says: string;
}

/** Tasks after which each mishap can strike. */
const STRIKES: Record<MishapKind, (task: Task) => boolean> = {
  overshoot: (t) => t.kind === 'weigh' && t.part && !t.takeOut,
  'fast gel': (t) => t.kind === 'stir',
  'spilled cup': (t) => t.kind === 'stir',
  // While a mix whose parts have met waits: then it costs of its window.
  'phone call': (t) => t.kind === 'stir' || (t.kind === 'weigh' && t.startsClock),
  'cold room': (t) => t.kind === 'prepare',
  'wrong pot': (t) => t.kind === 'weigh' && !t.part && !t.takeOut
};

/**
 * Lays mishaps over a run's tasks, each after a task it can follow, no two after the same one. Kinds that find no place are left
 * out (a plan without colours has no wrong pot). The same numbers give the same places.
 * @param random numbers 0..1, as many as are asked for
 */
export function planMishaps(
  tasks: readonly Task[],
  kinds: readonly MishapKind[],
  random: () => number
): PlannedMishap[] {
  const taken = new Set<string>();
  return kinds.flatMap((kind) => {
    const free = tasks.filter((t) => STRIKES[kind](t) && !taken.has(t.id) && !t.id.includes('^'));
    const task = free[Math.min(free.length - 1, Math.floor(random() * free.length))];
    if (!task) return [];
    taken.add(task.id);
    return [{ kind, task: task.id }];
  });
}

/** Minutes that a telephone call takes. */
const CALL = 4;
/** How much colder the room turns out to be, °C. */
const COLDER = 6;
/** How far through its open states a fast cup already is. */
const FAST = 0.6;

/** How far a weighing goes over, as a factor. */
export const overshootOf = (random: number): number => 1.05 + 0.08 * random;

/** What a mishap does once its task is done. Overshoots are in the weighing itself and cause nothing more. */
export function strike(
  kind: MishapKind,
  at: { frozen: FrozenRun; state: RunState; task: Task },
  random: () => number
): Struck {
  const none = { kind, events: [], ahead: 0 };
  switch (kind) {
    case 'overshoot':
      return { ...none, says: 'That went over. Look at the three ways out before you go on.' };
    case 'phone call':
      return { ...none, ahead: CALL, says: `The telephone: ${CALL} minutes are gone. Look at the clocks.` };
    case 'cold room': {
      const celsius = at.frozen.file.plan.bench.roomCelsius - COLDER;
      return {
        ...none,
        events: [{ type: 'room', celsius }],
        says: `The heating failed in the night: the room is at ${figure(celsius, '°C')}. Every wait is longer now.`
      };
    }
    case 'wrong pot':
      return {
        ...none,
        events:
          'mixId' in at.task ? [{ type: 'swapped', task: at.task.id, instead: 'the pot beside it' }] : [],
        says: 'That was the pot beside it. Begin the cup again (R, a cup is lost), or go on with another colour.'
      };
    case 'fast gel':
      return { ...none, ...fast(at) };
    case 'spilled cup':
      return { ...none, ...spilled(at, random()) };
  }
}

type At = Parameters<typeof strike>[1];

/** A cup that is further than its estimate: the hand tells it. */
function fast({ frozen, task }: At): Pick<Struck, 'events' | 'says'> {
  const cup = 'mixId' in task ? frozen.computed.cups.find((c) => c.cupId === task.cupId) : undefined;
  const states = frozen.computed.bases.find((b) => b.baseId === cup?.baseId)?.states ?? [];
  const state = states[Math.max(1, Math.floor(states.length * FAST) - 1)]?.state;
  return cup && state
    ? {
        events: [{ type: 'felt', cupId: cup.cupId, state }],
        says: `Cup ${cup.letter} is ${state} already. Its clock has moved: pour it first.`
      }
    : { events: [], says: 'A warm cup: look at its clock.' };
}

function spilled({ frozen, state, task }: At, random: number): Pick<Struck, 'events' | 'says'> {
  const mixId = 'mixId' in task ? task.mixId : '';
  const book = booksOf(frozen, state).get(mixId);
  const grams = Math.round((book?.left ?? 0) * (0.35 + 0.3 * random) * 10) / 10;
  const cup = frozen.computed.cups.find((c) => c.cupId === book?.cupId);
  return grams > 0
    ? {
        events: [{ type: 'spilled', mixId: mixId, grams }],
        says: `${figure(grams, 'g')} of ${cup ? `cup ${cup.letter}` : 'the mix'} are on the bench. What can still be made? (S tops up, R pours fewer.)`
      }
    : { events: [], says: 'A cup nearly fell. Stand them where no sleeve reaches.' };
}

/** Whether what a mishap asked for was done by the end of a rehearsal, and what that was or would have been. */
export interface Answered {
  kind: MishapKind;
  well: boolean;
  says: string;
}

/** How each mishap of a rehearsal was answered. */
export const answersTo = (struck: readonly PlannedMishap[], frozen: FrozenRun, state: RunState): Answered[] =>
  struck.map(({ kind, task: id }) => {
    const task = state.tasks.find((t) => t.task.id === id)?.task;
    const mixId = task && 'mixId' in task ? task.mixId : '';
    return { kind, ...answered(kind, { frozen, state, mixId }) };
  });

function answered(
  kind: MishapKind,
  { frozen, state, mixId }: { frozen: FrozenRun; state: RunState; mixId: string }
): Omit<Answered, 'kind'> {
  const again = state.wasted.some((w) => w.task.mixId === mixId);
  if (kind === 'overshoot') {
    const off = state.cups.get(mixId)?.ratioError ?? 0;
    return again || off < RATIO
      ? { well: true, says: 'the ratio was kept' }
      : { well: false, says: `the cup ended ${(off * 100).toFixed(1)} % off` };
  }
  if (kind === 'wrong pot')
    return again
      ? { well: true, says: 'the cup was begun again' }
      : { well: false, says: 'the piece has another colour; the record says so' };
  if (kind === 'spilled cup') {
    const book = booksOf(frozen, state).get(mixId);
    const gone = book ? book.poured + book.spilled + book.misplaced - book.put + book.short : 0;
    return gone <= NOTHING || again
      ? { well: true, says: 'what was missing was topped up or planned away' }
      : {
          well: false,
          says: `${figure(gone, 'g', 1)} are missing that were told as poured or are still wanted`
        };
  }
  return { well: true, says: 'see the windows and waits below' };
}

/** Off its ratio by more than this, most two-part materials do not cure as they should. */
const RATIO = 0.02;
/** Less than this is what any cup keeps on its wall, g. */
const NOTHING = 0.5;
