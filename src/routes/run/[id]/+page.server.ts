import { needsOf } from '$core/shelf';
import { besideOf } from '$lib/server/beside';
import { readEvents, wholeShelf } from '$lib/server/database';
import { lessonsOf } from '$lib/server/lessons';
import { stock } from '../../../lib/server/learned-history';
import { runOfPage } from '$lib/server/run-page';
import { store } from '$lib/server/store';

export const load = async ({ params }) => {
  const { db } = await store();
  const run = await runOfPage(db, params.id);
  const now = Date.now();
  const [{ events, unreadable }, shelf, others, lessons] = await Promise.all([
    readEvents(db, params.id),
    wholeShelf(db),
    besideOf(db, run.id, now),
    lessonsOf(db, run.frozen.file.plan)
  ]);
  // Asked before anything is weighed: afterwards the shelf has less because of this run itself.
  const begun = events.some((e) => e.type === 'weighed');
  const thisPour = run.frozen.computed.needs.map((n) => ({ ...n, inAll: n.grams }));
  const needs = begun ? [] : needsOf(thisPour, await stock(db, shelf, now));
  return {
    run,
    events,
    unreadable,
    lessons,
    short: needs.filter((n) => n.short).map((n) => n.name),
    others
  };
};
