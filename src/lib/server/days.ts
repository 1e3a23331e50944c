import type { Job } from '$core/days';
import type { OrdersOnDays, Plan } from '$core/plan';
import { USUAL_WAYS, type Ways } from '$core/ways';
import { foldedRun } from '$lib/run';
import { eventsOf, listRuns, readPlans, readRuns, wholeShelf, type Db, type Run } from './database';
import { openOrders } from './orders';
import { pastsOf } from './past';
import { inThread } from './sums';
import { keptWays } from './ways';

const MINUTE = 60_000;
const DAY = 1440;
/** Days ahead that are planned. */
const AHEAD = 200;
/** Runs back that may still hold a mould. */
const LOOK_BACK = 30;

/** The open orders on the days from today on, with the plans they are of. */
export interface DaysAhead extends OrdersOnDays {
  /** Midnight of today by the bench’s clock, ms: minute 0 of every figure. */
  origin: number;
  /** What lies in its moulds already: runs by id and name. */
  curing: { id: string; name: string }[];
  /** When hands are there, minutes. */
  hours: { from: number; to: number }[];
  /** Pairs of hands that they are planned for. */
  hands: number;
  asked: { planId: string; notBefore?: string; due?: string; good?: number }[];
}

/** Works out the days: every open order, beside what is curing already, in the workshop’s hours. */
export async function daysAhead(db: Db, now: number): Promise<DaysAhead> {
  const [plans, shelf, ways] = await Promise.all([readPlans(db), wholeShelf(db), keptWays(db)]);
  const remaining = await openOrders(
    db,
    plans.good.map((p) => p.plan)
  );
  const ordered = remaining.filter((p) => p.order);
  const pasts = await pastsOf(db, ordered, now);
  const origin = new Date(now).setHours(0, 0, 0, 0);
  const asked = ordered.map((plan, i) => ({
    plan,
    past: pasts[i]!,
    notBefore: Math.max((now - origin) / MINUTE, dayOf(plan.order?.notBefore, origin) ?? 0),
    due: endOf(plan.order?.due, origin)
  }));
  const own = ways ?? USUAL_WAYS;
  const hours = hoursFrom(origin, own);
  const lying = await curing(db, origin);
  const days = await inThread('days', {
    orders: asked,
    shelf,
    there: { hours, hands: own.hands },
    curing: lying
  });
  return {
    ...days,
    origin,
    hours,
    hands: own.hands,
    curing: lying.map(({ orderId, name }) => ({ id: orderId, name })),
    asked: ordered.map(askedOf)
  };
}

const askedOf = ({ id, order }: Plan): DaysAhead['asked'][number] => ({
  planId: id,
  ...(order?.notBefore ? { notBefore: order.notBefore } : {}),
  ...(order?.due ? { due: order.due } : {}),
  ...(order ? { good: order.good } : {})
});

/** A day of the calendar as minutes from the origin, by the bench’s own midnight. */
function dayOf(day: string | undefined, origin: number): number | undefined {
  const [y, m, d] = day?.split('-').map(Number) ?? [];
  return y === undefined ? undefined : (new Date(y, m! - 1, d).getTime() - origin) / MINUTE;
}
const endOf = (day: string | undefined, origin: number): number | undefined => {
  const begins = dayOf(day, origin);
  return begins === undefined ? undefined : begins + DAY;
};

/** When hands are there, day by day by the bench’s own clock; summer time moves midnight, not the hours. */
function hoursFrom(origin: number, { hours, daysOff }: Ways) {
  return Array.from({ length: AHEAD }, (_, i) => {
    const day = new Date(origin);
    day.setDate(day.getDate() + i);
    const at = (minutes: number) =>
      (new Date(day.getFullYear(), day.getMonth(), day.getDate(), 0, minutes).getTime() - origin) / MINUTE;
    return { off: daysOff.includes(day.getDay()), from: at(hours.from), to: at(hours.to) };
  }).flatMap(({ off, from, to }) => (off ? [] : [{ from, to }]));
}

/** What lies in its moulds since a run poured it: it holds them until it is out, inside its window. */
async function curing(db: Db, origin: number): Promise<Job[]> {
  const open = (await listRuns(db)).filter((r) => !r.finishedAt).slice(0, LOOK_BACK);
  const { good } = await readRuns(
    db,
    open.map((r) => r.id)
  );
  return (await Promise.all(good.map(async (run) => jobsIn(run, await eventsOf(db, run.id), origin)))).flat();
}

function jobsIn(run: Run, events: Parameters<typeof foldedRun>[1], origin: number): Job[] {
  const state = foldedRun(run.frozen, events);
  return state.tasks.flatMap(({ task, status }): Job[] => {
    if (task.kind !== 'demould' || status !== 'open') return [];
    const poured = state.groups.get(task.groupId)?.lastPour;
    const group = run.frozen.file.plan.groups.find((g) => g.id === task.groupId);
    if (poured === undefined || !group) return [];
    // Still pouring: by its score at the earliest.
    const pouring = state.tasks.some((t) => t.task.kind === 'pour' && t.status === 'open');
    const ends = run.startedAt + run.frozen.computed.score.ends * MINUTE;
    const zero = ((pouring ? Math.max(poured, ends) : poured) - origin) / MINUTE;
    const length = group.count;
    return [
      {
        id: `${run.id}~${task.groupId}`,
        orderId: run.id,
        name: run.name,
        turn: 1,
        notBefore: 0,
        moulds: [{ id: group.mouldId, cavities: group.count }],
        freedBy: task.id,
        heldFrom: 0,
        tasks: [
          {
            id: task.id,
            name: 'Demould',
            busy: [{ from: 0, to: length }],
            length,
            // A late one is done as soon as hands are there.
            after: [{ task: '@', edge: 'start', min: Math.max(0, zero + task.from) }]
          }
        ]
      }
    ];
  });
}
