import { json } from '@sveltejs/kit';
import { listLessons, piecesOf, readEvents, readRun, removeRun } from '$lib/server/database';
import { taughtByRuns } from '../../../../../lib/server/learned-history';
import { notHere, refuse } from '../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

/** A run whole: what it froze, its events, its pieces and its lessons. */
export const GET = async ({ params }) => {
  const { db } = await store();
  const read = await readRun(db, params.id);
  if (!read) return notHere('run', params.id);
  if (!read.ok) return refuse(read.broken.problems);
  const [{ events }, pieces, lessons] = await Promise.all([
    readEvents(db, params.id),
    piecesOf(db, params.id),
    listLessons(db, params.id)
  ]);
  const { frozen, ...run } = read.value;
  const { file, ...rest } = frozen;
  return json({ ...run, snapshot: file, frozen: rest, events, pieces, lessons });
};

/** Takes a run out of the record, with its events, pieces and lessons. */
export const DELETE = async ({ params }) => {
  const opened = await store();
  const gone = await removeRun(opened, params.id);
  await taughtByRuns.forget(opened, params.id);
  return gone ? new Response(null, { status: 204 }) : notHere('run', params.id);
};
