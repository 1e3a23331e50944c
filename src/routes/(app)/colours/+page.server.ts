import { brokenCards, wholeShelf } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async () => {
  const { db } = await store();
  const { bases, colourants } = await wholeShelf(db);
  return { bases, colourants, broken: await brokenCards(db, ['colourants']) };
};
