import type { Message } from '../message';
import { counted } from '../quantity';
import { planDays, type DayBench, type Job } from './place';

/** Something that brings a late order nearer to its day: how late it is then, minutes; 0 where it is in time. */
export interface Help {
  words: Message;
  late: number;
}

/** The days as they are now: all castings, the bench, when each is done; and what a mould is called. */
export interface OnBench {
  jobs: readonly Job[];
  bench: DayBench;
  ends: ReadonlyMap<string, number>;
  mouldName: (id: string) => string;
}

/** What is done otherwise to help. */
interface Otherwise {
  words: Message;
  jobs: readonly Job[];
  bench: DayBench;
}

/** Moulds and hands more that are tried. */
const MORE = [1, 2];
/** It has to bring at least so much of the delay, a share; less is no help. */
const WORTH = 0.25;

/**
 * What would help a late order, each tried on the same days with everything else as it is: more moulds of its kind, an
 * earlier start, another person, or to be poured before the others. Of each kind the least that brings it in time, else the
 * most that helps; those that bring it in time stand first. What makes another order late, or later, is no help.
 *
 * @param late how late it is now, minutes
 */
export function helpsFor(orderId: string, late: number, { jobs, bench, ends, mouldName }: OnBench): Help[] {
  const over = (j: Job, at: ReadonlyMap<string, number>) =>
    Math.max(0, (at.get(j.id) ?? Infinity) - (j.due ?? Infinity));
  const lateWith = (otherwise: Otherwise) => {
    const days = planDays(otherwise.jobs, otherwise.bench);
    const harmed = jobs.some((j) => j.orderId !== orderId && over(j, days.ends) > over(j, ends) + 1);
    const own = jobs.filter((j) => j.orderId === orderId);
    return harmed ? Infinity : Math.max(0, ...own.map((j) => over(j, days.ends)));
  };
  const kinds = [
    moreMoulds(orderId, jobs, bench, mouldName),
    earlier(orderId, jobs, bench),
    morePeople(jobs, bench),
    first(orderId, jobs, bench)
  ];
  return kinds
    .flatMap((ways) => {
      const tried = ways.map((w) => ({ words: w.words, late: lateWith(w) }));
      const best = tried.find((t) => t.late === 0) ?? tried.sort((a, b) => a.late - b.late)[0];
      return best && best.late <= late * (1 - WORTH) ? [best] : [];
    })
    .sort((a, b) => a.late - b.late);
}

function moreMoulds(
  orderId: string,
  jobs: readonly Job[],
  bench: DayBench,
  mouldName: (id: string) => string
): Otherwise[] {
  const own = jobs.find((j) => j.orderId === orderId);
  return (own?.moulds ?? []).slice(0, 1).flatMap(({ id, cavities }) =>
    MORE.map((n) => ({
      words: `${counted(n, 'more mould')} of ${mouldName(id)}`,
      jobs,
      bench: {
        ...bench,
        cavities: new Map(bench.cavities).set(id, (bench.cavities.get(id) ?? 0) + n * cavities)
      }
    }))
  );
}

/** Begun as soon as there are hands, where it was not to begin before a day. */
function earlier(orderId: string, jobs: readonly Job[], bench: DayBench): Otherwise[] {
  const soonest = Math.min(...jobs.map((j) => j.notBefore));
  if (!jobs.some((j) => j.orderId === orderId && j.notBefore > soonest)) return [];
  const moved = jobs.map((j) => (j.orderId === orderId ? { ...j, notBefore: soonest } : j));
  return [{ words: 'an earlier start', jobs: moved, bench }];
}

const morePeople = (jobs: readonly Job[], bench: DayBench): Otherwise[] =>
  MORE.map((n) => ({
    words: `${counted(n, 'more person', 'more people')}`,
    jobs,
    bench: { ...bench, hands: (bench.hands ?? 1) + n }
  }));

/** Poured before all others: those that are due sooner wait. */
function first(orderId: string, jobs: readonly Job[], bench: DayBench): Otherwise[] {
  const own = jobs.filter((j) => j.orderId === orderId);
  const due = own[0]?.due;
  const others = jobs.filter((j) => j.orderId !== orderId);
  if (due === undefined || !others.some((j) => (j.due ?? Infinity) <= due)) return [];
  const after = others.map((j) => ({ ...j, due: Math.max(j.due ?? due, due) }));
  return [{ words: 'to be poured before the others', jobs: [...own, ...after], bench }];
}
