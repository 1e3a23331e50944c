import { wholeShelf } from '$lib/server/database';
import { stock } from '$lib/server/past';
import { store } from '$lib/server/store';

export const load = async () => {
  const { db } = await store();
  const shelf = await wholeShelf(db);
  const today = Date.now();
  return { shelf, today, stock: await stock(db, shelf, today) };
};
