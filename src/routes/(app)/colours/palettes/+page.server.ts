import { wholeShelf } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async () => {
  const { bases, colourants, scales } = await wholeShelf((await store()).db);
  return { bases, colourants, scales };
};
