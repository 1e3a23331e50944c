import { times } from '../soak.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  latestStart,
  planDays,
  slackOf,
  solveNetwork,
  type DayBench,
  type Job,
  type Link,
  type Span
} from '.';

const moments = ['@', 'a', 'b', 'c'];
const links = fc.array(
  fc.record({
    from: fc.constantFrom(...moments),
    to: fc.constantFrom(...moments),
    min: fc.integer({ min: -2, max: 3 }),
    long: fc.option(fc.integer({ min: 0, max: 3 }), { nil: undefined })
  }),
  { maxLength: 7 }
);
const HORIZON = 6;

/** Every way to set three moments to whole minutes, those that keep all links. */
function byHand(all: readonly Link[]): Map<string, number>[] {
  const found: Map<string, number>[] = [];
  for (let a = -8; a <= HORIZON; a++)
    for (let b = -8; b <= HORIZON; b++)
      for (let c = -8; c <= HORIZON; c++) {
        const at = new Map([
          ['@', 0],
          ['a', a],
          ['b', b],
          ['c', c]
        ]);
        const kept = all.every((l) => {
          const gap = at.get(l.to)! - at.get(l.from)!;
          return gap >= l.min && gap <= (l.max ?? Infinity);
        });
        if (kept) found.push(at);
      }
  return found;
}

describe('a network of windows', () => {
  it('says what trying every minute says: whether it can be kept, the earliest and the latest of each moment', () => {
    fc.assert(
      fc.property(links, (drawn) => {
        const own = drawn.map((l, i): Link => ({
          id: `l${i}`,
          from: l.from,
          to: l.to,
          min: l.min,
          max: l.long === undefined ? undefined : l.min + l.long
        }));
        // Bound from below as well, so that trying every minute is finite.
        const all = [
          ...own,
          ...moments.slice(1).map((m): Link => ({ id: `b${m}`, from: '@', to: m, min: -8 }))
        ];
        const solved = solveNetwork(all, '@', HORIZON);
        const tried = byHand(all);
        expect(solved.ok).toBe(tried.length > 0);
        if (!solved.ok) return;
        for (const m of moments) {
          expect(solved.earliest.get(m)).toBeCloseTo(Math.min(...tried.map((t) => t.get(m)!)), 9);
          expect(solved.latest.get(m)).toBeCloseTo(Math.max(...tried.map((t) => t.get(m)!)), 9);
        }
      }),
      { numRuns: times(100, 300) }
    );
  });

  it('names links that contradict one another, and only such', () => {
    const bad: Link[] = [
      { id: 'dry', from: 'out', to: 'seal', min: 100 },
      { id: 'sold', from: '@', to: 'seal', min: 0, max: 60 },
      { id: 'cast', from: '@', to: 'out', min: 20 },
      { id: 'other', from: 'out', to: 'photo', min: 5 }
    ];
    const solved = solveNetwork(bad, '@');
    expect(solved.ok).toBe(false);
    if (solved.ok) return;
    expect(solved.broken).not.toContain('other');
    expect(
      solveNetwork(
        bad.filter((l) => !solved.broken.includes(l.id)),
        '@'
      ).ok
    ).toBe(true);
  });
});

const DAY = 1440;
/** Five working days from eight to six. */
const hours: Span[] = Array.from({ length: 30 }, (_, d) => ({
  from: d * DAY + 480,
  to: d * DAY + 1080
})).filter((_, d) => d % 7 < 5);
const bench = (cavities: [string, number][] = [['tray', 6]]): DayBench => ({
  hours,
  cavities: new Map(cavities)
});

const job = (id: string, more: Partial<Job> = {}): Job => ({
  id,
  orderId: id,
  name: id,
  turn: 1,
  notBefore: 0,
  moulds: [{ id: 'tray', cavities: 6 }],
  freedBy: 'out',
  tasks: [
    { id: 'pour', name: 'pour', busy: [{ from: 0, to: 40 }], length: 40, after: [] },
    {
      id: 'out',
      name: 'demould',
      busy: [{ from: 0, to: 6 }],
      length: 6,
      after: [{ task: 'pour', edge: 'end', min: 480, max: 2880 }]
    },
    {
      id: 'seal',
      name: 'seal',
      busy: [
        { from: 0, to: 10 },
        { from: 120, to: 130 }
      ],
      length: 130,
      after: [{ task: 'out', edge: 'end', min: 1440 }]
    }
  ],
  ...more
});

const randomJob = fc
  .record({
    pour: fc.integer({ min: 5, max: 120 }),
    from: fc.integer({ min: 10, max: 1500 }),
    long: fc.integer({ min: 60, max: 4000 }),
    dry: fc.integer({ min: 0, max: 4000 }),
    each: fc.integer({ min: 1, max: 60 }),
    mould: fc.constantFrom('tray', 'slab'),
    cavities: fc.integer({ min: 1, max: 6 }),
    notBefore: fc.integer({ min: 0, max: 5000 })
  })
  .map(
    (r) => (id: string) =>
      job(id, {
        notBefore: r.notBefore,
        moulds: [{ id: r.mould, cavities: r.cavities }],
        tasks: [
          { id: 'pour', name: 'pour', busy: [{ from: 0, to: r.pour }], length: r.pour, after: [] },
          {
            id: 'out',
            name: 'demould',
            busy: [{ from: 0, to: r.each }],
            length: r.each,
            after: [{ task: 'pour', edge: 'end', min: r.from, max: r.from + r.long }]
          },
          {
            id: 'seal',
            name: 'seal',
            busy: [
              { from: 0, to: r.each },
              { from: 2 * r.each, to: 3 * r.each }
            ],
            length: 3 * r.each,
            after: [{ task: 'out', edge: 'end', min: r.dry }]
          }
        ]
      })
  );

describe('hands and tools', () => {
  const full = { from: 0, to: 600 };
  const long = (id: string) =>
    job(id, {
      moulds: [],
      tasks: [{ id: 'pour', name: 'pour', busy: [full], length: 600, after: [] }]
    });
  const potted = (id: string) =>
    job(id, {
      moulds: [],
      tasks: [
        {
          id: 'pour',
          name: 'pour',
          busy: [{ from: 0, to: 20 }],
          length: 500,
          after: [],
          tools: [{ id: 'pot', from: 15, to: 500 }]
        }
      ]
    });

  it('what fits between two others, to the minute, stands between them', () => {
    const short = (id: string, minutes: number, notBefore: number) =>
      job(id, {
        moulds: [],
        notBefore,
        tasks: [{ id: 'pour', name: 'pour', busy: [{ from: 0, to: minutes }], length: minutes, after: [] }]
      });
    const { placed } = planDays([short('a', 30, 600), short('b', 30, 650), short('c', 20, 600)], bench());
    expect(placed.map((p) => [p.jobId, p.from])).toEqual([
      ['a', 600],
      ['c', 630],
      ['b', 650]
    ]);
  });

  it('two pairs do on one day what takes one pair two', () => {
    const ends = (hands: number) =>
      Math.max(...planDays([long('a'), long('b')], { ...bench(), hands }).ends.values());
    expect(ends(1)).toBe(DAY + 1080);
    expect(ends(2)).toBe(1080);
    expect(planDays([long('a'), long('b'), long('c')], { ...bench(), hands: 2 }).ends.get('c')).toBe(
      DAY + 1080
    );
  });

  it('never more at once than there are pairs, whatever is asked', () => {
    fc.assert(
      fc.property(
        fc.array(randomJob, { minLength: 2, maxLength: 9 }),
        fc.integer({ min: 1, max: 3 }),
        (made, hands) => {
          const jobs = made.map((make, i) => make(`job-${i}`));
          const { placed } = planDays(jobs, {
            ...bench([
              ['tray', 6],
              ['slab', 6]
            ]),
            hands
          });
          const busy = placed.flatMap((p) => p.busy);
          for (const { from } of busy)
            expect(
              busy.filter((s) => s.from <= from + 1e-6 && s.to > from + 1e-6).length
            ).toBeLessThanOrEqual(hands);
          // One casting is conducted by one pair.
          for (const j of jobs) {
            const own = placed.filter((p) => p.jobId === j.id).flatMap((p) => p.busy);
            own.sort((a, b) => a.from - b.from);
            own.forEach((s, i) => i && expect(s.from).toBeGreaterThanOrEqual(own[i - 1]!.to - 1e-6));
          }
        }
      ),
      { numRuns: 60 }
    );
  });

  it('work that begins as other work ends, but for what rounding leaves, stands after it, and nothing between', () => {
    const work = (id: string, minutes: number, notBefore: number, due: number) =>
      job(id, {
        ...{ moulds: [], notBefore, due },
        tasks: [{ id: 'pour', name: 'pour', busy: [{ from: 0, to: minutes }], length: minutes, after: [] }]
      });
    const minutes = fc.double({ min: 5, max: 30, noNaN: true });
    fc.assert(
      fc.property(minutes, minutes, fc.double({ min: 0, max: 1e-10, noNaN: true }), (first, second, off) => {
        const jobs = [
          work('first', first, 600, 1),
          work('second', second, 600 + first - off, 2),
          work('third', 4, 600, 3)
        ];
        const from = new Map(planDays(jobs, bench()).placed.map((p) => [p.jobId, p.from]));
        expect(from.get('second')).toBeCloseTo(600 + first, 6);
        expect(from.get('third')).toBeCloseTo(600 + first + second, 6);
      })
    );
  });

  it('one pot holds one casting at a time, however many hands there are', () => {
    const { placed } = planDays([potted('a'), potted('b')], { ...bench(), hands: 2 });
    const [first, second] = placed;
    expect(second!.from + 15).toBeGreaterThanOrEqual(first!.from + 500 - 1e-6);
    // What needs no pot goes beside it.
    const beside = planDays([potted('a'), long('b')], { ...bench(), hands: 2 });
    expect(new Set(beside.placed.map((p) => p.from)).size).toBe(1);
  });
});

describe('orders on one bench', () => {
  it('never overlap the hands, a mould, a night or a window', () => {
    fc.assert(
      fc.property(fc.array(randomJob, { minLength: 1, maxLength: 9 }), (made) => {
        const jobs = made.map((make, i) => make(`job-${i}`));
        const b = bench([
          ['tray', 6],
          ['slab', 6]
        ]);
        const { placed, unplaced } = planDays(jobs, b);
        const busy = placed.flatMap((p) => p.busy).sort((x, y) => x.from - y.from);
        busy.forEach((s, i) => {
          if (i) expect(s.from).toBeGreaterThanOrEqual(busy[i - 1]!.to - 1e-6);
          expect(hours.some((h) => h.from <= s.from + 1e-6 && h.to >= s.to - 1e-6)).toBe(true);
        });
        for (const j of jobs) {
          const own = placed.filter((p) => p.jobId === j.id);
          if (unplaced.some((u) => u.jobId === j.id)) {
            expect(own).toEqual([]);
            continue;
          }
          const at = (id: string) => own.find((p) => p.taskId === id)!;
          expect(at('pour').from).toBeGreaterThanOrEqual(j.notBefore - 1e-6);
          for (const t of j.tasks)
            for (const a of t.after) {
              const gap = at(t.id).from - (a.edge === 'start' ? at(a.task).from : at(a.task).to);
              expect(gap).toBeGreaterThanOrEqual(a.min - 1e-6);
              if (a.max !== undefined) expect(gap).toBeLessThanOrEqual(a.max + 1e-6);
            }
        }
        // A mould is busy from the pour until its castings are out.
        for (const [mould, there] of b.cavities)
          for (const t of placed.filter((p) => p.taskId === 'pour')) {
            const held = jobs.flatMap((j) => {
              const pour = placed.find((p) => p.jobId === j.id && p.taskId === 'pour');
              const out = placed.find((p) => p.jobId === j.id && p.taskId === 'out');
              const inIt = pour && out && pour.from <= t.from + 1e-6 && out.to > t.from + 1e-6;
              return inIt ? j.moulds.filter((m) => m.id === mould).map((m) => m.cavities) : [];
            });
            expect(held.reduce((s, n) => s + n, 0)).toBeLessThanOrEqual(there);
          }
      }),
      { numRuns: 60 }
    );
  });

  it('go one after another where they share a mould, and side by side where they do not', () => {
    const shared = planDays([job('a'), job('b')], bench());
    const pours = shared.placed.filter((p) => p.taskId === 'pour');
    const firstOut = shared.placed.find((p) => p.jobId === 'a' && p.taskId === 'out')!;
    expect(pours[1]!.from).toBeGreaterThanOrEqual(firstOut.to - 1e-9);
    const apart = planDays(
      [job('a'), job('b', { moulds: [{ id: 'slab', cavities: 1 }] })],
      bench([
        ['tray', 6],
        ['slab', 1]
      ])
    );
    const [first, second] = apart.placed.filter((p) => p.taskId === 'pour');
    expect(second!.from).toBeCloseTo(first!.to, 9);
  });

  it('leave a mould alone that something lies in already, whatever is due', () => {
    const lying = job('lying', {
      heldFrom: 0,
      tasks: [
        {
          id: 'out',
          name: 'demould',
          busy: [{ from: 0, to: 6 }],
          length: 6,
          after: [{ task: '@', edge: 'start', min: 2 * DAY }]
        }
      ]
    });
    const { placed } = planDays([job('urgent', { due: DAY }), lying], bench());
    const out = placed.find((p) => p.jobId === 'lying')!;
    expect(placed.find((p) => p.taskId === 'pour')!.from).toBeGreaterThanOrEqual(out.to - 1e-9);
  });

  it('put what is due first at the front, and say what is late by how much', () => {
    const soon = job('soon', { due: 4 * DAY });
    const { placed, late } = planDays(
      [job('late', { due: 2 * DAY }), job('later', { due: 9 * DAY }), soon],
      bench()
    );
    expect(placed.filter((p) => p.taskId === 'pour').map((p) => p.jobId)).toEqual(['late', 'soon', 'later']);
    expect(late.get('late')).toBeGreaterThan(0);
    expect(late.has('later')).toBe(false);
  });

  it('say why a casting finds no place', () => {
    const short = job('short', {
      tasks: [
        job('x').tasks[0]!,
        { ...job('x').tasks[1]!, after: [{ task: 'pour', edge: 'end', min: 620, max: 640 }] }
      ]
    });
    // Ten hours after any pour of a day the hands are gone, and ten hours is all the day has.
    expect(planDays([short], bench()).unplaced[0]).toMatchObject({ taskId: 'out', why: 'window' });
    expect(
      planDays([job('big', { moulds: [{ id: 'tray', cavities: 7 }] })], bench()).unplaced[0]
    ).toMatchObject({
      why: 'mould'
    });
    const long = job('long', {
      tasks: [{ ...job('x').tasks[0]!, busy: [{ from: 0, to: 700 }], length: 700 }]
    });
    expect(planDays([long], bench()).unplaced[0]).toMatchObject({ taskId: 'pour', why: 'hours' });
  });

  it('a slip moves what depends on it and leaves the rest', () => {
    const jobs = [job('a'), job('b'), job('c', { moulds: [] })];
    const before = planDays(jobs, bench());
    const after = planDays([{ ...jobs[0]!, notBefore: DAY }, jobs[1]!, jobs[2]!], bench());
    const pour = (d: typeof before, id: string) =>
      d.placed.find((p) => p.jobId === id && p.taskId === 'pour')!.from;
    expect(pour(after, 'a')).toBeGreaterThanOrEqual(pour(before, 'a') + DAY - 480);
    expect(after.unplaced).toEqual([]);
    expect(Math.abs(pour(after, 'c') - pour(before, 'c'))).toBeLessThan(DAY);
  });
});

describe('back from a due date', () => {
  it('the latest start keeps it, and half an hour later does not', () => {
    const due = 9 * DAY;
    const start = latestStart(job('a'), bench(), due)!;
    const at = (from: number) => planDays([job('a', { notBefore: from })], bench()).ends.get('a')!;
    expect(at(start)).toBeLessThanOrEqual(due);
    expect(at(start + 31)).toBeGreaterThan(due);
    expect(latestStart(job('a'), bench(), DAY)).toBeUndefined();
  });

  it('each task may slip as far as its windows and the due date let it', () => {
    const found = slackOf(job('a', { due: 5 * DAY }));
    if (!('slack' in found)) throw new Error('cannot be kept');
    // Pour, cure, out, dry and seal take 40 + 480 + 6 + 1440 + 130 minutes at the least.
    expect(found.slack.get('seal')).toBeCloseTo(5 * DAY - (40 + 480 + 6 + 1440 + 130), 6);
    expect(found.slack.get('pour')).toBeCloseTo(5 * DAY - (40 + 480 + 6 + 1440 + 130), 6);
    // What is counted from the end of a task is counted from as long as it takes, not from when it would suit.
    const pour = {
      id: 'pour',
      name: 'pour',
      busy: [],
      length: 10,
      after: [{ task: '@', edge: 'start' as const, min: 0, max: 5 }]
    };
    const late = (min: number) => ({
      id: 'out',
      name: 'out',
      busy: [],
      length: 1,
      after: [
        { task: 'pour', edge: 'end' as const, min: 0, max: 10 },
        { task: '@', edge: 'start' as const, min }
      ]
    });
    expect('slack' in slackOf(job('x', { tasks: [pour, late(25)] }))).toBe(true);
    expect('broken' in slackOf(job('x', { tasks: [pour, late(26)] }))).toBe(true);
    const tight = slackOf(job('a', { due: 1000 }));
    expect('broken' in tight && tight.broken).toContain('seal');
  });
});
