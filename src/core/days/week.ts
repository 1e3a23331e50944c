import { POUR } from './jobs';
import type { Placed, Span } from './place';

const DAY = 1440;

/** One kind of work for an order on a day: all pours of it together, from when the first begins. */
export interface DayItem {
  orderId: string;
  name: string;
  /** When the hands first turn to it, and for how long in all, minutes. */
  from: number;
  minutes: number;
  /** Which pours of its order, in order. */
  turns: number[];
  /** The latest that the first of them may begin, where a window says. */
  latest?: number;
}

/** What stands somewhere through a night: castings of an order. */
export interface Standing {
  orderId: string;
  where: 'mould' | 'rack';
  castings: number;
}

/** A day: what the hands do, for how long of the time they are there, and what stands that night. */
export interface WorkDay {
  /** Days from the origin. */
  day: number;
  items: DayItem[];
  /** When the hands are busy, and when they are there, minutes from the origin. */
  busy: Span[];
  hours: Span[];
  busyMinutes: number;
  hourMinutes: number;
  night: Standing[];
}

/**
 * The days on which hands do something, and today, in order.
 *
 * @param placed what was placed on the days, minutes from the origin
 * @param hours when hands are there
 * @param count how many days from the origin are looked at
 */
export function workDays(placed: readonly Placed[], hours: readonly Span[], count: number): WorkDay[] {
  const jobs = new Map<string, Placed[]>();
  for (const p of placed) jobs.set(p.jobId, [...(jobs.get(p.jobId) ?? []), p]);
  return Array.from({ length: count }, (_, day) => workDay(placed, { jobs, hours, day })).filter(
    (d) => d.day === 0 || d.items.length > 0
  );
}

interface On {
  jobs: ReadonlyMap<string, readonly Placed[]>;
  hours: readonly Span[];
  day: number;
}

function workDay(placed: readonly Placed[], { jobs, hours, day }: On): WorkDay {
  const [from, to] = [day * DAY, (day + 1) * DAY];
  const stretches = placed
    .flatMap((p) => p.busy.flatMap((s) => (s.from >= from && s.from < to ? [{ p, ...s }] : [])))
    .sort((a, b) => a.from - b.from);
  const items = itemsOf(stretches);
  const busy = stretches.map(({ from, to }) => ({ from, to }));
  const there = hours.flatMap((h) => {
    const span = { from: Math.max(from, h.from), to: Math.min(to, h.to) };
    return span.to > span.from ? [span] : [];
  });
  return {
    day,
    items,
    busy,
    hours: there,
    busyMinutes: lengthOf(busy),
    hourMinutes: lengthOf(there),
    night: standingAt(jobs, to)
  };
}

const lengthOf = (spans: readonly Span[]): number => spans.reduce((s, x) => s + x.to - x.from, 0);

/** Stretches of work in order, those of one kind for one order together. */
function itemsOf(stretches: readonly (Span & { p: Placed })[]): DayItem[] {
  const found = new Map<string, DayItem>();
  for (const { p, from, to } of stretches) {
    const key = `${p.orderId} ${p.name}`;
    const turn = Number(p.jobId.split('~').at(-1)) || 1;
    const item = found.get(key) ?? {
      orderId: p.orderId,
      name: p.name,
      from,
      minutes: 0,
      turns: [],
      ...(p.latest === undefined ? {} : { latest: p.latest })
    };
    item.minutes += to - from;
    if (!item.turns.includes(turn)) item.turns.push(turn);
    found.set(key, item);
  }
  return [...found.values()];
}

/** What stands in its mould or on the rack at a moment, by order. */
function standingAt(jobs: On['jobs'], at: number): Standing[] {
  const found = new Map<string, Standing>();
  for (const tasks of jobs.values()) {
    const where = placeAt(tasks, at);
    const [first] = tasks;
    if (!where || !first) continue;
    const key = `${first.orderId} ${where}`;
    const before = found.get(key) ?? { orderId: first.orderId, where, castings: 0 };
    found.set(key, { ...before, castings: before.castings + 1 });
  }
  return [...found.values()];
}

/** Where a casting is at a moment: in its mould until it is out of it, then on the rack until all is done; nowhere before and after. */
function placeAt(tasks: readonly Placed[], at: number): Standing['where'] | undefined {
  const pour = tasks.find((t) => t.taskId === POUR);
  const out = tasks.find((t) => t.frees)?.to;
  if (pour && pour.to > at) return undefined;
  if (out !== undefined && out > at) return 'mould';
  return tasks.some((t) => t.to > at) ? 'rack' : undefined;
}
