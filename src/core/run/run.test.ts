import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import * as demo from '../../../demo/plans';
import { computePlan } from '../plan';
import { clocksOf } from './times/clocks';
import { eventsInForce, RunEvent } from './log/events';
import { factsOf } from './amounts/actuals';
import { foldRun } from './log/fold';
import { freeze } from './snapshot/freeze';
import { gateOpening } from './tasks/gate';
import { planFromRun } from './after/repeat';
import { tasksOf } from './tasks/tasks-of';
import { type GateTask } from './tasks/task';
import type { Task } from './tasks/task';
import { pourAlone } from '../plan/plans.testing';
import { soon } from './run.testing';

const tideline = pourAlone(demo.tideline);

const computed = computePlan(tideline, cards);
const tasks = tasksOf(tideline, computed);
const frozen = freeze(tideline, cards);
let clock = 1_000_000;
let serial = 0;
type Told = RunEvent extends infer E ? (E extends RunEvent ? Omit<E, 'id' | 'at'> : never) : never;
const event = (told: Told, at = (clock += 60_000)): RunEvent =>
  RunEvent.parse({ id: `event-${String(serial++).padStart(6, '0')}`, at, ...told });
const fold = (events: RunEvent[]) => foldRun(tasks, events, 0.01);
const weigh = (key: string, grams: number) => event({ type: 'weighed', task: `weigh:mudflat:${key}`, grams });
const planned = (key: string) => computed.cups[0]!.weighings.find((w) => w.key === key)!.weight;

/** A run that does every task as planned. */
const asPlanned = () => tasks.map((t) => doTask(t));
const doTask = (t: Task): RunEvent =>
  t.kind === 'weigh'
    ? event({ type: 'weighed', task: t.id, grams: t.grams })
    : event({ type: 'done', task: t.id });

describe('the tasks of a plan', () => {
  it('stand in the order of the bench', () => {
    expect(tasks.map((t) => t.id)).toEqual([
      'prepare',
      ...['A', 'B', 'mudflat-brown', 'mudflat-black'].map((k) => `weigh:mudflat:${k}`),
      'stir:mudflat',
      'pour:lay-mudflat',
      'gate:gate-heron',
      ...['A', 'B', 'heron-white', 'heron-blue', 'heron-brown'].map((k) => `weigh:heron:${k}`),
      'stir:heron',
      'pour:lay-heron',
      'gate:gate-foam',
      ...['A', 'B', 'foam-white', 'foam-ochre'].map((k) => `weigh:foam:${k}`),
      'stir:foam',
      'pour:lay-foam',
      'demould:knobs'
    ]);
  });
});

describe('folding', () => {
  it('starts at the first task and ends after the last', () => {
    expect(fold([]).now?.task.id).toBe('prepare');
    const all = asPlanned();
    expect(fold(all).now).toBeUndefined();
    expect(fold(all.slice(0, 3)).now?.task.id).toBe('weigh:mudflat:mudflat-brown');
  });

  it('starts the mix clock when the parts meet', () => {
    const a = weigh('A', planned('A'));
    const b = weigh('B', planned('B'));
    expect(fold([a]).cups.get('mudflat')?.zero).toBeUndefined();
    expect(fold([a, b]).cups.get('mudflat')?.zero).toBe(b.at);
  });

  it('scales the rest after an overshoot, until the cup is accepted as it is', () => {
    const over = weigh('A', planned('A') * 1.1);
    const after = fold([over]);
    const target = (id: string) => after.tasks.find((t) => t.task.id === `weigh:mudflat:${id}`)!.target!;
    expect(target('B')).toBeCloseTo(planned('B') * 1.1, 9);
    expect(target('mudflat-brown')).toBeCloseTo(planned('mudflat-brown') * 1.1, 9);
    expect(after.topUp).toBeUndefined();
    const kept = fold([over, event({ type: 'accepted', mixId: 'mudflat' })]);
    expect(kept.tasks.find((t) => t.task.id === 'weigh:mudflat:B')!.target).toBe(planned('B'));
  });

  it('asks for a top-up when a later part overshoots, and is content once it is in', () => {
    const events = [weigh('A', planned('A')), weigh('B', planned('B') * 1.2)];
    const { topUp } = fold(events);
    expect(topUp?.task.key).toBe('A');
    expect(topUp?.grams).toBeCloseTo(planned('A') * 0.2, 9);
    const topped = fold([...events, event({ type: 'added', task: topUp!.task.id, grams: topUp!.grams })]);
    expect(topped.topUp).toBeUndefined();
    expect(topped.cups.get('mudflat')?.ratioError).toBeCloseTo(0, 9);
  });

  it('takes back what is undone, and only that', () => {
    const [first, second] = [doTask(tasks[0]!), weigh('A', 99)];
    const undone = fold([first, second, event({ type: 'undone', event: second.id })]);
    expect(undone.now?.task.id).toBe('weigh:mudflat:A');
    expect(undone.cups.get('mudflat')?.scale).toBe(1);
    expect(undone.undoable?.id).toBe(first.id);
  });

  it('is the same for any order of arrival and any number of copies', () => {
    const events = [
      ...asPlanned().slice(0, 9),
      event({ type: 'note', text: 'a bubble at knob 4' }),
      event({ type: 'problem', text: 'dust in the cup' }),
      event({ type: 'reported', groupId: 'knobs', state: 'gelled' })
    ];
    events.push(event({ type: 'undone', event: events[4]!.id }));
    const straight = fold(events);
    fc.assert(
      fc.property(
        fc.shuffledSubarray(events, { minLength: events.length }),
        fc.subarray(events),
        (order, twice) => {
          expect(fold([...order, ...twice])).toEqual(straight);
          expect(eventsInForce([...twice, ...order])).toEqual(eventsInForce(events));
        }
      )
    );
  });
});

describe('gates and clocks', () => {
  const poured = (at: number) => event({ type: 'done', task: 'pour:lay-mudflat' }, at);
  const gate = tasks.find((t) => t.id === 'gate:gate-heron') as GateTask;

  it('open on minutes or on a reported state, not on an earlier state or an older report', () => {
    const at = 5_000_000;
    const report = (state: string, when: number) =>
      event({ type: 'reported', groupId: 'knobs', state }, when);
    const judge = (events: RunEvent[], now: number) =>
      gateOpening(gate, fold(events), { now, dayStart: 0 }, computed.bases[0]!.states);
    expect(judge([poured(at)], at + 1000).open).toBe(false);
    expect(judge([poured(at)], at + gate.minutes * 60_000).by).toBe('minutes');
    expect(judge([poured(at), report('paste', at + 10)], at + 1000).open).toBe(false);
    expect(judge([poured(at), report('firm', at + 10)], at + 1000).by).toBe('state');
    expect(judge([report('firm', at - 10), poured(at)], at + 1000).open).toBe(false);
  });

  it('count a mixed cup’s window from its zero and stop when it is poured', () => {
    const parts = [weigh('A', planned('A')), weigh('B', planned('B'))];
    const clocks = clocksOf(frozen, fold(parts), soon);
    const window = computed.score.windows[0]!;
    expect(clocks.map((c) => c.id)).toEqual(['pour:mudflat']);
    expect(clocks[0]!.due - clocks[0]!.zero).toBeCloseTo((window.to - window.zero) * 60_000, 3);
    const done = clocksOf(frozen, fold([...parts, poured(clock + 1)]), soon);
    expect(done.some((c) => c.id === 'pour:mudflat')).toBe(false);
  });

  it('count a gate’s minutes from its own last pour, and only while it is what is waited at', () => {
    const upTo = tasks.findIndex((t) => t.id === gate.id);
    const events = tasks.slice(0, upTo).map((t) => doTask(t));
    const state = fold(events);
    const [clock] = clocksOf(frozen, state, soon).filter((c) => c.kind === 'gate');
    expect(clock).toMatchObject({ of: 'knobs', zero: events.at(-1)!.at });
    expect(clock!.due - clock!.zero).toBeCloseTo(gate.minutes * 60_000, 3);
    const before = clocksOf(frozen, fold(events.slice(0, -1)), soon);
    expect(before.some((c) => c.kind === 'gate')).toBe(false);
  });

  it('end with both edges of demoulding', () => {
    const all = asPlanned().slice(0, -1);
    const kinds = clocksOf(frozen, fold(all), soon).map((c) => c.kind);
    expect(kinds).toEqual(['demould', 'late']);
  });
});

describe('what was really done', () => {
  const events = asPlanned().map((e) =>
    e.type === 'weighed' && e.task === 'weigh:heron:heron-blue' ? { ...e, grams: e.grams * 2 } : e
  );
  const poured = events.findIndex((e) => e.type === 'done' && e.task === 'pour:lay-mudflat');
  events[poured] = { ...events[poured]!, grams: 6 } as RunEvent;
  const state = fold(events);

  it('stands beside the plan', () => {
    const facts = new Map(factsOf(computed, state).map((f) => [f.id, f]));
    expect(facts.get('pour:lay-mudflat')).toMatchObject({ actual: 6, unit: 'g' });
    const blue = facts.get('percent:heron:heron-blue')!;
    expect(blue.actual! / blue.planned).toBeCloseTo(2, 1);
    expect(facts.get('gate:gate-heron')!.actual).toBeCloseTo(1, 6);
  });

  it('makes a plan that computes to what was poured and weighed', () => {
    const again = planFromRun(tideline, computed, state, { id: 'again', name: 'Tideline knobs, as poured' });
    const result = computePlan(again, cards);
    expect(result.groups[0]!.layers[0]!.grams).toBeCloseTo(6, 2);
    expect(again.steps[2]).toMatchObject({ act: { amount: { kind: 'rim' } } });
    const line = again.cups[1]!.recipe.find((r) => r.id === 'heron-blue')!;
    expect(line.percent / tideline.cups[1]!.recipe.find((r) => r.id === 'heron-blue')!.percent).toBeCloseTo(
      2,
      1
    );
    expect(again.steps[1]!.gates[0]!.all[0]).toMatchObject({ kind: 'state', minutes: 1 });
  });
});

describe('what an event does to its task', () => {
  const upTo = (id: string) => {
    const i = tasks.findIndex((t) => t.id === id);
    return tasks.slice(0, i).map((t) => doTask(t));
  };

  it('a pour is the group’s last, a stir is not; demoulding is when it left', () => {
    const stirred = fold([...upTo('stir:mudflat'), event({ type: 'done', task: 'stir:mudflat' }, 9_000_000)]);
    expect(stirred.groups.get('knobs')?.lastPour).toBeUndefined();
    expect(stirred.cups.get('mudflat')?.coloured).toBe(9_000_000);
    const poured = fold([
      ...upTo('pour:lay-mudflat'),
      event({ type: 'done', task: 'pour:lay-mudflat' }, 9_500_000)
    ]);
    expect(poured.groups.get('knobs')).toMatchObject({ lastPour: 9_500_000 });
    expect(poured.groups.get('knobs')?.demoulded).toBeUndefined();
    const out = fold([...upTo('demould:knobs'), event({ type: 'done', task: 'demould:knobs' }, 99_000_000)]);
    expect(out.groups.get('knobs')?.demoulded).toBe(99_000_000);
  });

  it('a skipped task is neither open nor done, and weighs nothing', () => {
    const state = fold([
      event({ type: 'done', task: 'prepare' }),
      event({ type: 'skipped', task: 'weigh:mudflat:A' })
    ]);
    const entry = state.tasks.find((t) => t.task.id === 'weigh:mudflat:A')!;
    expect(entry).toMatchObject({ status: 'skipped' });
    expect(entry.actual).toBeUndefined();
    expect(state.now?.task.id).toBe('weigh:mudflat:B');
  });

  it('a top-up is asked for past two divisions and half a percent, and not for less', () => {
    const a = planned('A');
    const b = planned('B');
    // B overshoots by so much that A is short by `grams`: A is then a × over − a.
    const short = (grams: number) => fold([weigh('A', a), weigh('B', b * (1 + grams / a))]).topUp?.grams;
    const least = Math.max(0.02, 0.005 * a);
    expect(short(least * 0.95)).toBeUndefined();
    expect(short(least * 1.1)).toBeCloseTo(least * 1.1, 6);
    // On a coarse scale two of its divisions are the more of the two.
    const coarse = foldRun(tasks, [weigh('A', a), weigh('B', b * (1 + 0.15 / a))], 0.1);
    expect(coarse.topUp).toBeUndefined();
    expect(foldRun(tasks, [weigh('A', a), weigh('B', b * (1 + 0.25 / a))], 0.1).topUp?.grams).toBeCloseTo(
      0.25,
      6
    );
  });

  it('adds top-ups to what is in', () => {
    const events = [weigh('A', 3), event({ type: 'added', task: 'weigh:mudflat:A', grams: 0.5 })];
    expect(fold(events).tasks.find((t) => t.task.id === 'weigh:mudflat:A')!.actual).toBeCloseTo(3.5, 9);
  });
});

describe('a repeat keeps the plan’s own words', () => {
  const ran = (off: number) => {
    const events = asPlanned().map((e) =>
      e.type === 'weighed' && e.task === 'weigh:heron:heron-blue' ? { ...e, grams: e.grams * (1 + off) } : e
    );
    const again = planFromRun(tideline, computed, fold(events), { id: 'again', name: 'Again' });
    return again.cups[1]!.recipe.find((l) => l.id === 'heron-blue')!.percent;
  };
  const grams = computed.cups[1]!.weighings.find((w) => w.key === 'heron-blue')!;
  // As planned the scale has rounded already: the rest is the slip.
  const rounded = grams.weight / grams.exact;

  it('within half a percent, and what was weighed past it', () => {
    expect(ran(0.0045 / rounded + 1 / rounded - 1)).toBe(1.2);
    expect(ran(0.007 / rounded + 1 / rounded - 1)).toBeCloseTo(1.2 * 1.007, 2);
    expect(ran(0.05)).toBeCloseTo(1.2 * rounded * 1.05, 2);
  });
});
