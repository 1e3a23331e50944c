import { daysAhead } from '$lib/server/days';
import { store } from '$lib/server/store';

export const load = async () => {
  const { db } = await store();
  return { days: await daysAhead(db, Date.now()) };
};
