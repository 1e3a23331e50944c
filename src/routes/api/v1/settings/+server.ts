import { json } from '@sveltejs/kit';
import { USUAL_WAYS, Ways } from '$core/ways';
import { readBody } from '$lib/server/respond';
import { store } from '$lib/server/store';
import { keepWays, keptWays } from '$lib/server/ways';

/** The workshop's own ways; until they are kept, the usual metric ones. */
export const GET = async () => {
  const { db } = await store();
  return json((await keptWays(db)) ?? USUAL_WAYS);
};

/** Keeps the workshop's own ways. */
export const PUT = async ({ request }) => {
  const read = await readBody(request, Ways);
  if ('refused' in read) return read.refused;
  await keepWays(await store(), read.value);
  return json(read.value);
};
