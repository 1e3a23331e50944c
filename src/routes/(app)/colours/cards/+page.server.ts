import { listCards, wholeShelf } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async () => {
  const { db } = await store();
  const { bases, colourants } = await wholeShelf(db);
  return { bases, colourants, cards: await listCards(db, 'trialcards') };
};
