import { newId } from '$lib/id';
import { json } from '@sveltejs/kit';
import { findRun, saveRunPhoto } from '$lib/server/database';
import { notHere } from '$lib/server/respond';
import { store } from '$lib/server/store';
import { sentPhoto } from '$lib/server/upload';

/** Keeps a photo taken in a run: the body is the picture, or a form with it as `photo`. Its event is told by whoever took it. */
export const POST = async ({ params, request }) => {
  const opened = await store();
  if (!(await findRun(opened.db, params.id))) return notHere('run', params.id);
  const sent = await sentPhoto(request);
  if ('refused' in sent) return sent.refused;
  const photo = { id: newId(), runId: params.id, ...sent.kept, takenAt: Date.now() };
  await saveRunPhoto(opened, photo);
  return json({ id: photo.id, width: photo.width, height: photo.height }, { status: 201 });
};
