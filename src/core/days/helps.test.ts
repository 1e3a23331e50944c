import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { helpsFor } from './helps';
import { planDays, type DayBench, type Job } from './place';

const DAY = 1440;
/** Hands from eight to six, every day of a month. */
const hours = Array.from({ length: 30 }, (_, d) => ({ from: d * DAY + 480, to: d * DAY + 1080 }));
const bench = (over: Partial<DayBench> = {}): DayBench => ({
  hours,
  cavities: new Map([['ring', 1]]),
  ...over
});
/** A casting: an hour of hands, then its mould is busy until it is taken out a day later. */
const casting = (orderId: string, turn: number, over: Partial<Job> = {}): Job => ({
  id: `${orderId}-${turn}`,
  orderId,
  name: orderId,
  turn,
  tasks: [
    { id: 'pour', name: 'pour', length: 60, busy: [{ from: 0, to: 60 }], after: [] },
    {
      id: 'out',
      name: 'demould',
      length: 10,
      busy: [{ from: 0, to: 10 }],
      after: [{ task: 'pour', edge: 'end', min: DAY }]
    }
  ] as Job['tasks'],
  moulds: [{ id: 'ring', cavities: 1 }],
  freedBy: 'out',
  notBefore: 0,
  ...over
});
const helps = (orderId: string, jobs: readonly Job[], on = bench()) => {
  const days = planDays(jobs, on);
  const late = Math.max(0, ...jobs.filter((j) => j.orderId === orderId).map((j) => days.late.get(j.id) ?? 0));
  return {
    late,
    found: helpsFor(orderId, late, { jobs, bench: on, ends: days.ends, mouldName: () => 'Rings' })
  };
};
const said = ({ found }: ReturnType<typeof helps>) => found.map((h) => [h.words, h.late > 0]);

describe('what would help a late order', () => {
  it('is another mould where its castings wait for their one', () => {
    const jobs = [0, 1, 2, 3].map((t) => casting('rings', t, { due: 4 * DAY }));
    const late = helps('rings', jobs);
    expect(late.late).toBeGreaterThan(0);
    expect(said(late)[0]).toEqual(['1 more mould of Rings', false]);
    // A second person waits for the same mould.
    expect(said(late).map(([words]) => words)).not.toContain('1 more person');
  });

  it('is an earlier start where it was not to begin before', () => {
    const jobs = [
      casting('rings', 0, { due: 3 * DAY, notBefore: 3 * DAY }),
      casting('bowls', 0, { moulds: [] })
    ];
    expect(said(helps('rings', jobs))).toContainEqual(['an earlier start', false]);
  });

  it('is another person where the hands are the bottleneck', () => {
    const long = (id: string, due: number) =>
      casting(id, 0, {
        due,
        moulds: [],
        tasks: [
          { id: 'pour', name: 'pour', length: 540, busy: [{ from: 0, to: 540 }], after: [] }
        ] as Job['tasks'],
        freedBy: 'pour'
      });
    const jobs = [long('first', DAY), long('rings', DAY + 60)];
    expect(said(helps('rings', jobs))).toContainEqual(['1 more person', false]);
  });

  it('is nothing that makes another order late', () => {
    const jobs = [casting('bowls', 0, { due: 2 * DAY }), casting('rings', 0, { due: 2 * DAY + 60 })];
    const late = helps('rings', jobs);
    expect(late.late).toBeGreaterThan(0);
    expect(said(late).map(([words]) => words)).not.toContain('to be poured before the others');
  });

  it('is true of whatever orders there are: with it, the order is as late as was said', () => {
    const drawn = fc.array(
      fc.record({ order: fc.constantFrom('a', 'b', 'c'), due: fc.integer({ min: 1, max: 6 }) }),
      { minLength: 2, maxLength: 7 }
    );
    fc.assert(
      fc.property(drawn, (all) => {
        const jobs = all.map(({ order, due }, i) => casting(order, i, { due: due * DAY }));
        for (const orderId of ['a', 'b', 'c']) {
          const { late, found } = helps(orderId, jobs);
          if (!late) continue;
          for (const h of found) expect(h.late).toBeLessThan(late);
          const mould = found.find((h) => String(h.words).startsWith('1 more mould'));
          if (!mould) continue;
          const days = planDays(jobs, bench({ cavities: new Map([['ring', 2]]) }));
          const now = jobs.filter((j) => j.orderId === orderId).map((j) => days.late.get(j.id) ?? 0);
          expect(Math.max(0, ...now)).toBeCloseTo(mould.late, 6);
        }
      }),
      { numRuns: 25 }
    );
  });
});
