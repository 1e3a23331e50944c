import { brokenCards, listCards, wholeShelf } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async () => {
  const { db } = await store();
  const { bases, colourants } = await wholeShelf(db);
  const broken = await brokenCards(db, ['trialcards']);
  return { bases, colourants, broken, cards: await listCards(db, 'trialcards') };
};
