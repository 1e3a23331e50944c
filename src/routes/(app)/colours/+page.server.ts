import { listCards } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async () => {
  const { db } = await store();
  return { colourants: await listCards(db, 'colourants'), bases: await listCards(db, 'bases') };
};
