import { newId } from '$lib/id';
import { error } from '@sveltejs/kit';
import { findCardRow } from '$lib/server/database';
import { toolUses } from '../../../../../lib/server/learned-history';
import { store } from '$lib/server/store';

export const load = async ({ params }) => {
  if (params.id === 'new')
    return {
      card: { id: newId(), name: '', division: 0.1, capacity: 500 },
      revision: undefined,
      uses: { runs: 0 }
    };
  const { db } = await store();
  const found = await findCardRow(db, 'scales', params.id);
  if (!found) error(404, { message: 'This scale is not on the shelf.', mend: 'See the shelf for what is.' });
  return { card: found.card, revision: found.revision, uses: await toolUses(db, params.id) };
};
