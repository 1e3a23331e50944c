import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { sluice } from '../../../demo/plans';
import { computePlan, type Plan } from '../plan';
import { foldRun } from './log/fold';
import { freeze } from './snapshot/freeze';
import { standingOf } from './correct/overshoot-options';
import { booksOf } from './amounts/ledger';
import { event } from './run.testing';
import type { WeighTask } from './tasks/task';

const plan: Plan = {
  ...sluice,
  mixes: sluice.mixes.map((m) => ({ ...m, creeps: [{ part: 'water', start: 0.8, step: 0.05 }] }))
};
const frozen = freeze(plan, cards);
const weighs = frozen.tasks.filter((t): t is WeighTask => t.kind === 'weigh' && t.cupId === 'sluice');
const water = weighs.filter((t) => t.key === 'water');

/** All of the dark cup weighed as planned up to so much water, and then it is enough. */
function pouredOf(goes: number, much = (t: WeighTask) => t.grams) {
  const events = frozen.tasks.flatMap((t, i) => {
    if (t.kind !== 'weigh' || t.cupId !== 'sluice') return [];
    const at = i * 60_000;
    const nth = water.indexOf(t);
    if (nth < goes) return [event({ type: 'weighed', task: t.id, grams: nth < 0 ? t.grams : much(t) }, at)];
    return nth === goes ? [event({ type: 'skipped', task: t.id }, at)] : [];
  });
  return foldRun(frozen.tasks, events, 1);
}

describe('water by eye', () => {
  it('goes in most of it first, then a little at a time, up to what is planned', () => {
    const [first, ...later] = water;
    const all = water.reduce((s, t) => s + t.grams, 0);
    const planned = computePlan(plan, cards).cups[1]!.weighings.find((w) => w.key === 'water')!.weight;
    expect(all).toBeCloseTo(planned, 0);
    expect(first!.grams / all).toBeCloseTo(0.8, 2);
    expect(later).toHaveLength(4);
    expect(water.every((t) => t.byEye)).toBe(true);
  });

  it('starts the clock with its first go', () => {
    const state = pouredOf(3);
    const firstAt = state.tasks.find((t) => t.task === water[0])!.doneAt;
    expect(state.cups.get(water[0]!.mixId)!.zero).toBe(firstAt);
  });

  it('that is enough asks for no more, and what is in the cup is what went in', () => {
    const state = pouredOf(3);
    expect(water.slice(3).map((t) => state.tasks.find((x) => x.task === t)!.status)).toEqual([
      'skipped',
      'skipped'
    ]);
    const dry = weighs.filter((t) => t.key !== 'water').reduce((s, t) => s + t.grams, 0);
    const wet = water.slice(0, 3).reduce((s, t) => s + t.grams, 0);
    expect(booksOf(frozen, state).get(water[0]!.mixId)!.put).toBeCloseTo(dry + wet, 6);
  });

  it('makes the ratio that is recorded, and no other part follows it', () => {
    const generous = pouredOf(1, (t) => t.grams * 1.1);
    const mixId = water[0]!.mixId;
    const cement = weighs.find((t) => t.key === 'cement')!.grams;
    expect(generous.cups.get(mixId)!.scale).toBe(1);
    const said = standingOf(frozen, generous, mixId)!.words;
    expect(said).toContain(((water[0]!.grams * 1.1) / cement).toFixed(3));
  });
});
