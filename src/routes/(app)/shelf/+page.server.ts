import { brokenCards, wholeShelf } from '$lib/server/database';
import { stock } from '../../../lib/server/learned-history';
import { store } from '$lib/server/store';

export const load = async () => {
  const { db } = await store();
  const shelf = await wholeShelf(db);
  const today = Date.now();
  const broken = await brokenCards(db, ['moulds', 'bases', 'scales', 'vessels', 'lots']);
  return { shelf, broken, today, stock: await stock(db, shelf, today) };
};
