import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import type { Job } from '$core/days';
import type { DaysAhead } from '$core/days';
import type { Plan } from '$core/plan';
import { dueOf, groupsOf, type Task } from '$core/run';
import { USUAL_PREFERENCES, type Preferences } from '$core/preferences';
import { foldedRun } from '../run/folded-run';
import { eventsOf, listRuns, readPlans, readRuns, wholeShelf, type Db, type Run } from './database';
import { openOrders } from './orders';
import { learnedOfEach } from './learned-history';
import { inThread, type Jobs } from './workers';
import { storedPreferences } from './preferences';

const MINUTE = 60_000;
const DAY = 1440;
/** Days ahead that are planned. */
const AHEAD = 200;
/** Runs back that may still hold a mould. */
const LOOK_BACK = 30;

/** What is being placed just now: per mille done of each. */
const placing = new Set<SharedArrayBuffer>();

/** How far the orders are that are being placed, the slowest where several ask at once: 0 to 1. Nothing while none are. */
export function placedSoFar(): number | undefined {
  const shares = [...placing].map((done) => Atomics.load(new Int32Array(done), 0) / 1000);
  return shares.length ? Math.min(...shares) : undefined;
}

type Asked = Omit<Parameters<Jobs['days']>[0], 'done'>;
type PlacedDays = ReturnType<Jobs['days']>;

/** The days as they were placed last, by all they were placed from: nothing changed, nothing is placed again. */
const placedDays = new LRUCache<string, Promise<PlacedDays>>({ max: 4 });

function placedOnce(asked: Asked, done: SharedArrayBuffer): Promise<PlacedDays> {
  const key = createHash('sha1').update(JSON.stringify(asked)).digest('hex');
  const before = placedDays.get(key);
  if (before) return before;
  const placed = inThread('days', { ...asked, done });
  placedDays.set(key, placed);
  placed.catch(() => placedDays.delete(key));
  return placed;
}

/** The days begin at the next of these, ms: within one they stay as they are. */
const STEP_MS = 5 * MINUTE;

/** Works out the days: every open order, beside what is curing already, in the workshop’s hours. */
export async function daysAhead(db: Db, at: number): Promise<DaysAhead> {
  const now = Math.ceil(at / STEP_MS) * STEP_MS;
  const [plans, shelf, ways] = await Promise.all([readPlans(db), wholeShelf(db), storedPreferences(db)]);
  const { open, leftOut } = await openOrders(
    db,
    plans.good.map((p) => p.plan)
  );
  const ordered = open.filter((p) => p.order);
  const learnedEach = await learnedOfEach(db, ordered, now);
  const origin = new Date(now).setHours(0, 0, 0, 0);
  const asked = ordered.map((plan, i) => ({
    plan,
    learned: learnedEach[i]!,
    notBefore: Math.max((now - origin) / MINUTE, dayOf(plan.order?.notBefore, origin) ?? 0),
    due: endOf(plan.order?.due, origin)
  }));
  const own = ways ?? USUAL_PREFERENCES;
  const hours = hoursFrom(origin, own);
  const lying = await curing(db, now, origin);
  const done = new SharedArrayBuffer(4);
  placing.add(done);
  const there = { hours, hands: own.hands };
  const days = await placedOnce({ orders: asked, shelf, there, curing: lying }, done).finally(() =>
    placing.delete(done)
  );
  return {
    ...days,
    origin,
    hours,
    hands: own.hands,
    curing: [...new Map(lying.map(({ orderId, name }) => [orderId, { id: orderId, name }])).values()],
    asked: ordered.map(askedOf),
    leftOut
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
function hoursFrom(origin: number, { hours, daysOff }: Preferences) {
  return Array.from({ length: AHEAD }, (_, i) => {
    const day = new Date(origin);
    day.setDate(day.getDate() + i);
    const at = (minutes: number) =>
      (new Date(day.getFullYear(), day.getMonth(), day.getDate(), 0, minutes).getTime() - origin) / MINUTE;
    return { off: daysOff.includes(day.getDay()), from: at(hours.from), to: at(hours.to) };
  }).flatMap(({ off, from, to }) => (off ? [] : [{ from, to }]));
}

/** What is due of what runs poured, by the one rule for it; what lies in its mould holds that until it is out. */
async function curing(db: Db, now: number, origin: number): Promise<Job[]> {
  const open = (await listRuns(db)).filter((r) => !r.finishedAt).slice(0, LOOK_BACK);
  const { good } = await readRuns(
    db,
    open.map((r) => r.id)
  );
  const all = good.map(async (run) => jobsIn(run, await eventsOf(db, run.id), { now, origin }));
  return (await Promise.all(all)).flat();
}

/** A run's own jobs: what is due of it, and what it has still to pour before it is. */
function jobsIn(
  run: Run,
  events: Parameters<typeof foldedRun>[1],
  { now, origin }: { now: number; origin: number }
): Job[] {
  const state = foldedRun(run.frozen, events);
  const due = dueOf(run.frozen, state, { now, dayStart: origin }).filter((d) => d.task.kind !== 'gate');
  const listed = new Set(due.map((d) => d.task.id));
  const minuteOf = (ms: number) => (ms - origin) / MINUTE;
  return [
    ...due.map((d) => jobOf(run, d.task, { name: d.what, from: minuteOf(d.from) })),
    ...state.tasks.flatMap(({ task, status }): Job[] => {
      if (task.kind !== 'demould' || status !== 'open' || listed.has(task.id)) return [];
      const poured = state.groups.get(task.groupId)?.lastPour;
      // Still pouring: by its score at the earliest.
      const ends = run.startedAt + run.frozen.computed.score.ends * MINUTE;
      const from = minuteOf(Math.max(poured ?? ends, ends)) + task.from;
      return poured === undefined ? [] : [jobOf(run, task, { name: 'Demould', from })];
    })
  ];
}

/** One thing that is due, as soon as it may be and hands are there: a late one too. */
function jobOf(run: Run, task: Task, { name, from }: { name: string; from: number }): Job {
  const groups = run.frozen.file.plan.groups.filter((g) => groupsOf(task).includes(g.id));
  const pieces = groups.reduce((s, g) => s + g.count, 0);
  const length = Math.max(1, task.kind === 'do' ? task.attended : pieces);
  const demoulds = task.kind === 'demould';
  return {
    id: `${run.id}~${task.id}`,
    orderId: run.id,
    name: run.name,
    turn: 1,
    notBefore: 0,
    moulds: demoulds ? groups.map((g) => ({ id: g.mouldId, cavities: g.count })) : [],
    freedBy: demoulds ? task.id : undefined,
    ...(demoulds ? { heldFrom: 0 } : {}),
    tasks: [
      {
        id: task.id,
        name,
        busy: [{ from: 0, to: length }],
        length,
        after: [{ task: '@', edge: 'start', min: Math.max(0, from) }]
      }
    ]
  };
}
