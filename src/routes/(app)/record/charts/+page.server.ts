import {
  colourByDose,
  costByMonth,
  gelByRoom,
  goodByMonth,
  rejectsByAct,
  rejectsByDemould,
  secondsByAct
} from '$core/inspect';
import { listCards, readPlans } from '$lib/server/database';
import { pointsOf, taught } from '../../../../lib/server/learned-history';
import { store } from '$lib/server/store';

export const load = async () => {
  const { db } = await store();
  const [points, learned, bases, plans] = await Promise.all([
    pointsOf(db),
    taught(db),
    listCards(db, 'bases'),
    readPlans(db)
  ]);
  const baseOf = new Map(bases.map((b) => [b.id, b.name]));
  const planOf = new Map(plans.good.map(({ plan }) => [plan.id, plan.name]));
  return {
    runs: points.length,
    byAct: rejectsByAct(points),
    byDemould: rejectsByDemould(points),
    byMonth: goodByMonth(points),
    seconds: secondsByAct(points),
    cost: costByMonth(points),
    gels: gelByRoom(points),
    colours: colourByDose(points),
    taught: {
      clings: learned.clings.map((c) => ({ ...c, name: baseOf.get(c.baseId) ?? c.baseId })),
      hands: learned.hands,
      rejects: learned.rejects
        .filter((r) => r.of > 0 && planOf.has(r.planId))
        .map((r) => ({ ...r, name: planOf.get(r.planId)! }))
    }
  };
};
