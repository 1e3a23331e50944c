import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { samphire, sluice, tideline } from '../../../demo/plans';
import { applyEdit } from '../document/apply-edit';
import { computePlan, type Plan } from '../plan';
import { atBench } from '../plan/plans.testing';
import { foldedAxis } from './fold-waits';

const scoreOf = (plan: Plan) => computePlan(plan, cards).score;

describe('the folded axis', () => {
  const spans = fc
    .array(fc.tuple(evenly(0, 500), evenly(0.5, 30)), {
      minLength: 1,
      maxLength: 10
    })
    .map((pairs) => pairs.map(([from, long]) => ({ from, to: from + long })));

  it('keeps time in order, work to scale, and folds only long waits', () => {
    fc.assert(
      fc.property(spans, fc.double({ min: 1, max: 40, noNaN: true }), (busy, keep) => {
        const until = Math.max(...busy.map((b) => b.to));
        const axis = foldedAxis(busy, until, keep);
        for (const b of busy) expect(axis.at(b.to) - axis.at(b.from)).toBeCloseTo(b.to - b.from, 6);
        let before = -1;
        for (let i = 0; i <= 50; i++) {
          const place = axis.at((until * i) / 50);
          expect(place).toBeGreaterThanOrEqual(before - 1e-9);
          before = place;
        }
        for (const s of axis.stretches.filter((x) => x.folded)) {
          expect(s.to - s.from).toBeGreaterThan(keep);
          expect(s.length).toBeCloseTo(keep, 9);
        }
        expect(axis.at(until)).toBeCloseTo(axis.length, 6);
      })
    );
  });

  it('says where nothing is', () => {
    expect(foldedAxis([], 0, 9).at(5)).toBe(0);
    const axis = foldedAxis([{ from: 0, to: 10 }], 100, 9);
    expect(axis.stretches.map((s) => s.folded)).toEqual([false, true]);
    expect(axis.length).toBe(19);
  });
});

describe('a score', () => {
  it('waits longer in a cooler room and for a thinner layer', () => {
    const gate = (plan: Plan) => scoreOf(plan).gates[0]!.minutes;
    expect(gate(atBench(tideline, { roomCelsius: 18 }))).toBeGreaterThan(gate(tideline) * 1.1);
    const thin = applyEdit(tideline, { path: ['steps', 0, 'act', 'amount'], value: { kind: 'deep', mm: 2 } });
    expect(gate(thin)).toBeGreaterThan(gate(tideline));
  });

  it('takes the plan’s own minutes where they are given, and says so', () => {
    const fixed = applyEdit(tideline, { path: ['steps', 1, 'gates', 0, 'all', 0, 'minutes'], value: 200 });
    expect(scoreOf(fixed).gates[0]).toMatchObject({ minutes: 200, reckoned: 'plan' });
    expect(scoreOf(tideline).gates[0]!.reckoned).toBe('estimate');
  });

  it('gives a fuller cup a shorter window', () => {
    const long = (count: number) => {
      const plan = applyEdit(applyEdit(tideline, { path: ['groups', 0, 'count'], value: count }), {
        path: ['mixes', 'mix-heron', 'turns'],
        value: 1
      });
      const w = scoreOf(plan).windows.find((x) => x.cupId === 'heron')!;
      return w.to - w.zero;
    };
    expect(long(40)).toBeLessThan(long(6));
  });

  it('starts the clock with the part that starts it: concrete with the water, last', () => {
    const score = scoreOf(sluice);
    const weighing = score.blocks.findLast((b) => b.act === 'weigh' && b.cupId === 'sluice')!;
    expect(score.windows.find((w) => w.cupId === 'sluice')!.zero).toBeCloseTo(weighing.to, 9);
  });

  it('demoulds gypsum inside its card’s window, with the late edge', () => {
    const [window] = scoreOf(samphire).demould;
    expect(window!.from - window!.lastPour).toBeCloseTo(20, 6);
    expect(window!.to - window!.lastPour).toBeCloseTo(30, 6);
  });

  it('says when a resin is fully cured, by its card from the last pour, and nothing where no card says', () => {
    const [window] = scoreOf(tideline).demould;
    expect(window!.cured! - window!.lastPour).toBeCloseTo(72 * 60, 6);
    expect(scoreOf(samphire).demould[0]!.cured).toBeUndefined();
  });

  it('offers a known state for one this material never has', () => {
    const odd = applyEdit(sluice, {
      path: ['steps', 'lay-sluice', 'gates', 0, 'all', 0, 'state'],
      value: 'gelled'
    });
    const problem = computePlan(odd, cards).problems.find((p) => p.code === 'state-unknown')!;
    expect(problem.edit).toEqual({
      path: ['steps', 'lay-sluice', 'gates', 'gate-sluice', 'all', 0, 'state'],
      value: 'set'
    });
    expect(problem.path).toBe('plan/steps/lay-sluice/gates/gate-sluice/all/0/state');
    const mended = computePlan(applyEdit(odd, problem.edit!), cards).problems.map((p) => p.code);
    expect(mended).not.toContain('state-unknown');
  });
});
