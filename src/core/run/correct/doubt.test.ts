import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { bollard, nightHeron, rockpool, saltings, tideline } from '../../../../demo/plans';
import { metricWords } from '../../quantity';
import { booksOf, foldRun, freeze, orderOf, type Task } from '..';
import { done, event } from '../run.testing';
import { standsReady } from '../amounts/stands-ready';
import { doubtOf } from './doubt';

const frozen = freeze(tideline, cards);
const state = (events: Parameters<typeof foldRun>[1]) => foldRun(frozen.tasks, events, 0.1);
const weigh = frozen.tasks.find((t) => t.kind === 'weigh')! as Extract<Task, { kind: 'weigh' }>;
const asked = (grams: number, aimed: number) => doubtOf(frozen, state([]), weigh, { now: 0, grams, aimed });

describe('a weighing', () => {
  it.each([
    ['a comma in another place', 150, 1.2, 1.5],
    ['ten times', 12, 1.2, 1.2],
    ['a tenth', 0.12, 1.2, 1.2],
    ['kilograms', 0.0425, 42, 42.5],
    ['ounces', 3.5, 99, 99.2]
  ])('that is %s is asked about, with what was meant', (_, grams, aimed, meant) => {
    const doubt = asked(grams, aimed);
    expect(doubt?.code).toBe('slip');
    expect(doubt?.meant).toBeCloseTo(meant, 1);
    expect(metricWords(doubt!.sentence)).toMatch(/ for .*\?$/);
  });

  it('that is far from everything is asked about with nothing in its place', () => {
    expect(asked(39, 12)).toMatchObject({ code: 'slip' });
    expect(asked(39, 12)!.meant).toBeUndefined();
  });

  it.each([
    [12, 12],
    [23.9, 12],
    [6.1, 12],
    [0.14, 0.1]
  ])('of %s g for %s g is believed: over or under, and no other amount', (grams, aimed) => {
    expect(asked(grams, aimed)).toBeUndefined();
  });

  it('by eye may be any less, and not any more', () => {
    const creeping = { ...weigh, creeps: 2 };
    const told = (grams: number) => doubtOf(frozen, state([]), creeping, { now: 0, grams, aimed: 10 });
    expect(told(1)).toBeUndefined();
    expect(told(100)?.meant).toBeCloseTo(10, 6);
  });
});

describe('a pour', () => {
  const pours = frozen.tasks.filter((t): t is Extract<Task, { kind: 'pour' }> => t.kind === 'pour');
  const first = pours[0]!;
  const before = frozen.tasks.slice(0, frozen.tasks.indexOf(first)).map((t, i) => done(t, 60_000 * (i + 1)));
  const there = frozen.tasks
    .filter((t) => t.kind === 'weigh' && t.mixId === first.mixId)
    .reduce((s, t) => s + (t.kind === 'weigh' ? (t.takeOut ? -1 : 1) * t.grams : 0), 0);
  const told = (grams?: number, events = before) =>
    doubtOf(frozen, state(events), first, { now: 9e9, grams });

  it('takes no more out of a cup than was put in, and offers what is there', () => {
    const doubt = told(there * 1.5);
    expect(doubt?.code).toBe('more-than-there');
    expect(doubt!.meant!).toBeLessThanOrEqual(there);
    expect(doubt!.meant!).toBeGreaterThan(there - 0.2);
    expect(told(there)).toBeUndefined();
    expect(told(first.gramsEach * first.count)).toBeUndefined();
  });

  it('is asked about unread too, where less is left than it takes, with the cavities that still fill', () => {
    const spilt = [...before, event({ type: 'spilled', mixId: first.mixId, grams: there * 0.6 }, 8e9)];
    const doubt = told(undefined, spilt);
    expect(doubt?.code).toBe('more-than-there');
    const [, can] = /fills (\d+|none) of/.exec(metricWords(doubt!.follows!))!;
    const wanted = Math.floor((there * 0.4) / first.gramsEach);
    expect(can).toBe(wanted ? String(Math.min(first.count - 1, wanted)) : 'none');
  });

  it('is offered for no more cavities than what is there fills', () => {
    const spilt = (share: number) => [
      ...before,
      event({ type: 'spilled', mixId: first.mixId, grams: there * share }, 8e9)
    ];
    const ready = (share: number) => standsReady(frozen, state(spilt(share)), first)!;
    expect(ready(0)).toMatchObject({ short: false, fills: first.count });
    expect(ready(0).grams).toBeCloseTo(there, 1);
    for (const share of [0.3, 0.6, 0.9]) {
      const { grams, fills, short } = ready(share);
      expect(grams).toBeCloseTo(there * (1 - share), 1);
      expect(short).toBe(grams < first.gramsEach * first.count * 0.98);
      if (short) expect(fills).toBe(Math.floor(grams / first.gramsEach + 1e-9));
    }
    // Of a cup that was not weighed here nothing is known.
    expect(standsReady(frozen, state([]), first)).toBeUndefined();
  });

  it('of ten times as much is a slip of the comma', () => {
    const whole = first.gramsEach * first.count;
    expect(told(whole * 10)).toMatchObject({ code: 'slip' });
    expect(told(whole * 10)!.meant).toBeCloseTo(whole, 0);
  });
});

describe('what has to take its time', () => {
  const minute = 60_000;
  const doneTo = (task: Task) => {
    const at = frozen.tasks.indexOf(task);
    return frozen.tasks.slice(0, at).map((t, i) => done(t, minute * (i + 1)));
  };
  const after = (task: Task, minutes: number) => {
    const events = doneTo(task);
    return doubtOf(frozen, state(events), task, { now: events.at(-1)!.at + minutes * minute });
  };

  it('is asked about before it has passed, with what is missing, and not after', () => {
    const stir = frozen.tasks.find((t) => t.kind === 'stir')!;
    const { minutes } = stir as Extract<Task, { kind: 'stir' }>;
    expect(after(stir, 0.3)).toMatchObject({ code: 'too-early' });
    expect(metricWords(after(stir, 0.3)!.sentence)).toMatch(/^Stirred .* of /);
    expect(after(stir, minutes)).toBeUndefined();
    // A clock that is read from across the bench.
    expect(after(stir, 0.95 * minutes)).toBeUndefined();
  });

  it('is a demould a day early, with the hours that are missing', () => {
    const demould = frozen.tasks.find((t) => t.kind === 'demould')!;
    const doubt = after(demould, 1);
    expect(doubt).toMatchObject({ code: 'too-early' });
    expect(metricWords(doubt!.sentence)).toMatch(/^Another \d+ h/);
    expect(metricWords(doubt!.follows!)).toContain('bends or tears');
    expect(after(demould, 3 * 1440)).toBeUndefined();
  });

  it('is nothing that hands do at their own pace', () => {
    const other = freeze(rockpool, cards);
    const hands = other.tasks.filter((t) => t.kind === 'do' && t.attended > 0 && t.unattended === 0);
    expect(hands.length).toBeGreaterThan(0);
    for (const task of hands) {
      const at = other.tasks.indexOf(task);
      const events = other.tasks.slice(0, at).map((t, i) => done(t, minute * (i + 1)));
      const now = (events.at(-1)?.at ?? 0) + 1000;
      expect(doubtOf(other, foldRun(other.tasks, events, 0.1), task, { now })).toBeUndefined();
    }
  });
});

describe('what comes out of a pot or of several cups', () => {
  const upTo = (run: typeof frozen, id: string) =>
    run.tasks
      .slice(
        0,
        run.tasks.findIndex((t) => t.id === id)
      )
      .map((t, i) => done(t, 60_000 * (i + 1)));

  it('is a portion no larger than what the pot holds', () => {
    const run = freeze(rockpool, cards);
    const portion = run.tasks.find((t) => t.kind === 'weigh' && t.portionOf !== undefined)!;
    if (portion.kind !== 'weigh') throw new Error('no portion');
    const pot = portion.portionOf!;
    const events = upTo(run, portion.id);
    const told = (spilled: number) => {
      const all = [...events, event({ type: 'spilled', mixId: pot, grams: spilled }, 9e9)];
      return doubtOf(run, foldRun(run.tasks, all, 0.1), portion, {
        now: 9e9,
        grams: portion.grams,
        aimed: portion.grams
      });
    };
    const inPot = run.tasks.reduce(
      (s, t) => s + (t.kind === 'weigh' && t.mixId === pot ? (t.takeOut ? -1 : 1) * t.grams : 0),
      0
    );
    expect(told(0)).toBeUndefined();
    const short = told(inPot - portion.grams / 2)!;
    expect(short).toMatchObject({ code: 'more-than-there' });
    expect(short.meant).toBeCloseTo(portion.grams / 2, 0);
    expect(told(inPot)!.meant).toBeUndefined();
  });

  it('is not poured with another whose cup lacks it', () => {
    const run = freeze(bollard, cards);
    const both = run.tasks.find((t) => t.kind === 'pour' && t.also?.length)!;
    if (both.kind !== 'pour') throw new Error('nothing is poured together');
    const other = run.tasks.find((t) => t.id === both.also![0]!.task)!;
    if (other.kind !== 'pour') throw new Error('what is poured with it is no pour');
    const events = upTo(run, both.id);
    const told = (mixId: string, grams: number) =>
      doubtOf(
        run,
        foldRun(run.tasks, [...events, event({ type: 'spilled', mixId, grams }, 9e9)], 0.1),
        both,
        { now: 9e9 }
      );
    expect(told(both.mixId, 0.01)).toBeUndefined();
    expect(told(other.mixId, (other.gramsEach * other.count) / 2 + 10)).toMatchObject({
      code: 'more-than-there'
    });
    const order = orderOf(run.tasks).get(both.id)!;
    expect(order.some((id) => id.endsWith(other.mixId))).toBe(true);
  });

  it('is filled into another cup as far as there is any', () => {
    const run = freeze(nightHeron, cards);
    const fill = run.tasks.find((t) => t.kind === 'fill')!;
    if (fill.kind !== 'fill') throw new Error('nothing is filled from others');
    const from = fill.from[0]!;
    const events = upTo(run, fill.id);
    const state = (grams: number, more: ReturnType<typeof done>[] = []) =>
      foldRun(
        run.tasks,
        [...events, event({ type: 'spilled', mixId: from.cupId, grams }, 9e9), ...more],
        0.1
      );
    expect(doubtOf(run, state(0.01), fill, { now: 9e9 })).toBeUndefined();
    expect(doubtOf(run, state(from.grams), fill, { now: 9e9 })).toMatchObject({ code: 'more-than-there' });
    const whole = booksOf(run, state(0.01, [done(fill, 9.1e9)])).get(fill.mixId)!.put;
    const less = booksOf(run, state(from.grams, [done(fill, 9.1e9)])).get(fill.mixId)!.put;
    expect(whole).toBeCloseTo(
      fill.from.reduce((s, x) => s + x.grams, 0),
      6
    );
    expect(less).toBeLessThan(whole - from.grams / 2);
  });
});

describe('an act that is done several times', () => {
  const run = freeze(saltings, cards);
  const spray = run.tasks.find((t) => t.kind === 'do' && (t.times ?? 1) > 1 && (t.every ?? 0) > 0)!;
  if (spray.kind !== 'do') throw new Error('nothing is done several times');
  const told = (minutes: number, more: ReturnType<typeof done>[] = []) => {
    const first = event({ type: 'repeated', task: spray.id }, 1e6);
    const state = foldRun(run.tasks, [first, ...more], 0.1);
    return doubtOf(run, state, spray, { now: 1e6 + minutes * 60_000 });
  };

  it('is not asked about the first time: nothing went before', () => {
    const before = run.tasks.slice(0, run.tasks.indexOf(spray)).map((t) => done(t, 1e6));
    const state = foldRun(run.tasks, before, 0.1);
    expect(doubtOf(run, state, spray, { now: 1e6 + 1000 })).toBeUndefined();
  });

  it('is asked about before its time after the one before, whatever was done meanwhile', () => {
    const every = spray.every!;
    expect(told(every * 0.3)).toMatchObject({ code: 'too-early' });
    expect(told(every)).toBeUndefined();
    const meanwhile = event({ type: 'done', task: 'prepare' }, 1e6 + every * 60_000);
    expect(told(every, [meanwhile])).toBeUndefined();
  });
});
