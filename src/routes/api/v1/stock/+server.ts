import { json } from '@sveltejs/kit';
import { wholeShelf } from '$lib/server/database';
import { stock } from '../../../../lib/server/learned-history';
import { store } from '$lib/server/store';

/** What is left of every lot, runs taken off. */
export const GET = async () => {
  const { db } = await store();
  return json(await stock(db, await wholeShelf(db), Date.now()));
};
