import { setTimeout as after } from 'node:timers/promises';
import { daysAhead } from '$lib/server/days';
import { store } from '$lib/server/store';

/** What is placed sooner than this stands on the page at once; a longer sum follows the page, ms. */
const AT_ONCE = 1200;

export const load = async () => {
  const { db } = await store();
  const working = daysAhead(db, Date.now());
  // A fault of what follows later is told where it is awaited.
  working.catch(() => undefined);
  const days = await Promise.race([working, after(AT_ONCE, undefined, { ref: false })]);
  return days ? { days } : { later: working };
};
