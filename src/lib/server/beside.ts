import { clocksOf, type Clock } from '$core/run';
import { startOfDay } from '../when';
import { foldedRun } from '../run/folded-run';
import { eventsOf, openRuns, readRuns, type Db } from './database';

/** Runs beside one that are named. */
const MOST_RUNS = 6;
/** How long ago a run may have begun and still be said to be running beside another, ms. */
const TODAY = 24 * 3600_000;

/** A run that goes on beside another: whether it is still poured, and the clock of it that is due next. */
export interface Beside {
  id: string;
  name: string;
  /** Something is weighed in it and something is still to pour: it has the hands. */
  pouring: boolean;
  next?: { kind: Clock['kind']; due: number };
}

/** What goes on beside a run, those that have the hands first. */
export async function besideOf(db: Db, runId: string, now: number): Promise<Beside[]> {
  const rows = (await openRuns(db, MOST_RUNS + 1)).filter((r) => r.id !== runId && now - r.startedAt < TODAY);
  const { good } = await readRuns(
    db,
    rows.map((r) => r.id)
  );
  const found = await Promise.all(
    good.map(async (run): Promise<Beside> => {
      const state = foldedRun(run.frozen, await eventsOf(db, run.id));
      const [next] = clocksOf(run.frozen, state, { now, dayStart: startOfDay(now) });
      const weighed = state.tasks.some((t) => t.task.kind === 'weigh' && t.status === 'done');
      const toPour = state.tasks.some((t) => t.task.kind === 'pour' && t.status === 'open');
      return {
        id: run.id,
        name: run.name,
        pouring: weighed && toPour,
        ...(next ? { next: { kind: next.kind, due: next.due } } : {})
      };
    })
  );
  return found.sort((a, b) => Number(b.pouring) - Number(a.pouring)).slice(0, MOST_RUNS);
}
