import { newId } from '$lib/id';
import { error } from '@sveltejs/kit';
import type { Colourant } from '$core/material';
import { findCard } from '$lib/server/database';
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
  if (params.id === 'new') return { card: blank(), fresh: true };
  const card = await findCard((await store()).db, 'colourants', params.id);
  if (!card) error(404, { message: 'This colourant is not on the shelf.', mend: 'See Colours for what is.' });
  return { card, fresh: false };
};
