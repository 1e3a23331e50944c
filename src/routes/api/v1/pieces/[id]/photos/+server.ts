import { newId } from '$lib/id';
import { json } from '@sveltejs/kit';
import { pieceExists, savePhoto } from '$lib/server/database';
import { notHere } from '$lib/server/respond';
import { store } from '$lib/server/store';
import { sentPhoto } from '$lib/server/upload';

/** Keeps a photo of a piece: the body is the picture, or a form with it as `photo`. */
export const POST = async ({ params, request }) => {
  const opened = await store();
  if (!(await pieceExists(opened.db, params.id))) return notHere('piece', params.id);
  const sent = await sentPhoto(request);
  if ('refused' in sent) return sent.refused;
  const photo = { id: newId(), pieceId: params.id, ...sent.kept, takenAt: Date.now() };
  await savePhoto(opened, photo);
  return json({ id: photo.id, width: photo.width, height: photo.height }, { status: 201 });
};
