import { calendarOf } from '../../../../lib/server/http/calendar';
import { daysAhead } from '$lib/server/days';
import { store } from '$lib/server/store';

/** The days as a calendar file, to download or to subscribe to. */
export const GET = async () => {
  const { db } = await store();
  return new Response(calendarOf(await daysAhead(db, Date.now())), {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'no-cache' }
  });
};
