import { latestStart, planDays, type DayBench, type Days, type Job } from './place';
import { helpsFor, type Help, type OnBench } from './helps';
import { slackOf } from './slack';
import { figuresOf } from '../plan/compute';
import type { LearnedHistory, Plan } from '../document';
import type { Shelf } from '../shelf';
import { jobsOf, type OrderWindow } from './jobs';

/** One open order on the days: when its castings are poured and done, what is late, and what it waits for. */
export interface OrderDays {
  planId: string;
  name: string;
  turns: number;
  /** When its last casting is done, minutes; undefined while some find no place. */
  ends?: number;
  /** How much later than it is due, minutes. */
  late?: number;
  /** What would bring it nearer to its day, where it is late. */
  helps?: Help[];
  /** When its last turn has to be begun at the latest, with the bench to itself, minutes; where it is due. */
  startBy?: number;
  /** How far its first pour could slip and the due date still be kept, minutes; where it is due. */
  slack?: number;
}

/** All open orders placed on one bench. */
export interface OrdersOnDays extends Pick<Days, 'placed' | 'unplaced'> {
  orders: OrderDays[];
}

/** The open orders on the days from today on, with the plans they are of. */
export interface DaysAhead extends OrdersOnDays {
  /** Midnight of today by the bench’s clock, ms: minute 0 of every figure. */
  origin: number;
  /** What was poured and has something due: runs by id and name. */
  curing: { id: string; name: string }[];
  /** When hands are there, minutes. */
  hours: { from: number; to: number }[];
  /** Pairs of hands that they are planned for. */
  hands: number;
  asked: { planId: string; notBefore?: string; due?: string; good?: number }[];
  /** Orders that are too large to be placed with the others. */
  leftOut: { planId: string; name: string }[];
}

/** An order with what is asked of its days. */
export interface OrderAsked extends OrderWindow {
  plan: Plan;
  learned: LearnedHistory;
}

/** Share of the work that the figures of the plans are, before anything is placed; as it is felt with many orders. */
const FIGURES = 0.4;

/**
 * Places every open order on the bench, beside what is curing there already. Cavities are as many as the plans have of each
 * mould at hand.
 *
 * @param told hears how far it is, a share that never falls
 */
export function ordersOnDays(
  asked: readonly OrderAsked[],
  shelf: Shelf,
  there: Pick<DayBench, 'hours' | 'hands'>,
  { curing = [], told = () => undefined }: { curing?: readonly Job[]; told?: (share: number) => void } = {}
): OrdersOnDays {
  const jobs = asked.map((o, i) => {
    told((i / asked.length) * FIGURES);
    return jobsOf(o.plan, figuresOf(o.plan, shelf, o.learned), o);
  });
  const bench = { ...there, cavities: cavitiesOf(asked.map((o) => o.plan)) };
  const all = [...curing, ...jobs.flat()];
  const days = planDays(all, bench, (share) => told(FIGURES + (1 - FIGURES) * share));
  const mouldName = (id: string) => shelf.moulds.find((m) => m.id === id)?.name ?? 'its mould';
  return {
    placed: days.placed,
    unplaced: days.unplaced,
    orders: helped(
      asked.map(({ plan }, i) => orderDays(plan, jobs[i]!, { ...days, bench })),
      { jobs: all, bench, ends: days.ends, mouldName }
    )
  };
}

/** Late orders that are looked after, the latest first: each costs the placing of all of them several times. */
const MOST_HELPED = 3;

/** The orders with what would help those that are late. */
function helped(orders: readonly OrderDays[], on: OnBench): OrderDays[] {
  const latest = [...orders].sort((a, b) => (b.late ?? 0) - (a.late ?? 0)).slice(0, MOST_HELPED);
  return orders.map((o) => {
    const helps = o.late && latest.includes(o) ? helpsFor(o.planId, o.late, on) : [];
    return helps.length ? { ...o, helps } : o;
  });
}

function orderDays(plan: Plan, jobs: readonly Job[], days: Days & { bench: DayBench }): OrderDays {
  const ends = jobs.map((j) => days.ends.get(j.id));
  const last = jobs.at(-1);
  const slack = last?.due === undefined ? undefined : slackOf(last);
  const startBy = last?.due === undefined ? undefined : latestStart(last, days.bench, last.due);
  const late = Math.max(0, ...jobs.map((j) => days.late.get(j.id) ?? 0));
  return {
    planId: plan.id,
    name: plan.name,
    turns: jobs.length,
    ...(jobs.length && ends.every((e) => e !== undefined) ? { ends: Math.max(...ends) } : {}),
    ...(late > 0 ? { late } : {}),
    ...(startBy === undefined ? {} : { startBy }),
    ...(slack && 'slack' in slack ? { slack: Math.min(...slack.slack.values()) } : {})
  };
}

/** Cavities at hand of each mould: the most that any plan has of it. */
function cavitiesOf(plans: readonly Plan[]): Map<string, number> {
  const found = new Map<string, number>();
  for (const g of plans.flatMap((p) => p.groups))
    found.set(g.mouldId, Math.max(found.get(g.mouldId) ?? 0, g.count));
  return found;
}
