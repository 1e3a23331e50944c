import { json } from '@sveltejs/kit';
import { daysAhead } from '$lib/server/days';
import { store } from '$lib/server/store';

/** The open orders on the days from today on; minutes from the origin, midnight by the bench’s clock. */
export const GET = async () => {
  const { db } = await store();
  return json(await daysAhead(db, Date.now()));
};
