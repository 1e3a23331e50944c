import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { nightHeron, rockpool, saltings, tideline } from '../../../demo/plans';
import { figuresOf, Plan } from '../plan';
import { amountOf } from '../pour';
import { withSpread } from './with-spread';

describe('a plan as a hand may pour it', () => {
  it('is the same for the same seed, another for another, and as planned for a hand that does not vary', () => {
    expect(withSpread(tideline, 0.05, '1')).toEqual(withSpread(tideline, 0.05, '1'));
    expect(withSpread(rockpool, 0.05, '1')).not.toEqual(withSpread(rockpool, 0.05, '2'));
    expect(withSpread(rockpool, 0, '1').steps).toEqual(rockpool.steps);
  });

  it.each([tideline, rockpool, saltings, nightHeron].map((p) => [p.name, p] as const))(
    'of %s can be read and poured, with shares of cups that are one whole',
    (_, plan) => {
      for (const seed of ['1', '2', '3']) {
        const poured = withSpread(plan, 0.08, seed);
        expect(Plan.safeParse(poured).error).toBeUndefined();
        expect(figuresOf(poured, cards).problems.filter((p) => p.level === 'stop')).toEqual([]);
        for (const cup of poured.cups)
          if ('cups' in cup.from) expect(cup.from.cups.reduce((s, c) => s + c.share, 0)).toBeCloseTo(1, 9);
      }
    }
  );

  it('is off as far as the hand varies, on the whole, and never beyond what a hand can', () => {
    const step = rockpool.steps.find(
      (s) => amountOf(s.act)?.kind === 'share' || amountOf(s.act)?.kind === 'volume'
    )!;
    const of = (plan: Plan) => {
      const amount = amountOf(plan.steps.find((s) => s.id === step.id)!.act)!;
      return amount.kind === 'share' ? amount.of : amount.kind === 'volume' ? amount.ml : NaN;
    };
    const planned = of(rockpool);
    const usual = amountOf(step.act)!.kind === 'share' ? Math.max(0.1, planned) : 1 / 3;
    const offs = Array.from(
      { length: 300 },
      (_, i) => of(withSpread(rockpool, 0.05, String(i))) / planned - 1
    );
    const spread = Math.sqrt(offs.reduce((s, x) => s + x * x, 0) / offs.length) * usual;
    expect(spread).toBeGreaterThan(0.04);
    expect(spread).toBeLessThan(0.06);
    expect(Math.abs(offs.reduce((s, x) => s + x, 0) / offs.length)).toBeLessThan(0.03);
    const wild = Array.from({ length: 50 }, (_, i) => of(withSpread(rockpool, 2, String(i))) / planned);
    expect(Math.min(...wild)).toBeGreaterThanOrEqual(0.5);
    expect(Math.max(...wild)).toBeLessThanOrEqual(1.7);
  });
});
