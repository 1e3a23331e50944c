import { fail, ok, type Result } from '../../problem';
import type { RunEvent } from './events';
import type { Task } from '../tasks/task';

/** One line of a run sheet as it was filled in by hand: what was read, g, when, minutes after the first line; or left out. */
export interface FilledLine {
  task: string;
  grams?: number | undefined;
  minutes?: number | undefined;
  leftOut?: boolean | undefined;
}

const MINUTE = 60_000;
/** Between two lines with no time between them this passes, ms: enough to keep their order. */
const APART = 1000;

/**
 * The events of a run that was written down on its sheet. Lines without a time lie evenly between those that have one; a
 * weighing without a weight is told as done, never as a weight. Times that go backward are refused.
 * @param startedAt when the first line was done, ms since 1970
 * @param idOf an id for the event of each line, made by the device
 */
export function eventsFromSheet(
  tasks: readonly Task[],
  lines: readonly FilledLine[],
  at: { startedAt: number; idOf: (line: number) => string }
): Result<RunEvent[]> {
  const told = tasks.map((task) => lines.find((l) => l.task === task.id));
  const known = told.flatMap((l, i) => (l?.minutes === undefined ? [] : [{ i, minutes: l.minutes }]));
  const back = known.find((k, n) => n > 0 && k.minutes < known[n - 1]!.minutes);
  if (back)
    return fail({
      code: 'sheet-backward',
      path: `lines/${back.i}/minutes`,
      sentence: `Line ${back.i + 1} was done before the line above it.`,
      mend: 'Check the two times.'
    });
  return ok(
    tasks.map((task, i): RunEvent => {
      const line = told[i];
      const base = { id: at.idOf(i), at: Math.round(at.startedAt + whenOf(i, known) * MINUTE + i * APART) };
      if (line?.leftOut) return { ...base, type: 'skipped', task: task.id };
      if (task.kind === 'weigh' && line?.grams !== undefined)
        return { ...base, type: 'weighed', task: task.id, grams: line.grams };
      const grams = task.kind === 'pour' && line?.grams !== undefined ? { grams: line.grams } : {};
      return { ...base, type: 'done', task: task.id, ...grams };
    })
  );
}

/** When a line was done, minutes: as told, or evenly between the told ones; as the last one after it. */
function whenOf(i: number, known: readonly { i: number; minutes: number }[]): number {
  const after = known.find((k) => k.i >= i);
  const before = known.findLast((k) => k.i <= i) ?? { i: 0, minutes: 0 };
  if (!after || after.i === before.i) return (after ?? before).minutes;
  return before.minutes + ((after.minutes - before.minutes) * (i - before.i)) / (after.i - before.i);
}
