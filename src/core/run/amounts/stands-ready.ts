import type { RunState } from '../log/state';
import type { FrozenRun } from '../snapshot/frozen';
import type { PourTask } from '../tasks/task';
import { booksOf, stillFrom } from './ledger';

/** What stands ready for a pour: g in its cup, and the cavities that it still fills whole. */
export interface StandsReady {
  grams: number;
  fills: number;
  /** It does not fill all that the pour is planned for. */
  short: boolean;
}

/** Of what is in a cup, what a scale and a drop on its rim may hide. */
const HIDDEN = 0.01;

/** Whether so many grams can have come out of a cup that holds so many, as far as a scale of that division tells. */
export const isThere = (asked: number, held: number, division: number): boolean =>
  asked <= held * (1 + HIDDEN) + 2 * division;

/** What is in the cup of a pour, by the books. Nothing where it was not weighed here: then nothing is known of it. */
export function standsReady(frozen: FrozenRun, state: RunState, task: PourTask): StandsReady | undefined {
  const book = booksOf(frozen, state).get(task.mixId);
  if (!book || book.put <= 0) return undefined;
  const short = !isThere(task.gramsEach * task.count, book.left, task.division ?? 0.1);
  const can = stillFrom(frozen, state, task.mixId).pours.find((p) => p.taskId === task.id)?.can ?? 0;
  return { grams: book.left, fills: short ? Math.min(can, task.count) : task.count, short };
}
