import { newId } from '$lib/id';
import { error } from '@sveltejs/kit';
import type { Vessel } from '$core/shelf';
import { findCardRow } from '$lib/server/database';
import { toolUses } from '../../../../../lib/server/learned-history';
import { store } from '$lib/server/store';

const blank = (): Vessel => ({ id: newId(), name: '', ml: 300, loss: 2 });

export const load = async ({ params }) => {
  if (params.id === 'new') return { card: blank(), revision: undefined, uses: { runs: 0 } };
  const { db } = await store();
  const found = await findCardRow(db, 'vessels', params.id);
  if (!found) error(404, { message: 'This vessel is not on the shelf.', mend: 'See the shelf for what is.' });
  return { card: found.card, revision: found.revision, uses: await toolUses(db, params.id) };
};
