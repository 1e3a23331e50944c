import { describe, expect, it } from 'vitest';
import type { Condition } from '../../document';
import { gateOpening, waitsForLayer } from './gate';
import type { RunState } from '../log/state';
import type { GateTask } from './task';

const MINUTE = 60_000;
const STATES = [{ state: 'honey' }, { state: 'gelled' }, { state: 'firm' }];

/** A run in which nothing has happened but what is told. */
const run = (told: Partial<RunState> = {}): RunState => ({
  tasks: [],
  cups: new Map(),
  groups: new Map(),
  felt: new Map(),
  probed: new Map(),
  checked: new Set(),
  photos: [],
  notes: [],
  left: new Map(),
  wasted: [],
  ticked: new Set(),
  mishaps: [],
  lost: new Set(),
  begunAgain: new Map(),
  strays: [],
  ...told
});
const cup = { scale: 1, surplus: 0, ratioError: 0, accepted: false };
const gate = (...all: { condition: Condition; minutes?: number }[]): GateTask => ({
  id: 'gate:g',
  kind: 'gate',
  groupId: 'knobs',
  stepId: 'lay-heron',
  state: '',
  minutes: 0,
  all: all.map((c) => ({ words: c.condition.kind, ...c }))
});
const judge = (task: GateTask, state: RunState, now: number, dayStart = 0) =>
  gateOpening(task, state, { now, dayStart }, STATES);
const since = (zero: Extract<Condition, { kind: 'since' }>['zero'], minutes = 10) => ({
  condition: { kind: 'since', zero, minutes } as const
});

describe('a gate waits for nothing', () => {
  const pour = (status: 'skipped' | 'open' | 'done') => ({
    task: { id: 'pour:a', kind: 'pour', groupId: 'knobs', stepId: 'a', mixId: 'a', cupId: 'a' } as never,
    status
  });
  const own = gate({ condition: { kind: 'state', state: 'gelled', of: 'layer below' }, minutes: 30 });
  const at = (task: GateTask, ...statuses: ('skipped' | 'open')[]) =>
    judge(task, run({ tasks: [...statuses.map(pour), { task, status: 'open' }] }), 1000);

  it('where every pour before it was left out', () => {
    expect(at(own, 'skipped', 'skipped')).toMatchObject({ open: true, by: 'nothing' });
    expect(at(own, 'skipped', 'open').open).toBe(false);
    expect(at(own).open).toBe(false);
  });

  it('where what it counts from was left out', () => {
    const from = gate(since({ stepDone: 'a' }));
    expect(at(from, 'skipped')).toMatchObject({ open: true, by: 'nothing' });
    expect(at(from, 'open').open).toBe(false);
  });
});

describe('a gate in a run counts from', () => {
  const done = (id: string, stepId: string, doneAt: number, status: 'done' | 'open' = 'done') => ({
    task: { id, kind: 'do', stepId } as never,
    status,
    doneAt
  });
  it.each([
    [
      'the meeting of a mix',
      { mixMet: 'heron' },
      run({ cups: new Map([['heron', { ...cup, zero: 1000 }]]) })
    ],
    [
      'the meeting of a split mix',
      { mixMet: 'mix' },
      run({ cups: new Map([['~mix', { ...cup, zero: 1000 }]]) })
    ],
    [
      'a cup’s colouring',
      { cupColoured: 'foam' },
      run({ cups: new Map([['foam', { ...cup, coloured: 1000 }]]) })
    ],
    ['demoulding', { demoulded: 'knobs' }, run({ groups: new Map([['knobs', { demoulded: 1000 }]]) })],
    [
      'the end of a step, its last task',
      { stepDone: 'spray' },
      run({ tasks: [done('a', 'spray', 400), done('b', 'spray', 1000)] })
    ]
  ] as const)('%s', (_, zero, state) => {
    const opens = 1000 + 10 * MINUTE;
    expect(judge(gate(since(zero)), state, opens - 1)).toMatchObject({ open: false, opensAt: opens });
    expect(judge(gate(since(zero)), state, opens)).toMatchObject({
      open: true,
      by: 'minutes',
      opensAt: opens
    });
    expect(judge(gate(since(zero)), run(), opens * 9)).toMatchObject({ open: false, opensAt: Infinity });
  });

  it('no step that is still to do, nor the gate before it', () => {
    const zero = since({ stepDone: 'spray' });
    const open = run({ tasks: [done('a', 'spray', 1000, 'open')] });
    expect(judge(gate(zero), open, 1e12).open).toBe(false);
    const waited = run({
      tasks: [
        { task: { id: 'gate:x', kind: 'gate', stepId: 'spray' } as never, status: 'done', doneAt: 1000 }
      ]
    });
    expect(judge(gate(zero), waited, 1e12).open).toBe(false);
  });
});

describe('a state', () => {
  const gelled = (minutes?: number) => ({
    condition: { kind: 'state', state: 'gelled', of: { cup: 'heron' } } as const,
    ...(minutes === undefined ? {} : { minutes })
  });
  const felt = (state: string, at: number) =>
    run({ cups: new Map([['heron', { ...cup, zero: 1000 }]]), felt: new Map([['heron', { state, at }]]) });

  it('of a cup is what the hand said of it since its parts met, or a later one', () => {
    expect(judge(gate(gelled()), felt('honey', 2000), 3000).open).toBe(false);
    expect(judge(gate(gelled()), felt('gelled', 2000), 3000)).toMatchObject({ open: true, by: 'state' });
    expect(judge(gate(gelled()), felt('firm', 2000), 3000).open).toBe(true);
    expect(judge(gate(gelled()), felt('gelled', 999), 3000).open).toBe(false);
    expect(judge(gate(gelled()), felt('gelled', 1000), 3000).open).toBe(true);
  });

  it('that has minutes opens by them, from the meeting of its cup; without any only by the hand', () => {
    const met = run({ cups: new Map([['heron', { ...cup, zero: 1000 }]]) });
    expect(judge(gate(gelled(5)), met, 1000 + 5 * MINUTE - 1).open).toBe(false);
    expect(judge(gate(gelled(5)), met, 1000 + 5 * MINUTE)).toMatchObject({ open: true, by: 'minutes' });
    expect(judge(gate(gelled()), met, 1e12)).toMatchObject({ open: false, opensAt: Infinity });
  });

  it('is told before minutes, when both have come', () => {
    const state = { ...felt('firm', 2000) };
    expect(judge(gate(since({ mixMet: 'heron' }, 1), gelled()), state, 1000 + MINUTE).by).toBe('state');
  });
});

describe('a probe, a time of day, a look', () => {
  const warm = (of: { cup: string } | { cavity: string }) => ({
    condition: { kind: 'probe', of, celsius: 38 } as const
  });
  it('a probe opens at the warmth it asks for, in the place it asks about', () => {
    const at = (celsius: number) => run({ probed: new Map([['knobs', { celsius, at: 500 }]]) });
    expect(judge(gate(warm({ cavity: 'knobs' })), at(37.9), 1000)).toMatchObject({
      open: false,
      opensAt: Infinity
    });
    expect(judge(gate(warm({ cavity: 'knobs' })), at(38), 1000)).toMatchObject({
      open: true,
      by: 'probe',
      opensAt: 500
    });
    expect(judge(gate(warm({ cup: 'heron' })), at(50), 1000).open).toBe(false);
    expect(judge(gate(warm({ cup: 'heron' })), at(50), 1000).conditions[0]).toMatchObject({ celsius: 38 });
  });

  it('a time of day is one of this day', () => {
    const task = gate({ condition: { kind: 'clock', at: '08:30' } });
    const opens = 7_000_000 + 510 * MINUTE;
    expect(judge(task, run(), opens - 1, 7_000_000)).toMatchObject({ open: false, opensAt: opens });
    expect(judge(task, run(), opens, 7_000_000)).toMatchObject({ open: true, by: 'clock' });
  });

  it('a look is done once it is ticked, each of several by itself', () => {
    const look = { condition: { kind: 'checked', words: 'no bubble' } as const };
    const task = gate(look, look);
    expect(judge(task, run({ checked: new Set(['gate:g#0']) }), 1).open).toBe(false);
    const both = judge(task, run({ checked: new Set(['gate:g#0', 'gate:g#1']) }), 1);
    expect(both).toMatchObject({ open: true, by: 'checked' });
    expect(both.conditions.map((c) => [c.met, c.look])).toEqual([
      [true, true],
      [true, true]
    ]);
  });
});

describe('several conditions', () => {
  const cups = new Map([['heron', { ...cup, zero: 0 }]]);
  it('are all waited for, and the last is when', () => {
    const task = gate(since({ mixMet: 'heron' }, 10), since({ mixMet: 'heron' }, 25));
    expect(judge(task, run({ cups }), 24 * MINUTE)).toMatchObject({ open: false, opensAt: 25 * MINUTE });
    expect(judge(task, run({ cups }), 25 * MINUTE)).toMatchObject({ open: true, opensAt: 25 * MINUTE });
    const never = gate(since({ mixMet: 'heron' }, 10), since({ demoulded: 'knobs' }, 1));
    expect(judge(never, run({ cups }), 60 * MINUTE)).toMatchObject({ open: false, opensAt: Infinity });
    expect(judge(never, run({ cups }), 60 * MINUTE).conditions.map((c) => c.met)).toEqual([true, false]);
  });
});

describe('a gate frozen before gates had conditions', () => {
  const old: GateTask = { ...gate(), all: undefined, state: 'gelled', minutes: 30 } as never;
  it('is the layer below, in its state or after its minutes', () => {
    const groups = (told: object) => run({ groups: new Map([['knobs', { lastPour: 1000, ...told }]]) });
    expect(judge(old, groups({}), 1000 + 30 * MINUTE - 1).open).toBe(false);
    expect(judge(old, groups({}), 1000 + 30 * MINUTE).by).toBe('minutes');
    expect(judge(old, groups({ reported: { state: 'firm', at: 2000 } }), 3000).by).toBe('state');
    expect(judge(old, groups({ reported: { state: 'honey', at: 2000 } }), 3000).open).toBe(false);
  });
});

it('minutes are counted from the last pour only where a state of the layer below is waited for alone', () => {
  const layer: Condition = { kind: 'state', state: 'gelled', of: 'layer below' };
  const cupState: Condition = { kind: 'state', state: 'gelled', of: { cup: 'heron' } };
  const dry: Condition = { kind: 'since', zero: { demoulded: 'knobs' }, minutes: 2880 };
  expect(waitsForLayer(gate({ condition: layer }))).toBe(true);
  expect(waitsForLayer({ ...gate(), all: undefined } as never)).toBe(true);
  expect(waitsForLayer(gate({ condition: dry }))).toBe(false);
  expect(waitsForLayer(gate({ condition: cupState }))).toBe(false);
  expect(waitsForLayer(gate({ condition: layer }, { condition: dry }))).toBe(false);
});
