import { newId } from '$lib/id';
import { error } from '@sveltejs/kit';
import type { Vessel } from '$core/shelf';
import { findCardRow } from '$lib/server/database';
import { store } from '$lib/server/store';

const blank = (): Vessel => ({ id: newId(), name: '', ml: 300, loss: 2 });

export const load = async ({ params }) => {
  if (params.id === 'new') return { card: blank(), revision: undefined };
  const found = await findCardRow((await store()).db, 'vessels', params.id);
  if (!found) error(404, { message: 'This vessel is not on the shelf.', mend: 'See the shelf for what is.' });
  return { card: found.card, revision: found.revision };
};
