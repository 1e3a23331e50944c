import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { nightHeron, samphire, sluice, tideline } from '../../../../demo/plans';
import type { Plan } from '../../plan';
import { dryAt } from '../tasks/gate';
import { dueOf } from './due';
import { foldRun } from '../log/fold';
import { freeze } from '../snapshot/freeze';
import { type FrozenRun } from '../snapshot/frozen';
import { type RunEvent } from '../log/events';
import { done, event, upTo as untilTask } from '../run.testing';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const fold = (frozen: FrozenRun, events: RunEvent[]) => foldRun(frozen.tasks, events, 0.1);
const due = (frozen: FrozenRun, events: RunEvent[], now = 0) =>
  dueOf(frozen, fold(frozen, events), { now, dayStart: 0 });
const begun = (plan: Plan) => freeze(plan, cards);
/** Everything up to and including a task, at one moment. */
const upTo = (frozen: FrozenRun, id: string, at = 0) => untilTask(frozen, id, 0).map((e) => ({ ...e, at }));

describe('what is due', () => {
  const hooks = begun(samphire);
  const poured = upTo(hooks, hooks.tasks.findLast((t) => t.kind === 'pour')!.id);

  it('is nothing while it is poured, then demoulding with both edges and what they cost', () => {
    expect(due(hooks, poured.slice(0, 4))).toEqual([]);
    const [only, ...more] = due(hooks, poured);
    expect(more).toEqual([]);
    expect(only).toMatchObject({
      what: 'Demould hooks 1–5',
      pieces: 5,
      from: 20 * MINUTE,
      to: 30 * MINUTE,
      early: 'thin parts snap'
    });
    expect(only!.late).toMatch(/sweats/);
  });

  it('then what is done to the piece, each once its own wait opens', () => {
    const out = [
      ...poured,
      done(
        hooks.tasks.find((t) => t.kind === 'demould')!,
        25 * MINUTE
      )
    ];
    const [air] = due(hooks, out);
    expect(air).toMatchObject({ what: expect.stringMatching(/^Air/), from: 25 * MINUTE });
    const aired = [...out, done(air!.task, 26 * MINUTE)];
    const [seal] = due(hooks, aired);
    expect(seal!.what).toMatch(/^Seal/);
    expect(seal!.gate!.id).toBe('gate:gate-seal');
    expect(seal!.from).toBe(25 * MINUTE + 24 * HOUR);
    expect(seal!.early).toMatch(/haze/);
  });

  it('is the next layer while one is still to come', () => {
    const knobs = begun(tideline);
    const [next, ...more] = due(knobs, upTo(knobs, 'pour:lay-mudflat', HOUR), HOUR);
    expect(more).toEqual([]);
    expect(next!.what).toBe('Pour on: knobs 1–6 gelled');
    const gate = knobs.tasks.find((t) => t.id === 'gate:gate-heron');
    expect(next!.from).toBeCloseTo(HOUR + (gate?.kind === 'gate' ? gate.minutes : 0) * MINUTE, -1);
  });

  it('a state told of the layer opens its wait; an earlier state does not', () => {
    const knobs = begun(tideline);
    const poured = upTo(knobs, 'pour:lay-mudflat', HOUR);
    const [waits] = due(knobs, poured, HOUR + 1);
    const told = (state: string) =>
      due(knobs, [...poured, event({ type: 'reported', groupId: 'knobs', state }, HOUR + 5)], HOUR + 9)[0]!
        .from;
    expect(told('stringy')).toBe(waits!.from);
    expect(told('gelled')).toBeLessThanOrEqual(HOUR + 9);
  });

  it('put off is due later, left out is not due any more', () => {
    const [demould] = due(hooks, poured);
    const off = event({ type: 'postponed', task: demould!.task.id, until: 5 * HOUR }, 1);
    expect(due(hooks, [...poured, off])[0]).toMatchObject({ from: 5 * HOUR, to: 30 * MINUTE });
    const out = event({ type: 'skipped', task: demould!.task.id }, 1);
    expect(due(hooks, [...poured, out]).map((d) => d.task.kind)).not.toContain('demould');
  });
});

describe('what is done several times', () => {
  const spray = nightHeron.steps.find((s) => s.act.kind === 'spray')!;
  const often: Plan = {
    ...nightHeron,
    steps: nightHeron.steps.map((s) => (s === spray ? { ...s, act: { ...s.act, times: 4, every: 30 } } : s))
  };
  const loaf = begun(often);
  const own = loaf.tasks.find((t) => t.kind === 'do' && t.stepId === spray.id)!;
  const before = upTo(loaf, own.id).slice(0, -1);
  const once = (at: number) => event({ type: 'repeated', task: own.id }, at);
  const shown = (events: RunEvent[]) => due(loaf, events).find((d) => d.task.id === own.id);

  it('comes again so long after the last time, and is over with the last', () => {
    expect(shown(before)).toMatchObject({ what: expect.stringMatching(/, 1 of 4$/) });
    const times = [10, 42, 75, 100].map((m) => once(m * MINUTE));
    expect(shown([...before, times[0]!])).toMatchObject({
      from: 40 * MINUTE,
      what: expect.stringMatching(/2 of 4$/)
    });
    expect(shown([...before, ...times.slice(0, 3)])).toMatchObject({ from: 105 * MINUTE });
    expect(shown([...before, ...times])).toBeUndefined();
    const end = fold(loaf, [...before, ...times]).tasks.find((t) => t.task.id === own.id)!;
    expect([end.status, end.doneAt]).toEqual(['done', 100 * MINUTE]);
  });
});

describe('two weighings a day apart', () => {
  const bookends = begun(sluice);
  const aired = bookends.tasks.find((t) => t.kind === 'do' && t.act === 'Air-dry')!;
  const events = upTo(bookends, aired.id, HOUR);
  const weighed = (grams: number, hours: number) =>
    event({ type: 'dried', groupId: 'bookends', grams }, hours * HOUR);
  const sealFrom = (...more: RunEvent[]) =>
    due(bookends, [...events, ...more], 30 * HOUR).find((d) => d.what.startsWith('Seal'))!.from;

  it('that agree stand for the days; that still fall do not', () => {
    expect(sealFrom()).toBe(HOUR + 7 * 24 * HOUR);
    expect(sealFrom(weighed(1000, 5), weighed(990, 29))).toBe(HOUR + 7 * 24 * HOUR);
    expect(sealFrom(weighed(1000, 5), weighed(999.5, 29))).toBe(29 * HOUR);
    // Not a day apart.
    expect(sealFrom(weighed(1000, 5), weighed(999.9, 12))).toBe(HOUR + 7 * 24 * HOUR);
  });

  it('are judged by the last and one a day before it', () => {
    const at = (...list: [number, number][]) =>
      dryAt(fold(bookends, [...events, ...list.map(([g, h]) => weighed(g, h))]), 'bookends');
    expect(at([1000, 0], [999, 24])).toBe(24 * HOUR);
    expect(at([1000, 0], [997, 24])).toBeUndefined();
    expect(at([1000, 0], [990, 24], [989.5, 48])).toBe(48 * HOUR);
    expect(at([1000, 0])).toBeUndefined();
  });
});
