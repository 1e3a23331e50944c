import type { RunEvent } from './log/events';
import type { FrozenRun } from './snapshot/frozen';
import type { Task } from './tasks/task';

/** Short ways to write a run in a test. */

let serial = 0;

/** An event of a run at a moment, ms. */
export const event = (told: Record<string, unknown>, at: number): RunEvent =>
  ({ id: `event-${String(serial++).padStart(6, '0')}`, at: Math.round(at), ...told }) as RunEvent;

/** A task done as planned: weighed as aimed at, or told as done. */
export const done = (t: Task, at: number): RunEvent =>
  event(
    t.kind === 'weigh' ? { type: 'weighed', task: t.id, grams: t.grams } : { type: 'done', task: t.id },
    at
  );

/** Everything up to and including a task, so many ms apart. */
export const upTo = (frozen: FrozenRun, id: string, apart: number): RunEvent[] =>
  frozen.tasks.slice(0, frozen.tasks.findIndex((t) => t.id === id) + 1).map((t, i) => done(t, i * apart));

/** A moment at which a run's clocks are read, before any of them has run out. */
export const soon = { now: 0, dayStart: 0 };
