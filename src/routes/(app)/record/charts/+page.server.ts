import {
  colourByDose,
  costByMonth,
  gelByRoom,
  goodByMonth,
  rejectsByAct,
  rejectsByDemould,
  secondsByAct,
  sharesBy
} from '$core/inspect';
import { acts } from '$core/pour';
import { listCards, measuredPieces, readPlans } from '$lib/server/database';
import { pointsOf, taught } from '../../../../lib/server/learned-history';
import { store } from '$lib/server/store';

/** Acts by which colours come to lie where they do. */
const MOVING = new Set(
  acts.all().flatMap((a) => (a.group === 'pour in' || a.group === 'move' ? [a.name] : []))
);

/** Measured pieces that are drawn, the latest first. */
const MEASURED = 400;

export const load = async () => {
  const { db } = await store();
  const [points, learned, bases, plans, measured] = await Promise.all([
    pointsOf(db),
    taught(db),
    listCards(db, 'bases'),
    readPlans(db),
    measuredPieces(db, MEASURED)
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
    shares: {
      hands: sharesBy(measured, 'hands'),
      acts: sharesBy(measured, 'acts').filter((s) => MOVING.has(s.name))
    },
    taught: {
      clings: learned.clings.map((c) => ({ ...c, name: baseOf.get(c.baseId) ?? c.baseId })),
      hands: learned.hands,
      rejects: learned.rejects
        .filter((r) => r.of > 0 && planOf.has(r.planId))
        .map((r) => ({ ...r, name: planOf.get(r.planId)! }))
    }
  };
};
