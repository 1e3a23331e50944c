import { goodByMonth, rejectsByAct, rejectsByDemould, secondsByAct } from '$core/inspect';
import { pointsOf } from '$lib/server/past';
import { store } from '$lib/server/store';

export const load = async () => {
  const points = await pointsOf((await store()).db);
  return {
    runs: points.length,
    byAct: rejectsByAct(points),
    byDemould: rejectsByDemould(points),
    byMonth: goodByMonth(points),
    seconds: secondsByAct(points)
  };
};
