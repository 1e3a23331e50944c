import { newId } from '$lib/id';
import { error } from '@sveltejs/kit';
import type { Colourant } from '$core/material';
import { findCardRow } from '$lib/server/database';
import { store } from '$lib/server/store';

const blank = (): Colourant => ({
  id: newId(),
  name: '',
  form: 'paste',
  pigmentFraction: 0.5,
  carrier: 'part A',
  colour: '#6b5a8a',
  strength: 1,
  notes: ''
});

export const load = async ({ params }) => {
  if (params.id === 'new') return { card: blank(), revision: undefined };
  const found = await findCardRow((await store()).db, 'colourants', params.id);
  if (!found)
    error(404, { message: 'This colourant is not on the shelf.', mend: 'See Colours for what is.' });
  return { card: found.card, revision: found.revision };
};
