import { json } from '@sveltejs/kit';
import { eventsOf, findRun, listLessons, piecesOf } from '$lib/server/database';
import { notHere } from '$lib/server/respond';
import { store } from '$lib/server/store';

/** A run whole: its snapshot, its events, its pieces and its lessons. */
export const GET = async ({ params }) => {
  const { db } = await store();
  const run = await findRun(db, params.id);
  if (!run) return notHere('run', params.id);
  const [events, pieces, lessons] = await Promise.all([
    eventsOf(db, run.id),
    piecesOf(db, run.id),
    listLessons(db, run.id)
  ]);
  return json({ ...run, events, pieces, lessons });
};
