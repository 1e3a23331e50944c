import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { cards } from '$demo/cards';
import { tideline } from '$demo/plans';
import type { PlannedMishap } from '$core/rehearse';
import { freeze } from '$core/run';
import { storageStub } from '../store/client.testing';
import { Rehearsal } from './rehearsal.svelte';
import { RehearsalClock } from './run-clock.svelte';

const frozen = freeze(tideline, cards);
let sent: ReturnType<typeof vi.fn>;
let kept: Map<string, string>;

beforeEach(() => {
  vi.useFakeTimers({ now: 1_000_000 });
  kept = storageStub('localStorage');
  sent = vi.fn();
  vi.stubGlobal('fetch', sent);
});
afterEach(() => void vi.useRealTimers());

const begin = (...mishaps: PlannedMishap[]) => {
  const clock = new RehearsalClock();
  return { clock, log: new Rehearsal(frozen, clock, { mishaps, random: () => 0.5 }) };
};
const doing = (log: Rehearsal, until: string) => {
  for (const t of frozen.tasks) {
    log.tell({ type: 'done', task: t.id });
    if (t.id === until) return;
  }
};
const entry = (log: Rehearsal, id: string) => log.state.tasks.find((t) => t.task.id === id)!;

describe('a rehearsal', () => {
  it('weighs by a stand-in hand what is confirmed without a reading, and sends and keeps nothing', () => {
    const { log } = begin();
    doing(log, 'stir:mudflat');
    const { actual, task } = entry(log, 'weigh:mudflat:A');
    expect(task.kind === 'weigh' && Math.abs(actual! / task.grams - 1)).toBeLessThan(0.01);
    expect(log.state.now?.task.id).toBe('pour:lay-mudflat');
    expect([sent.mock.calls.length, kept.size]).toEqual([0, 0]);
  });

  it('a hand that slips goes over, and what follows follows', () => {
    const { log } = begin({ kind: 'overshoot', task: 'weigh:mudflat:A' });
    doing(log, 'weigh:mudflat:A');
    const { actual, task } = entry(log, 'weigh:mudflat:A');
    expect(task.kind === 'weigh' && actual! / task.grams).toBeGreaterThan(1.05);
    expect(log.struck?.kind).toBe('overshoot');
    expect(log.state.cups.get('mudflat')!.scale).toBeGreaterThan(1.05);
  });

  it('a weight that the maker read is the maker’s: the slip waits for the next', () => {
    const { log } = begin({ kind: 'overshoot', task: 'weigh:mudflat:A' });
    log.tell({ type: 'done', task: 'prepare' });
    log.tell({ type: 'weighed', task: 'weigh:mudflat:A', grams: 4.9 });
    expect([log.struck, entry(log, 'weigh:mudflat:A').actual]).toEqual([undefined, 4.9]);
    log.tell({ type: 'done', task: 'weigh:mudflat:B' });
    expect(log.struck?.kind).toBe('overshoot');
  });

  it('a telephone takes minutes off the clock, which the debrief does not count', () => {
    const { log, clock } = begin({ kind: 'phone call', task: 'stir:mudflat' });
    const before = clock.read();
    doing(log, 'stir:mudflat');
    expect(clock.read() - before).toBe(4 * 60_000);
    expect(log.gone.map((g) => g.ms)).toEqual([4 * 60_000]);
  });

  it('what could never be said is refused as in a run', () => {
    expect(begin().log.tell({ type: 'note', text: ' ' })?.sentence).toMatch(/words/);
  });
});

describe('its clock', () => {
  it('runs as fast as it is set, from that moment on, and can be set ahead', () => {
    const clock = new RehearsalClock();
    const from = clock.read();
    vi.advanceTimersByTime(1000);
    expect(clock.read() - from).toBe(1000);
    clock.setSpeed(60);
    vi.advanceTimersByTime(1000);
    expect(clock.read() - from).toBe(61_000);
    clock.ahead(2);
    expect(clock.read() - from).toBe(181_000);
    clock.setSpeed(1000);
    expect(clock.speed).toBe(60);
    clock.setSpeed(0);
    expect(clock.speed).toBe(1);
    expect(clock.read() - from).toBe(181_000);
  });
});
