import { findPlan } from '$lib/server/database';
import { store } from '$lib/server/store';

/** Whether the order that the tour goes through is here: another workshop’s database has none. */
export const load = async () => ({
  first: (await findPlan((await store()).db, 'tideline-knobs')) !== undefined
});
