import { needsOf } from '$core/shelf';
import { listRuns, readEvents, wholeShelf } from '$lib/server/database';
import { lessonsOf } from '$lib/server/lessons';
import { stock } from '$lib/server/past';
import { runOfPage } from '$lib/server/run-page';
import { store } from '$lib/server/store';

/** How long ago a run may have begun and still be said to be running beside another, ms. */
const TODAY = 24 * 3600_000;

export const load = async ({ params }) => {
  const { db } = await store();
  const run = await runOfPage(db, params.id);
  const now = Date.now();
  const [{ events, unreadable }, shelf, runs, lessons] = await Promise.all([
    readEvents(db, params.id),
    wholeShelf(db),
    listRuns(db),
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
      .filter((r) => r.id !== run.id && r.finishedAt === null && now - r.startedAt < TODAY)
      .map(({ id, name }) => ({ id, name }))
  };
};
