import { readEvents } from '$lib/server/database';
import { runOfPage } from '$lib/server/run-page';
import { store } from '$lib/server/store';

export const load = async ({ params }) => {
  const { db } = await store();
  const run = await runOfPage(db, params.id);
  const { events, unreadable } = await readEvents(db, params.id);
  return { run, events, unreadable };
};
