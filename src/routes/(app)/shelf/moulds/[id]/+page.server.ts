import { newId } from '$lib/id';
import { error } from '@sveltejs/kit';
import type { Mould } from '$core/mould';
import { findCardRow, listCards } from '$lib/server/database';
import { mouldHistory } from '../../../../../lib/server/learned-history';
import { store } from '$lib/server/store';

const blank = (): Mould => ({
  id: newId(),
  name: '',
  material: 'silicone',
  finish: 'gloss',
  notes: '',
  cavities: [
    {
      id: 'cavity',
      name: 'piece',
      count: 1,
      shape: { kind: 'cylinder', radius: 30, depth: 10 },
      capacity: { from: 'dimensions' }
    }
  ]
});

export const load = async ({ params }) => {
  const { db } = await store();
  const shelfEmpty = (await listCards(db, 'bases')).length === 0;
  if (params.id === 'new') return { card: blank(), revision: undefined, history: [], shelfEmpty };
  const found = await findCardRow(db, 'moulds', params.id);
  if (!found) error(404, { message: 'This mould is not on the shelf.', mend: 'See the shelf for what is.' });
  return {
    card: found.card,
    revision: found.revision,
    history: await mouldHistory(db, params.id),
    shelfEmpty
  };
};
