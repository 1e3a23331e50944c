import { needsOf } from '$core/shelf';
import { openRuns, readEvents, wholeShelf } from '$lib/server/database';
import { lessonsOf } from '$lib/server/lessons';
import { stock } from '$lib/server/past';
import { runOfPage } from '$lib/server/run-page';
import { store } from '$lib/server/store';

/** Runs beside this one that are named. */
const MOST_BESIDE = 6;
/** How long ago a run may have begun and still be said to be running beside another, ms. */
const TODAY = 24 * 3600_000;

export const load = async ({ params }) => {
  const { db } = await store();
  const run = await runOfPage(db, params.id);
  const now = Date.now();
  const [{ events, unreadable }, shelf, runs, lessons] = await Promise.all([
    readEvents(db, params.id),
    wholeShelf(db),
    openRuns(db, MOST_BESIDE),
    lessonsOf(db, run.frozen.file.plan)
  ]);
  // Asked before anything is weighed: afterwards the shelf has less because of this run itself.
  const begun = events.some((e) => e.type === 'weighed');
  const needs = begun ? [] : needsOf(run.frozen.computed.needs, await stock(db, shelf, now), 1);
  return {
    run,
    events,
    unreadable,
    lessons,
    short: needs.filter((n) => n.short).map((n) => n.name),
    others: runs
      .filter((r) => r.id !== run.id && now - r.startedAt < TODAY)
      .map(({ id, name }) => ({ id, name }))
  };
};
