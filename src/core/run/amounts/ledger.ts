import { PORTION } from '../../batch';
import type { FrozenRun } from '../snapshot/frozen';
import { inOf, type Mishap, type RunState } from '../log/state';

/** Where the grams of one mix are. */
export interface MixBooks {
  mixId: string;
  cupId: string;
  /** Weighed into it, topped up and stirred in later, less what was taken out again. */
  put: number;
  /** Into cavities, as read or, where nothing was read, as planned; and into other cups. */
  poured: number;
  spilled: number;
  /** Into cavities where it did not belong. */
  misplaced: number;
  /** What is in it now; nothing where it is lost. */
  left: number;
  /** What its open tasks still ask of it. */
  wanted: number;
  /** What it is short of for those, once it is mixed; nothing where it has enough. */
  short: number;
}

/**
 * The books of every mix of a run, g: what was put in is what was poured, spilled, misplaced and is left. A mix that is not
 * stirred yet still grows, so it is short of nothing.
 */
export function booksOf(frozen: FrozenRun, state: RunState): Map<string, MixBooks> {
  const books = new Map<string, MixBooks>();
  const of = (mixId: string, cupId = ''): MixBooks => {
    const known = books.get(mixId);
    if (known) return known;
    const fresh = { mixId, cupId, put: 0, poured: 0, spilled: 0, misplaced: 0, left: 0, wanted: 0, short: 0 };
    books.set(mixId, fresh);
    return fresh;
  };
  // What is in before what comes out: a cup gives no more than it holds.
  for (const entry of state.tasks) enterWeighing(entry, of, state);
  for (const m of state.mishaps) enterMishap(m, books, state);
  for (const entry of state.tasks) enterMoved(entry, of, { frozen, state });
  for (const book of books.values()) close(book, state);
  return books;
}

/** What went into or out of a mix besides its tasks. */
function enterMishap(m: Mishap, books: ReadonlyMap<string, MixBooks>, state: RunState): void {
  if (m.over || m.kind === 'withdrew' || m.kind === 'lost') return;
  const book = books.get(m.of) ?? [...books.values()].find((b) => b.cupId === m.of);
  if (!book) return;
  if (m.kind === 'spilled') book.spilled += m.grams;
  else if (m.kind === 'misplaced') book.misplaced += m.grams;
  else book.put += m.grams;
  // What a cup is topped up with out of its pot is gone from there.
  const pot = books.get(potOf(state, book.mixId) ?? '');
  const taken = m.lines?.find((l) => l.key === PORTION)?.grams;
  if (pot && taken) pot.poured += taken;
}

/** The pot that a mix is a portion of; undefined where it is mixed by itself. */
export const potOf = ({ tasks }: RunState, mixId: string): string | undefined =>
  tasks.flatMap(({ task }) =>
    task.kind === 'weigh' && task.mixId === mixId ? (task.portionOf ?? []) : []
  )[0];

/** What is in a mix by what went in and out of it. */
const inIt = ({ put, poured, spilled, misplaced }: MixBooks): number =>
  Math.max(0, put - poured - spilled - misplaced);

/** What is left in a mix, and what it is short of. */
function close(book: MixBooks, state: RunState): void {
  const lost = state.lost.has(book.mixId) || state.lost.has(book.cupId);
  book.left = lost ? 0 : inIt(book);
  const stirred = state.cups.get(book.mixId)?.coloured !== undefined || lost;
  book.short = stirred ? Math.max(0, book.wanted - book.left) : 0;
}

type Entry = RunState['tasks'][number];

type Of = (mixId: string, cupId?: string) => MixBooks;

/** Whether a task was done since its mix was last begun again: what was taken out before is not in its books. */
const isOfNow = ({ begunAgain }: RunState, { doneAt = 0 }: Entry, mixId: string): boolean =>
  doneAt >= (begunAgain.get(mixId) ?? 0);

/** Enters what was weighed in, and what that took out of a pot. */
function enterWeighing(entry: Entry, of: Of, state: RunState): void {
  const { task } = entry;
  if (task.kind !== 'weigh') return;
  const grams = inOf(entry) ?? 0;
  of(task.mixId, task.cupId).put += task.takeOut ? -grams : grams;
  if (task.portionOf === undefined) return;
  const pot = of(task.portionOf);
  if (entry.status === 'open') pot.wanted += entry.target ?? task.grams;
  else if (isOfNow(state, entry, task.portionOf)) pot.poured += grams;
}

/** Enters what was poured, into cavities and into other cups, and what is still wanted. */
function enterMoved(entry: Entry, of: Of, { frozen, state }: { frozen: FrozenRun; state: RunState }): void {
  const { task, status } = entry;
  if (task.kind === 'pour') {
    const book = of(task.mixId, task.cupId);
    const planned = task.gramsEach * task.count;
    if (status === 'open') book.wanted += planned;
    else if (status === 'done' && isOfNow(state, entry, task.mixId)) book.poured += inOf(entry) ?? planned;
  } else if (task.kind === 'fill')
    for (const part of task.from) {
      const from = of(sameTurn(frozen, task, part.cupId), part.cupId);
      if (status === 'open') from.wanted += part.grams;
      if (status !== 'done') continue;
      const own = isOfNow(state, entry, from.mixId);
      const moved = own && from.put > 0 ? Math.min(part.grams, inIt(from)) : part.grams;
      if (own) from.poured += moved;
      if (isOfNow(state, entry, task.mixId)) of(task.mixId, task.cupId).put += moved;
    }
}

/** The mix of a cup that is of the same turn as the cup of cups it is poured into. */
function sameTurn({ computed }: FrozenRun, to: { cupId: string; mixId: string }, fromCup: string): string {
  const turns = (id: string) => computed.cups.find((c) => c.cupId === id)?.mixes ?? [];
  const turn = turns(to.cupId).find((m) => m.mixId === to.mixId)?.turn;
  return (turns(fromCup).find((m) => m.turn === turn) ?? turns(fromCup)[0])?.mixId ?? fromCup;
}

/** What can still be made of a pour with what its mix has left. */
export interface StillPour {
  taskId: string;
  /** Cavities as planned, and those that can still be filled whole. */
  planned: number;
  can: number;
  gramsEach: number;
}

/**
 * What can still be poured from a mix with what is left of it, in the order of the plan: whole cavities only. The rest, once
 * those are poured, is `rest` grams.
 */
export function stillFrom(
  frozen: FrozenRun,
  state: RunState,
  mixId: string
): { pours: StillPour[]; rest: number } {
  let left = booksOf(frozen, state).get(mixId)?.left ?? 0;
  const pours = state.tasks.flatMap(({ task, status }): StillPour[] => {
    if (task.kind !== 'pour' || task.mixId !== mixId || status !== 'open') return [];
    const can = Math.min(task.count, Math.floor(left / task.gramsEach + 1e-9));
    left -= can * task.gramsEach;
    return [{ taskId: task.id, planned: task.count, can, gramsEach: task.gramsEach }];
  });
  return { pours, rest: left };
}
