import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { samphire } from '../../../../demo/plans';
import { eventsFromSheet, type FilledLine } from './from-sheet';
import { foldRun } from './fold';
import { freeze } from '../snapshot/freeze';
import { inOf } from './state';

const { tasks } = freeze(samphire, cards);
const begun = Date.UTC(2026, 2, 3, 9, 0);
const read = (lines: FilledLine[]) =>
  eventsFromSheet(tasks, lines, { startedAt: begun, idOf: (i) => `sheet-line-${i}` });
const at = (lines: FilledLine[]) => {
  const found = read(lines);
  return found.ok ? found.value.map((e) => (e.at - begun) / 60_000) : [];
};

describe('a run written down on its sheet', () => {
  it('comes to the same state as one that was conducted', () => {
    const lines = tasks.flatMap((t): FilledLine[] =>
      t.kind === 'weigh' ? [{ task: t.id, grams: t.grams + 0.4 }] : []
    );
    const found = read(lines);
    const state = foldRun(tasks, found.ok ? found.value : [], 0.1);
    expect(state.now).toBeUndefined();
    for (const t of state.tasks)
      if (t.task.kind === 'weigh') expect([t.actual, t.assumed]).toEqual([t.task.grams + 0.4, undefined]);
  });

  it('a weight that was not written down is not made up', () => {
    const found = read([]);
    const state = foldRun(tasks, found.ok ? found.value : [], 0.1);
    for (const t of state.tasks)
      if (t.task.kind === 'weigh') {
        expect(t.actual).toBeUndefined();
        expect(inOf(t)).toBeGreaterThan(0);
      }
  });

  it('lines without a time lie between those with one, in order', () => {
    const times = at([
      { task: tasks[0]!.id, minutes: 0 },
      { task: tasks[4]!.id, minutes: 8 }
    ]);
    expect(times.slice(0, 5).map((m) => Math.round(m))).toEqual([0, 2, 4, 6, 8]);
    expect(times.slice(4).every((m) => m >= 8 && m < 9)).toBe(true);
    expect(times).toEqual(times.toSorted((a, b) => a - b));
  });

  it('a time before the one above it is refused, by its line', () => {
    const found = read([
      { task: tasks[1]!.id, minutes: 5 },
      { task: tasks[2]!.id, minutes: 3 }
    ]);
    expect(found.ok ? '' : found.problem.sentence).toBe('Line 3 was done before the line above it.');
  });

  it('what was left out is left out', () => {
    const last = tasks.at(-1)!;
    const found = read([{ task: last.id, leftOut: true }]);
    expect(found.ok && found.value.at(-1)).toMatchObject({ type: 'skipped', task: last.id });
  });
});
