import { wholeShelf } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async () => ({ shelf: await wholeShelf((await store()).db) });
