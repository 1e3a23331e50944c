import { wholeShelf } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async () => {
  const { bases, colourants } = await wholeShelf((await store()).db);
  return { bases, colourants };
};
