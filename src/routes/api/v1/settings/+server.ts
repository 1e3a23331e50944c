import { json } from '@sveltejs/kit';
import { USUAL_PREFERENCES, Preferences } from '$core/preferences';
import { readBody } from '../../../../lib/server/http/respond';
import { store } from '$lib/server/store';
import { storePreferences, storedPreferences } from '../../../../lib/server/preferences';

/** The workshop's own ways; until they are kept, the usual metric ones. */
export const GET = async () => {
  const { db } = await store();
  return json((await storedPreferences(db)) ?? USUAL_PREFERENCES);
};

/** Keeps the workshop's own ways. */
export const PUT = async ({ request }) => {
  const read = await readBody(request, Preferences);
  if ('refused' in read) return read.refused;
  await storePreferences(await store(), read.value);
  return json(read.value);
};
