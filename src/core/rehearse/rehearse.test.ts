import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { samphire, tideline } from '../../../demo/plans';
import { computePlan } from '../plan';
import { booksOf, debriefOf, foldRun, freeze, handTimesOf, learnedHands, type RunEvent } from '../run';
import { done, event } from '../run/run.testing';
import { answersTo, lessonPlan, practiceLessons, MISHAPS, overshootOf, planMishaps, strike } from '.';

const frozen = freeze(tideline, cards);
const MINUTE = 60_000;
const fold = (events: RunEvent[]) => foldRun(frozen.tasks, events, 0.01);
const kinds = MISHAPS.map((m) => m.kind);

describe('lessons', () => {
  it('are three for every material, each a plan that can be begun', () => {
    expect(practiceLessons()).toHaveLength(18);
    for (const lesson of practiceLessons()) {
      const { plan, shelf } = lessonPlan(lesson);
      const computed = computePlan(plan, shelf);
      expect([lesson.id, computed.problems.filter((p) => p.level === 'stop')]).toEqual([lesson.id, []]);
      expect(freeze(plan, shelf).tasks.some((t) => t.kind === 'gate')).toBe(lesson.nth > 1);
      expect(computed.totals.pieces).toBe(2);
    }
  });

  it('find a place for every mishap they set', () => {
    for (const lesson of practiceLessons().filter((l) => l.mishaps.length)) {
      const { plan, shelf } = lessonPlan(lesson);
      expect(planMishaps(freeze(plan, shelf).tasks, lesson.mishaps, () => 0.4).map((m) => m.kind)).toEqual(
        lesson.mishaps
      );
    }
  });
});

describe('mishaps', () => {
  it('strike after tasks they can follow, no two after one', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(kinds), fc.infiniteStream(evenly(0, 1)), (some, numbers) => {
        const planned = planMishaps(frozen.tasks, some, () => numbers.next().value);
        expect(planned).toHaveLength(some.length);
        expect(new Set(planned.map((p) => p.task)).size).toBe(some.length);
        for (const { kind, task } of planned) {
          const own = frozen.tasks.find((t) => t.id === task)!;
          if (kind === 'wrong pot') expect(own.kind === 'weigh' && !own.part).toBe(true);
          if (kind === 'overshoot') expect(own.kind === 'weigh' && own.part).toBe(true);
          if (kind === 'spilled cup' || kind === 'fast gel') expect(own.kind).toBe('stir');
        }
      })
    );
  });

  it('leave a kind out that has no place', () => {
    const plain = frozen.tasks.filter((t) => t.kind !== 'weigh' || t.part);
    expect(planMishaps(plain, ['wrong pot', 'phone call'], () => 0).map((m) => m.kind)).toEqual([
      'phone call'
    ]);
  });

  it('overshoot by five to thirteen hundredths', () => {
    expect(overshootOf(0)).toBeCloseTo(1.05, 9);
    expect(overshootOf(1)).toBeCloseTo(1.13, 9);
  });

  const upTo = (id: string) => {
    const until = frozen.tasks.findIndex((t) => t.id === id);
    return frozen.tasks.slice(0, until + 1).map((t, i) => done(t, i * 1000));
  };
  const struckAt = (kind: (typeof kinds)[number], id: string, random = 0.5) => {
    const events = upTo(id);
    const task = frozen.tasks.find((t) => t.id === id)!;
    const struck = strike(kind, { frozen, state: fold(events), task }, () => random);
    return { events, struck, after: [...events, ...struck.events.map((e, i) => event(e, 100_000 + i))] };
  };

  it('take minutes, warmth, grams or the right pot away', () => {
    expect(struckAt('phone call', 'stir:mudflat').struck.ahead).toBe(4);
    expect(fold(struckAt('cold room', 'prepare').after).room?.celsius).toBe(tideline.bench.roomCelsius - 6);
    const spill = struckAt('spilled cup', 'stir:mudflat');
    const before = booksOf(frozen, fold(spill.events)).get('mudflat')!;
    const book = booksOf(frozen, fold(spill.after)).get('mudflat')!;
    expect(book.left / before.left).toBeCloseTo(0.5, 1);
    expect(book.spilled + book.left).toBeCloseTo(before.left, 9);
    const pot = fold(struckAt('wrong pot', 'weigh:mudflat:mudflat-brown').after);
    expect(pot.tasks.find((t) => t.task.id === 'weigh:mudflat:mudflat-brown')?.instead?.name).toBe(
      'the pot beside it'
    );
  });

  it('a fast cup moves its own clock and no other', () => {
    const { after, events } = struckAt('fast gel', 'stir:mudflat');
    const at = (list: RunEvent[]) =>
      debriefOf(frozen, fold([...list, event({ type: 'done', task: 'pour:lay-mudflat' }, 200_000)]))
        .windows[0]!.until;
    expect(at(after)).toBeLessThan(at(events) * 0.5);
  });
});

describe('the answers to mishaps', () => {
  const play = (mend: (events: RunEvent[]) => RunEvent[]) => {
    const until = frozen.tasks.findIndex((t) => t.id === 'stir:mudflat') + 1;
    const first = frozen.tasks.slice(0, until).map((t, i) => done(t, i * 1000));
    const spilled = event({ type: 'spilled', mixId: 'mudflat', grams: 12 }, 50_000);
    const mended = mend([...first, spilled]);
    const rest = frozen.tasks.slice(until).map((t, i) => done(t, 100_000 + i * 1000));
    return answersTo([{ kind: 'spilled cup', task: 'stir:mudflat' }], frozen, fold([...mended, ...rest]))[0]!;
  };

  it('see a spilled cup that was poured as if it were whole', () => {
    expect(play((e) => e)).toMatchObject({ well: false });
  });

  it('see it topped up', () => {
    const lines = [
      { key: 'A', grams: 8 },
      { key: 'B', grams: 4 }
    ];
    expect(play((e) => [...e, event({ type: 'topped', mixId: 'mudflat', lines }, 60_000)])).toMatchObject({
      well: true
    });
  });
});

describe('the debrief', () => {
  const timed = (minutesEach: number, late = 0) => {
    let at = 0;
    return frozen.tasks.map((t) => {
      if (t.kind === 'weigh') at += 0.5 * MINUTE;
      if (t.kind === 'stir') at += t.minutes * MINUTE;
      if (t.kind === 'pour') at += (minutesEach * t.count + (t.id === 'pour:lay-foam' ? late : 0)) * MINUTE;
      if (t.kind === 'gate') at += t.minutes * MINUTE;
      return done(t, Math.round(at));
    });
  };

  it('finds every window met in a run that kept to the plan, and nothing to change', () => {
    const { windows, gates, advice } = debriefOf(frozen, fold(timed(0.5)));
    expect(windows.map((w) => w.met)).toEqual([true, true, true]);
    expect(gates.filter((g) => g.early)).toEqual([]);
    expect(gates.length).toBeGreaterThanOrEqual(2);
    expect(advice).toEqual([]);
  });

  it('finds the window that was missed, and by how much', () => {
    const { windows, advice } = debriefOf(frozen, fold(timed(0.5, 60)));
    expect(windows.map((w) => w.met)).toEqual([true, true, false]);
    expect(advice[0]!.sentence).toMatch(/cup C was still poured \d+\.\d min past/);
  });

  it('a wait that was cut short is said, unless the hand told the state', () => {
    const events = timed(0.5).map((e, i, all) =>
      'task' in e && e.task === 'gate:gate-heron' ? { ...e, at: all[i - 1]!.at + 5000 } : e
    );
    expect(debriefOf(frozen, fold(events)).gates[0]!.early).toBe(true);
    const gate = events.findIndex((e) => 'task' in e && e.task === 'gate:gate-heron');
    const told = event({ type: 'reported', groupId: 'knobs', state: 'gelled' }, events[gate]!.at - 1000);
    expect(debriefOf(frozen, fold([...events, told])).gates[0]!.early).toBe(false);
  });

  it('says the pace of the hands where it is another than planned', () => {
    const { advice } = debriefOf(frozen, fold(timed(1)));
    expect(advice.filter((a) => a.kind === 'pace').map((a) => a.sentence)).toEqual(
      ['A', 'B', 'C'].map((letter) => `pour cup ${letter}, a cavity: 60 s, planned 30 s.`)
    );
  });

  it('leaves pauses out of the seconds an act takes', () => {
    const at = (events: RunEvent[]) =>
      debriefOf(frozen, fold(events)).acts.find((a) => a.key === 'weigh')!.spent;
    const events = timed(0.5);
    const paused = events.map((e, i) => (i > 8 ? { ...e, at: e.at + 3600_000 } : e));
    expect(at(paused)).toBeCloseTo(at(events), 6);
  });
});

it('one cup of hooks has one stir: of a cup that falls, one that sets fast and a call only one comes after it', () => {
  const hooks = freeze(samphire, cards);
  expect(planMishaps(hooks.tasks, kinds, () => 0.99).map((m) => m.kind)).toEqual(
    kinds.filter((k) => k !== 'spilled cup' && k !== 'phone call')
  );
});

describe('the hands’ own times', () => {
  it('are the median of what three runs told, and a plan without minutes of its own reckons with them', () => {
    const told = [0.4, 1.2, 0.8].map((each) => ({ kind: 'lay', each }));
    expect(learnedHands(told.slice(1)).size).toBe(0);
    const hands = learnedHands(told);
    expect(hands.get('lay')).toEqual({ each: 0.8, times: 3 });
    const free = { ...tideline, steps: tideline.steps.map(({ hands: _, ...s }) => s) };
    const minutes = (plan: typeof tideline, learned = {}) => {
      const block = computePlan(plan, cards, learned).score.blocks.find((b) => b.act === 'pour')!;
      return block.to - block.from;
    };
    expect(minutes(free, { hands })).toBeCloseTo(6 * 0.8, 9);
    expect(minutes(free)).not.toBeCloseTo(6 * 0.8, 3);
    // The maker’s own minutes win.
    const own = { ...free, steps: free.steps.map((s, i) => (i ? s : { ...s, hands: { each: 0.3 } })) };
    expect(minutes(own, { hands })).toBeCloseTo(6 * 0.3, 9);
  });

  it('come from what a run did', () => {
    const events = frozen.tasks.map((t, i) => done(t, i * MINUTE));
    const times = handTimesOf(frozen, fold(events));
    expect(times.filter((t) => t.kind === 'lay').map((t) => t.each)).toEqual([1 / 6, 1 / 6, 1 / 6]);
  });
});
