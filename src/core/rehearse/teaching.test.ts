import { describe, expect, it } from 'vitest';
import { metricWords } from '../quantity';
import { foldRun, freeze, type RunEvent, type Task } from '../run';
import { event } from '../run/run.testing';
import { isLessonDone, doneHow, lessonPlan, practiceLessons, whyOf } from '.';

const MINUTE = 60_000;
const lessons = practiceLessons();
const runOf = (id: string) => {
  const { plan, shelf } = lessonPlan(lessons.find((l) => l.id === id)!);
  return freeze(plan, shelf);
};
const frozen = runOf('resin-2');

/** Minutes that a task takes when it is done well. */
function lasts(task: Task): number {
  if (task.kind === 'stir') return task.minutes;
  if (task.kind === 'gate') return task.minutes + 1;
  if (task.kind === 'demould') return task.from + 1;
  return 'unattended' in task ? task.attended + task.unattended : 0.3;
}

/** A lesson done right, with one task of a kind done so many times as long. */
function done(kind?: Task['kind'], by = 1, run = frozen): RunEvent[] {
  let at = 1000;
  return run.tasks.map((t) => {
    at += lasts(t) * (t.kind === kind ? by : 1) * MINUTE;
    return event(
      t.kind === 'weigh' ? { type: 'weighed', task: t.id, grams: t.grams } : { type: 'done', task: t.id },
      at
    );
  });
}

/** How each task of a kind was done. */
function hows(kind: Task['kind'], events: RunEvent[]) {
  return events.flatMap((e, i) => {
    const task = frozen.tasks.find((t) => 'task' in e && t.id === e.task);
    const how = doneHow(frozen, foldRun(frozen.tasks, events.slice(0, i), 0.1), e);
    return task?.kind === kind && how ? [how] : [];
  });
}

describe('a lesson', () => {
  it.each(lessons.map((l) => [l.id, l] as const))(
    '%s says of every act what matters, and why',
    (_, lesson) => {
      const { plan, shelf } = lessonPlan(lesson);
      const run = freeze(plan, shelf);
      for (const task of run.tasks) expect(metricWords(whyOf(run, task)).length).toBeGreaterThan(15);
    }
  );

  it.each(['stir', 'gate', 'demould', 'pour'] as const)('says after a %s that it was right', (kind) => {
    const said = hows(kind, done());
    expect(said.length).toBeGreaterThan(0);
    expect(said.filter((h) => !h.well)).toEqual([]);
  });

  it.each([
    ['stir', 0.2, /Stirred/],
    ['demould', 0.3, /Another/],
    ['demould', 40, /after its window/],
    ['pour', 900, /past its window/]
  ] as const)('says after a %s of %s of its time what was not', (kind, by, words) => {
    const wrong = hows(kind, done(kind, by)).filter((h) => !h.well);
    expect(wrong.length).toBeGreaterThan(0);
    expect(metricWords(wrong[0]!.says)).toMatch(words);
  });

  it('says how far off a weighing was', () => {
    const part = frozen.tasks.find((t) => t.kind === 'weigh' && t.part)!;
    if (part.kind !== 'weigh') throw new Error('no part');
    const how = (times: number) =>
      doneHow(
        frozen,
        foldRun(frozen.tasks, [], 0.1),
        event({ type: 'weighed', task: part.id, grams: part.grams * times }, 5)
      )!;
    expect(how(1)).toMatchObject({ well: true });
    expect(metricWords(how(1.2).says)).toMatch(/^20 % over/);
    expect(metricWords(how(0.9).says)).toMatch(/^10 % under/);
    expect(
      doneHow(frozen, foldRun(frozen.tasks, [], 0.1), event({ type: 'note', text: 'x' }, 5))
    ).toBeUndefined();
  });

  it('is done when every step was right, and not before', () => {
    expect(isLessonDone(frozen, done())).toBe(true);
    expect(isLessonDone(frozen, done('stir', 0.2))).toBe(false);
    expect(isLessonDone(frozen, done().slice(0, -1))).toBe(false);
    const [first, ...rest] = done().toReversed();
    const left = event({ type: 'skipped', task: 'task' in first! ? first.task : '' }, first!.at);
    expect(isLessonDone(frozen, [...rest.toReversed(), left])).toBe(false);
  });
});
