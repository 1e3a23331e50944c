import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { RunEvent } from '$core/run';
import { addEvents, eventsOf, findRun } from '$lib/server/database';
import { forgetRun } from '$lib/server/past';
import { notHere, readBody } from '$lib/server/respond';
import { store } from '$lib/server/store';

export const GET = async ({ params }) => {
  const { db } = await store();
  if (!(await findRun(db, params.id))) return notHere('run', params.id);
  return json(await eventsOf(db, params.id));
};

/** Takes one event or a list of them; an id that is here already is stored once. */
export const POST = async ({ params, request }) => {
  const body = await readBody(request, z.union([RunEvent, z.array(RunEvent).max(500)]));
  if ('refused' in body) return body.refused;
  const opened = await store();
  if (!(await findRun(opened.db, params.id))) return notHere('run', params.id);
  const added = Array.isArray(body.value) ? body.value : [body.value];
  await addEvents(opened, params.id, added);
  forgetRun(params.id);
  return json({ stored: added.map((e) => e.id) }, { status: 201 });
};
