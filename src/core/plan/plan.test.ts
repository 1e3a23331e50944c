import { times } from '../soak.testing';
import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import * as demo from '../../../demo/plans';
import { applyEdit } from '../document/apply-edit';
import { atBench, layer, pourAlone, ungated, withBase, withCups, withScales } from './plans.testing';
import { computePlan, figuresOf, Plan, PlanFile } from '.';
import { formatAmount, parseAmount, shelfOf, type Amount } from '../document';
import { metricWords } from '../quantity';

const tideline = pourAlone(demo.tideline);

const computed = (plan: Plan = tideline) => computePlan(plan, cards);
const codes = (plan: Plan = tideline) => computed(plan).problems.map((p) => p.code);

describe('the tray of knobs', () => {
  const { groups, cups, totals, score } = computed();

  it('stands in the mould as asked: 4 mm, to 60 %, to the rim', () => {
    const layers = groups[0]!.layers;
    expect(layers.map((l) => l.letter)).toEqual(['A', 'B', 'C']);
    expect(layers[0]!.to).toBeCloseTo(4, 9);
    expect(layers[0]!.each).toBeCloseTo(0.787, 3);
    expect(layers[1]!.toMl).toBeCloseTo(0.6 * 10.2897, 3);
    expect(layers[2]!.to).toBeCloseTo(17, 9);
    expect(layers.reduce((s, l) => s + l.each, 0)).toBeCloseTo(groups[0]!.capacity, 9);
  });

  it('closes every cup’s balance and keeps the ratio', () => {
    for (const cup of cups) {
      const { poured, clings, vessel, left, mixed } = cup.balance;
      expect(poured + clings + vessel + left).toBeCloseTo(mixed, 9);
      expect(cup.weighings.reduce((s, w) => s + w.weight, 0)).toBeCloseTo(mixed, 9);
      expect(cup.ratioError).toBeLessThan(0.005);
    }
    expect(totals.balance.poured).toBeCloseTo(6 * 10.2897 * 1.07997, 1);
    expect(totals.pieces).toBe(6);
  });

  it('reads cumulatively, or tared', () => {
    const heron = cups[1]!;
    expect(heron.weighings.at(-1)!.reading).toBeCloseTo(heron.balance.mixed, 9);
    const tared = computePlan(atBench(tideline, { readings: 'tared' }), cards).cups[1]!;
    expect(tared.weighings.map((w) => w.reading)).toEqual(tared.weighings.map((w) => w.weight));
  });

  it('says what this scale cannot weigh, and how to', () => {
    const black = computed().problems.find((p) => p.code === 'not-weighable' && /black/.test(p.sentence))!;
    expect(black.path).toBe('plan/cups/mudflat/recipe/mudflat-black');
    expect(black.mend).toContain('1 part into 9');
  });

  it('puts each gate after its layer and every pour inside its window', () => {
    expect(score.gates).toHaveLength(2);
    expect(score.gates[0]!.opens).toBeGreaterThan(score.gates[0]!.from);
    for (const block of score.blocks.filter((b) => b.act === 'pour')) {
      const window = score.windows.find((w) => w.cupId === block.cupId)!;
      expect(block.from).toBeGreaterThanOrEqual(window.from);
      expect(block.to).toBeLessThan(window.to);
    }
    const hands = [...score.blocks].sort((a, b) => a.from - b.from);
    hands.slice(1).forEach((b, i) => expect(b.from).toBeGreaterThanOrEqual(hands[i]!.to - 1e-9));
    expect(score.demould[0]!.from).toBeGreaterThanOrEqual(score.ends + 8 * 60 - 1e-9);
  });

  it('carries everything a plan file needs through JSON', () => {
    const file = PlanFile.parse({ plan: tideline, shelf: shelfOf(tideline, cards) });
    const again = PlanFile.parse(JSON.parse(JSON.stringify(file)));
    expect(again).toEqual(file);
    expect(computePlan(again.plan, again.shelf)).toEqual(computed());
    expect(again.shelf.bases.map((b) => b.id)).toEqual(['clear-quick']);
  });
});

describe('what is wrong is said with its mend', () => {
  const lay = (amount: Amount, i = 0) =>
    applyEdit(tideline, { path: ['steps', i, 'act', 'amount'], value: amount });

  it.each([
    ['a cavity that would overflow', lay({ kind: 'volume', ml: 11 }), 'overfull'],
    ['a level already passed', lay({ kind: 'to share', of: 0.01 }, 1), 'level-passed'],
    ['a layer too deep', lay({ kind: 'deep', mm: 16 }), 'layer-too-deep'],
    ['a missing gate', ungated(tideline, 'lay-foam'), 'no-gate'],
    ['a short fill', lay({ kind: 'share', of: 0.1 }, 2), 'short-fill'],
    ['a missing base', withBase(tideline, 'gone'), 'base-missing'],
    ['a missing scale', withScales(tideline, 'gone'), 'scale-missing'],
    ['a mix too small', tideline, 'mix-too-small'],
    ['a coarse scale', withScales(tideline, 'bench'), 'not-weighable']
  ] as [string, Plan, string][])('%s', (_, plan, code) => {
    expect(codes(plan)).toContain(code);
  });

  it('a gate that opens too early', () => {
    const path = ['steps', 'lay-heron', 'gates', 'gate-heron', 'all', 0, 'minutes'];
    expect(codes(applyEdit(tideline, { path, value: 10 }))).toContain('gate-early');
  });

  it('a cup poured after it stopped levelling', () => {
    const slow = applyEdit(tideline, { path: ['steps', 1, 'hands', 'each'], value: 60 });
    expect(codes(slow)).toContain('past-window');
  });

  it('colourants over their limits, alone and in sum', () => {
    const strong = applyEdit(tideline, { path: ['cups', 1, 'recipe', 0, 'percent'], value: 6.5 });
    expect(codes(strong)).toEqual(expect.arrayContaining(['colourant-over-limit', 'cup-over-limit']));
  });

  it('once, in however many groups of cavities it holds', () => {
    const twice = (plan: Plan): Plan => ({
      ...plan,
      groups: plan.groups.flatMap((g) => [g, { ...g, id: `${g.id}-2`, name: `${g.name}, again` }]),
      steps: plan.steps.map((s) => ({ ...s, gates: [], where: s.where.flatMap((id) => [id, `${id}-2`]) }))
    });
    for (const plan of demo.plans) {
      const said = figuresOf(twice(plan), cards).problems.map((p) => [p.code, p.path, p.sentence].join(' '));
      expect(said, plan.name).toEqual([...new Set(said)]);
    }
    expect(codes(twice(tideline)).filter((code) => code === 'no-gate')).toHaveLength(1);
  });

  it('and one tap mends it', () => {
    for (const start of [tideline, lay({ kind: 'volume', ml: 11 }, 2), ungated(tideline, 'lay-foam')]) {
      let plan = start;
      for (let round = 0; round < 6; round++) {
        const next = computePlan(plan, cards).problems.find((p) => p.edit);
        if (next?.edit) plan = applyEdit(plan, next.edit);
      }
      expect(Plan.safeParse(plan).success).toBe(true);
      expect(computePlan(plan, cards).problems.filter((p) => p.edit)).toEqual([]);
    }
  });
});

describe('mass balance, whatever the plan', () => {
  const amounts: fc.Arbitrary<Amount> = fc.oneof(
    evenly(0.1, 20).map((mm) => ({ kind: 'deep' as const, mm })),
    evenly(0.01, 1).map((of) => ({ kind: 'to share' as const, of })),
    evenly(0.01, 12).map((ml) => ({ kind: 'volume' as const, ml })),
    fc.constant({ kind: 'rim' as const })
  );
  const plans = fc
    .record({
      amounts: fc.array(fc.tuple(amounts, fc.nat(2), fc.nat(1)), { maxLength: 12 }),
      counts: fc.tuple(fc.integer({ min: 1, max: 48 }), fc.integer({ min: 1, max: 5 })),
      percents: fc.array(evenly(0, 8), { minLength: 7, maxLength: 7 }),
      cling: evenly(0, 0.2),
      scaleId: fc.constantFrom('fine', 'bench')
    })
    .map(({ amounts: laid, counts, percents, cling, scaleId }): Plan => {
      let n = 0;
      const cups = tideline.cups.map((cup) => ({
        ...cup,
        recipe: cup.recipe.map((line) => ({ ...line, percent: percents[n++]! }))
      }));
      return {
        ...atBench(withScales(withCups(tideline, cups), scaleId), { losses: { cling, vessel: 2 } }),
        groups: [
          { ...tideline.groups[0]!, count: counts[0] },
          { id: 'roundels', name: 'roundels', mouldId: 'roundel', cavityId: 'roundel', count: counts[1] }
        ],
        steps: laid.map(([amount, cup, group], i) =>
          layer(`s${i}`, tideline.cups[cup]!.id, group ? 'roundels' : 'knobs', amount)
        )
      };
    });

  it('what is poured, clings, stays and is left is what was mixed; cavities get what cups give', () => {
    fc.assert(
      fc.property(plans, (plan) => {
        const { cups, groups, totals, division } = figuresOf(plan, cards);
        for (const cup of cups) {
          const { pouredMl, poured, clings, vessel, left, mixed } = cup.balance;
          expect(poured + clings + vessel + left).toBeCloseTo(mixed, 8);
          expect(cup.weighings.reduce((s, w) => s + w.weight, 0)).toBeCloseTo(mixed, 8);
          // Each weighing is off by half a division at most, or is the least that the scale shows; rounding down is
          // borne by what clings.
          expect(left).toBeGreaterThanOrEqual(0);
          expect(left).toBeLessThanOrEqual(division * cup.weighings.length * cup.mixes.length + 1e-6);
          const received = groups
            .flatMap((g) => g.layers.filter((l) => l.cupId === cup.cupId))
            .reduce((s, l) => s + l.ml, 0);
          expect(received).toBeCloseTo(pouredMl, 8);
        }
        for (const g of groups)
          expect(g.layers.reduce((s, l) => s + l.each, 0)).toBeLessThanOrEqual(g.capacity * (1 + 1e-9));
        expect(
          totals.parts
            .concat(totals.colourants.map((c) => ({ key: c.id, ...c })))
            .reduce((s, p) => s + p.grams, 0)
        ).toBeCloseTo(totals.balance.mixed, 7);
      }),
      { numRuns: times(30, 150) }
    );
  });
});

describe('amounts', () => {
  it.each(['4 mm', '3.2 ml', '20 %', 'to 11 mm', 'to 60 %', 'to the rim'])('“%s” reads back', (text) => {
    const read = parseAmount(text);
    expect(read.ok && metricWords(formatAmount(read.value))).toBe(text);
  });

  it.each([
    ['0 mm', 'amount-not-positive'],
    ['-3 ml', 'amount-not-positive'],
    ['to 140 %', 'amount-over-full'],
    ['12 min', 'amount-kind'],
    ['to 3 ml', 'amount-kind'],
    ['some', 'quantity-unreadable']
  ])('“%s” is refused', (text, code) => {
    const read = parseAmount(text);
    expect(!read.ok && read.problem.code).toBe(code);
  });
});
