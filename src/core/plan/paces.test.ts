import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { nightHeron, saltings, samphire, tideline } from '../../../demo/plans';
import { together } from '../cure';
import { atBench } from './plans.testing';
import { computePlan, type Plan } from '.';
import { eachByItself, splitAll } from '../document';
import { type Mix } from '../document';
import { type Shelf } from '../shelf';

const withMix = (plan: Plan, change: Partial<Mix>): Plan => ({
  ...plan,
  mixes: plan.mixes.map((m) => ({ ...m, ...change }))
});
const windowOf = (plan: Plan, cupId: string, shelf: Shelf = cards) => {
  const w = computePlan(plan, shelf).score.windows.find((x) => x.cupId === cupId)!;
  return w.to - w.zero;
};
const soapWith = (change: object): Shelf => ({
  ...cards,
  bases: cards.bases.map((b) => (b.kind === 'soap' ? { ...b, ...change } : b))
});

describe('what makes a soap run ahead', () => {
  const uncoloured = { ...saltings, cups: saltings.cups.map((c) => ({ ...c, recipe: [] })) };
  const [first] = uncoloured.cups;
  const own = windowOf(uncoloured, first!.id);

  it.each([
    ['a fragrance that quickens', { fragrance: 0.03, fragranceIs: 'quick' }, 0.85],
    ['a floral one', { fragrance: 0.03, fragranceIs: 'floral' }, 0.55],
    ['a calm one', { fragrance: 0.03, fragranceIs: 'calm' }, 1],
    ['honey', { additives: [{ name: 'honey', share: 0.02 }] }, 0.9],
    ['clay', { additives: [{ name: 'clay', share: 0.02 }] }, 1]
  ])('%s', (_, change, factor) => {
    expect(windowOf(uncoloured, first!.id, soapWith(change)) / own).toBeCloseTo(factor, 6);
  });

  it('the blender, by its seconds, and never beyond reason', () => {
    const by = (blender: number) => windowOf(withMix(uncoloured, { blender }), first!.id) / own;
    expect(by(20)).toBeCloseTo(1, 9);
    expect(by(50)).toBeCloseTo(0.7, 6);
    expect(by(10)).toBeCloseTo(1.1, 6);
    expect(by(0)).toBeCloseTo(1.2, 6);
    expect(by(600)).toBeCloseTo(0.4, 6);
  });

  it('white that is piped on top, and may stand until it sets, binds the hands no more than the others', () => {
    const top = nightHeron.steps.find((s) => s.act.kind === 'top')!;
    const white = (top.act as unknown as { cupId: string }).cupId;
    const cups = (plan: Plan) => computePlan(plan, cards).cups;
    const inHand = (plan: Plan, id: string) => cups(plan).find((c) => c.cupId === id)!.window;
    expect(cups(nightHeron).find((c) => c.cupId === white)!.paces).not.toBeUndefined();
    const plain = {
      ...nightHeron,
      cups: nightHeron.cups.map((c) => (c.id === white ? { ...c, recipe: [] } : c))
    };
    const other = nightHeron.cups.find((c) => c.id !== white && 'mix' in c.from)!.id;
    expect(inHand(nightHeron, other)).toBeCloseTo(inHand(plain, other), 1);
  });

  it('white, in its own cup alone, and says so', () => {
    const { cups } = computePlan(saltings, cards);
    const paces = Object.fromEntries(cups.map((c) => [c.cupId, c.paces ?? []]));
    const white = cups.find((c) => paces[c.cupId]!.some((p) => p.why.includes('white')))!;
    expect(together(paces[white.cupId]!)).toBeLessThan(1);
    const share = saltings.cups.find((c) => c.id === white.cupId)!.recipe[0]!.percent;
    expect(together(paces[white.cupId]!)).toBeCloseTo(1 - share / 10, 6);
    expect(cups.filter((c) => paces[c.cupId]!.length)).toHaveLength(1);
    expect(computePlan(samphire, cards).cups.every((c) => !c.paces)).toBe(true);
  });
});

describe('in any material', () => {
  it('the maker’s own figure and warm parts move the windows', () => {
    const cup = tideline.cups[0]!.id;
    expect(windowOf(withMix(tideline, { pace: 1.5 }), cup)).toBeCloseTo(1.5 * windowOf(tideline, cup), 6);
    expect(windowOf(withMix(tideline, { joinedAt: 28 }), cup)).toBeLessThan(windowOf(tideline, cup));
    const hooks = samphire.cups[0]!.id;
    expect(windowOf(withMix(samphire, { joinedAt: samphire.bench.roomCelsius + 10 }), hooks)).toBeCloseTo(
      windowOf(samphire, hooks) / 2,
      6
    );
  });

  it('a cold night moves the demoulding of what is poured in the evening, and no cup by day', () => {
    const night = (hour: number) => atBench(tideline, { night: { celsius: 12, hour } });
    const early = (plan: Plan) => {
      const d = computePlan(plan, cards).score.demould[0]!;
      return d.from - d.lastPour;
    };
    expect(early(night(17))).toBeGreaterThan(early(tideline));
    expect(windowOf(night(9), tideline.cups[0]!.id)).toBe(windowOf(tideline, tideline.cups[0]!.id));
    // The second cup is mixed after dark, the first before.
    const dusk = night(19);
    expect(windowOf(dusk, 'mudflat')).toBe(windowOf(tideline, 'mudflat'));
    expect(windowOf(dusk, 'heron')).toBeGreaterThan(windowOf(tideline, 'heron'));
  });

  it('stay with the mix when it is split or made by itself', () => {
    const handled = withMix(nightHeron, { joinedAt: 34, blender: 30, pace: 1.1, reheats: 1 });
    const baseId = handled.mixes[0]!.baseId;
    for (const m of eachByItself(splitAll(handled, baseId), baseId).mixes)
      expect(m).toMatchObject({ joinedAt: 34, blender: 30, pace: 1.1, reheats: 1 });
  });
});
