import { error } from '@sveltejs/kit';
import { factsOf } from '$core/run';
import { foldedRun } from '$lib/run';
import { eventsOf, findRun, listLessons, piecesOf } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async ({ params }) => {
  const { db } = await store();
  const run = await findRun(db, params.id);
  if (!run) error(404, { message: 'This run is not here.', mend: 'See the record for all runs.' });
  const [events, pieces, lessons] = await Promise.all([
    eventsOf(db, run.id),
    piecesOf(db, run.id),
    listLessons(db, run.id)
  ]);
  const { computed, state } = foldedRun(run.snapshot, events);
  return {
    run: { id: run.id, name: run.name, startedAt: run.startedAt, finishedAt: run.finishedAt },
    plan: run.snapshot.plan,
    base: run.snapshot.shelf.bases[0]?.name ?? '',
    computed,
    facts: factsOf(computed, state),
    notes: state.notes,
    left: state.left,
    open: state.now !== undefined,
    pieces,
    lessons
  };
};
