import { error } from '@sveltejs/kit';
import { readEvents, readRun } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async ({ params }) => {
  const { db } = await store();
  const read = await readRun(db, params.id);
  if (!read) error(404, { message: 'This run is not here.', mend: 'See the record for all runs.' });
  if (!read.ok)
    error(422, {
      message: `This run cannot be read: ${read.broken.problems[0]?.sentence ?? 'its text is damaged.'}`,
      mend: 'Mend, export or delete it from the record.'
    });
  const { events, unreadable } = await readEvents(db, params.id);
  return { run: read.value, events, unreadable };
};
