import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { saltings, tideline } from '../../../../demo/plans';
import { cureOf } from '../../cure';
import { done, event as eventAt } from '../run.testing';
import { foldRun } from '../log/fold';
import { freeze } from '../snapshot/freeze';
import { warmthOf } from './warmth';
import { worthAPhoto } from '../after/worth-a-photo';
import { type RunEvent } from '../log/events';

const MINUTE = 60_000;
const T0 = 1_700_000_000_000;
const frozen = freeze(tideline, cards);
const quick = cards.bases.find((b) => b.id === tideline.mixes[0]!.baseId)!;

const event = (told: Record<string, unknown>, minutes: number) => eventAt(told, T0 + minutes * MINUTE);
const fold = (events: RunEvent[], f = frozen) => foldRun(f.tasks, events, f.computed.division);

/** Everything done up to the task that a title begins with, a minute each. */
function doneUntil(stop: (task: (typeof frozen.tasks)[number]) => boolean, f = frozen): RunEvent[] {
  return f.tasks.slice(0, f.tasks.findIndex(stop)).map((t, i) => done(t, T0 + i * MINUTE));
}

describe('how warm something should be', () => {
  const events = doneUntil((t) => t.kind === 'pour');
  const state = fold(events);
  const zero = state.cups.get('mudflat')!.zero!;
  const grams = frozen.computed.cups.find((c) => c.cupId === 'mudflat')!.balance.mixed;
  const room = tideline.bench.roomCelsius;

  it('is what the cure model says of that cup, from its own zero on', () => {
    const { course } = cureOf(quick.openMinutes, { cup: grams }, room);
    for (const minutes of [0, 5, 17, 40]) {
      const [before, after] = [
        course.findLast((m) => m.minute <= minutes)!,
        course.find((m) => m.minute > minutes)!
      ];
      const told = warmthOf(frozen, state, 'mudflat', zero + minutes * MINUTE);
      expect(told).toBeGreaterThanOrEqual(Math.min(before.celsius, after.celsius) - 1e-9);
      expect(told).toBeLessThanOrEqual(Math.max(before.celsius, after.celsius) + 1e-9);
    }
    expect(warmthOf(frozen, state, 'mudflat', zero)).toBeCloseTo(room, 6);
  });

  it('comes sooner where the cup runs ahead, and follows the room as read', () => {
    const at = zero + 9 * MINUTE;
    const ahead = fold([
      ...events,
      event({ type: 'felt', cupId: 'mudflat', state: 'holds a line' }, (zero - T0) / MINUTE + 8)
    ]);
    expect(warmthOf(frozen, ahead, 'mudflat', at)).toBeGreaterThan(warmthOf(frozen, state, 'mudflat', at));
    const warm = fold([...events, event({ type: 'room', celsius: room + 6 }, 1)]);
    expect(warmthOf(frozen, warm, 'mudflat', zero)).toBeCloseTo(room + 6, 6);
  });

  it('is the room’s before it is mixed, and of what has no cure model', () => {
    expect(warmthOf(frozen, fold([]), 'mudflat', T0)).toBe(room);
    const soap = freeze(saltings, cards);
    const mixed = fold(
      doneUntil((t) => t.kind === 'pour', soap),
      soap
    );
    expect(warmthOf(soap, mixed, 'foam', T0 + 30 * MINUTE)).toBe(saltings.bench.roomCelsius);
  });

  it('of a group is that of the layer that was poured last', () => {
    const poured = fold(doneUntil((t) => t.kind === 'gate'));
    const at = poured.groups.get('knobs')!.lastPour!;
    const mm = frozen.computed.groups[0]!.layers[0]!;
    const { course } = cureOf(quick.openMinutes, { layer: mm.to - mm.from }, room);
    const peak = Math.max(...course.map((m) => m.celsius));
    expect(warmthOf(frozen, poured, 'knobs', at)).toBeCloseTo(room, 6);
    expect(warmthOf(frozen, poured, 'knobs', at + 30 * MINUTE)).toBeLessThanOrEqual(peak + 1e-9);
  });
});

describe('a photo', () => {
  const gate = frozen.tasks.find((t) => t.kind === 'gate')!;
  const demould = frozen.tasks.find((t) => t.kind === 'demould')!;
  const events = doneUntil((t) => t.id === gate.id);

  it('is worth having of each layer as poured, of the open face, and of what comes out; once each', () => {
    expect(worthAPhoto(fold(events), gate)).toBe('layer 1 as poured');
    const taken = [
      ...events,
      event({ type: 'pictured', photo: 'photo-000001', stage: 'layer 1 as poured' }, 90)
    ];
    expect(worthAPhoto(fold(taken), gate)).toBeUndefined();
    // Told twice, because an answer was lost, it is one photo.
    const twice = [
      ...taken,
      event({ type: 'pictured', photo: 'photo-000001', stage: 'layer 1 as poured' }, 95)
    ];
    expect(fold(twice).photos).toHaveLength(1);
    expect(fold(taken).photos).toEqual([
      { id: 'photo-000001', at: T0 + 90 * MINUTE, stage: 'layer 1 as poured' }
    ]);
    const all = doneUntil((t) => t.id === demould.id);
    expect(worthAPhoto(fold(all), demould)).toBe('the open face as it set');
    const next = frozen.tasks[frozen.tasks.indexOf(demould) + 1]!;
    const out = [...all, event({ type: 'done', task: demould.id }, 500)];
    expect(worthAPhoto(fold(out), next)).toBe('the show face as it came out');
  });

  it('is not asked for while something is weighed, and comes back when it is undone', () => {
    expect(worthAPhoto(fold([]), frozen.tasks[0]!)).toBeUndefined();
    const weigh = frozen.tasks.find((t) => t.kind === 'weigh')!;
    expect(worthAPhoto(fold(events), weigh)).toBeUndefined();
    const taken = event({ type: 'pictured', photo: 'photo-000001', stage: 'layer 1 as poured' }, 90);
    const undone = [...events, taken, event({ type: 'undone', event: taken.id }, 91)];
    expect(worthAPhoto(fold(undone), gate)).toBe('layer 1 as poured');
  });
});
