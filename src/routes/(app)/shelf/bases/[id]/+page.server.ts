import { newId } from '$lib/id';
import { error } from '@sveltejs/kit';
import { startingLibrary } from '$core/shelf';
import { findCardRow } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async ({ params, url }) => {
  // A new card starts from a generic one: every figure is there to be overridden.
  if (params.id === 'new') {
    const kind = url.searchParams.get('kind');
    const generic = startingLibrary.bases.find((b) => b.kind === kind) ?? startingLibrary.bases[0]!;
    return { card: { ...generic, id: newId(), name: '' }, revision: undefined };
  }
  const found = await findCardRow((await store()).db, 'bases', params.id);
  if (!found)
    error(404, { message: 'This material is not on the shelf.', mend: 'See the shelf for what is.' });
  return { card: found.card, revision: found.revision };
};
