import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { demoLots } from '../../../demo/lots';
import { samphire, tideline } from '../../../demo/plans';
import { applyEdit } from '../document/apply-edit';
import { computePlan, type Computed, type Plan } from '.';
import { poursInAll } from '../order/needs';
import { type LearnedHistory } from '../document';
import { withBase } from './plans.testing';
import { metricWords } from '../quantity';

const of = (plan: Plan, learned: LearnedHistory = {}, shelf = cards): Computed =>
  computePlan(plan, shelf, learned);
const codes = (plan: Plan, learned: LearnedHistory = {}) => of(plan, learned).problems.map((p) => p.code);
const weight = (c: Computed, cup: number, key: string) =>
  c.cups[cup]!.weighings.find((w) => w.key === key)!.weight;

describe('what the record teaches', () => {
  it('sets what clings, unless it is typed', () => {
    const learned: LearnedHistory = {
      clings: new Map([
        [tideline.mixes[0]!.baseId, { cling: 0.06, cups: 4 }],
        ['clear-slow', { cling: 0.09, cups: 3 }]
      ])
    };
    expect(of(tideline, learned).losses).toMatchObject({ cling: 0.06, from: 'record', cups: 4 });
    // To the half division that rounding may take of it in each of three cups.
    expect(of(tideline, learned).totals.balance.clings).toBeCloseTo(
      2 * of(tideline).totals.balance.clings,
      1
    );
    expect(
      of(applyEdit(tideline, { path: ['bench', 'losses', 'typed'], value: true }), learned).losses.cling
    ).toBe(0.03);
  });

  it('follows the base when that is changed, and knows nothing of one it never saw', () => {
    const learned: LearnedHistory = { clings: new Map([['clear-slow', { cling: 0.09, cups: 3 }]]) };
    expect(of(withBase(tideline, 'clear-slow'), learned).losses).toMatchObject({
      cling: 0.09,
      from: 'record'
    });
    expect(of(tideline, learned).losses).toMatchObject({ cling: 0.03, from: 'usual' });
  });

  it('sets the reject rate of an order that does not say its own', () => {
    const open: Plan = { ...tideline, order: { good: 48 } };
    expect(of(open).order).toMatchObject({ from: 'none', cast: 48 });
    expect(of(open, { rejects: { count: 3, of: 25 } }).order).toMatchObject({
      from: 'record',
      cast: 58,
      turns: 10
    });
  });

  it('warns of a dark dye in a mould before a paler piece', () => {
    const dark = { colour: '#101820', name: 'indigo', dye: true };
    const learned: LearnedHistory = { lastColours: new Map([['dome-knobs', dark]]) };
    const pale = applyEdit(tideline, { path: ['steps', 0, 'act', 'cupId'], value: 'foam' });
    expect(of(pale, learned).problems.find((p) => p.code === 'mould-residue')?.level).toBe('warn');
    expect(codes(tideline, learned)).not.toContain('mould-residue');
  });
});

describe('cost and stock', () => {
  const now = Date.UTC(2026, 10, 25);
  const shelf = { ...cards, lots: demoLots(now) };

  it('come from the lots, rejects paid for', () => {
    const c = of(samphire, { today: now }, shelf);
    const liquid = weight(c, 0, 'liquid') * ((44 * 1.2 + 3) / 5000);
    const powder = weight(c, 0, 'powder') * ((32 * 1.2 + 3) / 12_500);
    const colour = c.totals.colourants[0]!.grams * ((9.6 * 1.2 + 0.5) / 80);
    expect(c.cost!.total).toBeCloseTo(liquid + powder + colour, 6);
    expect(c.cost!.perPiece).toBeCloseTo((c.cost!.total / 5) * (26 / 22), 6);
    const paid = of({ ...samphire, consumables: 2 }, { today: now }, shelf);
    expect(paid.cost!.total).toBeCloseTo(c.cost!.total + 2, 9);
  });

  it('say what is short before anything is weighed, runs taken off', () => {
    const once: Plan = { ...samphire, order: undefined };
    expect(of(once, { today: now }, shelf).needs.every((n) => !n.short)).toBe(true);
    const uses = [{ key: 'part:acrylic-gypsum:powder', grams: 12_200, at: now - 1000 }];
    const short = of(samphire, { today: now, uses }, shelf);
    expect(short.problems.find((p) => p.code === 'stock-short')?.sentence).toContain('powder');
    // Enough for one turn, and not for all of them.
    const [turn] = [of(samphire, { today: now }, shelf)];
    const powder = turn.needs.find((n) => n.key === 'part:acrylic-gypsum:powder')!;
    const turns = poursInAll(turn.order);
    expect(turns).toBeGreaterThan(1);
    expect(powder.inAll).toBeCloseTo(powder.grams * turns, 9);
    const left = powder.have! - (powder.grams * turns) / 2;
    const half = [{ key: powder.key, grams: left, at: now - 1000 }];
    const wanting = of(samphire, { today: now, uses: half }, shelf).problems.find(
      (p) => p.code === 'stock-short'
    )!;
    expect(metricWords(wanting.sentence)).toContain(
      `${powder.inAll.toFixed(0)} g are needed for the whole order`
    );
    const late = of(samphire, { today: now + 400 * 86_400_000 }, shelf);
    expect(late.problems.map((p) => p.code)).toContain('stock-expired');
  });
});
