import { error } from '@sveltejs/kit';
import { eventsOf, findRun } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async ({ params }) => {
  const { db } = await store();
  const run = await findRun(db, params.id);
  if (!run) error(404, { message: 'This run is not here.', mend: 'See the record for all runs.' });
  return { run, events: await eventsOf(db, run.id) };
};
