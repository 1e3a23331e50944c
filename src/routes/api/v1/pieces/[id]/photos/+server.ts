import { newId } from '$lib/id';
import { json } from '@sveltejs/kit';
import { pieceExists, savePhoto } from '$lib/server/database';
import { keepable, LARGEST_UPLOAD } from '$lib/server/photo';
import { notHere, problem, refuse } from '$lib/server/respond';
import { store } from '$lib/server/store';

/** Keeps a photo of a piece: the body is the picture, or a form with it as `photo`. */
export const POST = async ({ params, request }) => {
  const opened = await store();
  if (!(await pieceExists(opened.db, params.id))) return notHere('piece', params.id);
  const form = request.headers.get('content-type')?.startsWith('multipart/');
  const sent = form ? (await request.formData()).get('photo') : await request.blob();
  if (!(sent instanceof Blob) || !sent.size || sent.size > LARGEST_UPLOAD)
    return refuse([
      problem('photo-size', 'No photo came, or it is over 25 MB.', 'Choose one photo of 25 MB or less.')
    ]);
  try {
    const kept = await keepable(new Uint8Array(await sent.arrayBuffer()));
    const photo = { id: newId(), pieceId: params.id, ...kept, takenAt: Date.now() };
    await savePhoto(opened, photo);
    return json({ id: photo.id, width: kept.width, height: kept.height }, { status: 201 });
  } catch {
    return refuse([
      problem('photo-unreadable', 'This file is not a picture Kirapen can read.', 'Use a JPEG, PNG or WebP.')
    ]);
  }
};
