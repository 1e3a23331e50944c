import { json } from '@sveltejs/kit';
import { newId } from '$lib/id';
import type { Db, Store } from '../database';
import { Id } from '$core/id';
import { problem } from './body';
import { notHere, refuse } from './respond';
import { store } from '../store';
import { sentPhoto } from './upload';

/** A photo made fit to keep, with an id of its own. */
export interface Kept {
  id: string;
  width: number;
  height: number;
  bytes: Buffer;
}

/** What a photo is kept with: what it is called, whether it is there, and how its photos are kept. */
interface KeptWith {
  what: string;
  find(db: Db, id: string): Promise<unknown>;
  save(store: Store, owner: string, photo: Kept): Promise<void>;
  /** Whether its sender may name it: one that is sent twice by its name is kept once. */
  ownIds?: boolean;
}

const BAD_ID = problem(
  'input-pattern',
  'This is no id for a photo.',
  'Use letters and digits, at most 60, or leave it out.'
);

/** Answers a photo that is sent to what it belongs to: the body is the picture, or a form with it as `photo`. */
export const keepsPhotos =
  ({ what, find, save, ownIds = false }: KeptWith) =>
  async ({ params, request }: { params: { id: string }; request: Request }): Promise<Response> => {
    const opened = await store();
    if (!(await find(opened.db, params.id))) return notHere(what, params.id);
    const named = ownIds ? new URL(request.url).searchParams.get('id') : null;
    if (named !== null && !Id.safeParse(named).success) return refuse([BAD_ID]);
    const sent = await sentPhoto(request);
    if ('refused' in sent) return sent.refused;
    const photo = { id: named ?? newId(), ...sent.kept };
    await save(opened, params.id, photo);
    return json({ id: photo.id, width: photo.width, height: photo.height }, { status: 201 });
  };
