import { newId } from '$lib/id';
import { error } from '@sveltejs/kit';
import { isWhite, paleness } from '$core/colour';
import type { Colourant } from '$core/material';
import { findCardRow, listCards, type Db } from '$lib/server/database';
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

/** The shelf's own whites, the palest first: what tints may have been made with. */
async function whitesOf(db: Db, but: string) {
  const pale = (await listCards(db, 'colourants')).filter(
    (c) => c.id !== but && ['powder', 'paste', 'dispersion'].includes(c.form) && isWhite(c)
  );
  return pale
    .sort((a, b) => paleness(b) - paleness(a))
    .map(({ id, name, colour, strength }) => ({ id, name, colour, strength }));
}

export const load = async ({ params }) => {
  const { db } = await store();
  const whites = await whitesOf(db, params.id);
  if (params.id === 'new') return { card: blank(), revision: undefined, whites };
  const found = await findCardRow(db, 'colourants', params.id);
  if (!found)
    error(404, { message: 'This colourant is not on the shelf.', mend: 'See Colours for what is.' });
  return { card: found.card, revision: found.revision, whites };
};
