import { times } from '../soak.testing';
import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { eel, rockpool, saltings, shingle, sluice, tideline } from '../../../demo/plans';
import { PORTION } from '../batch';
import { metricWords } from '../quantity';
import { superfatOf, waterCementOf, type Base } from '../material';
import { applyEdit } from '../document/apply-edit';
import { computePlan, figuresOf, type Computed, type Plan } from '.';
import { topUpCup } from '../run';
import { type LearnedHistory } from '../document';
import { atBench, layer, mixed, withBase, withCups, withScales } from './plans.testing';
import { gramsIn } from './weighing/weighed';

const of = (plan: Plan, learned: LearnedHistory = {}, shelf = cards): Computed =>
  computePlan(plan, shelf, learned);
const codes = (plan: Plan, learned: LearnedHistory = {}) => of(plan, learned).problems.map((p) => p.code);
const sum = (xs: number[]) => xs.reduce((s, x) => s + x, 0);

describe('any batch of any material', () => {
  const batches = fc
    .record({
      base: fc.constantFrom(...cards.bases),
      scale: fc.constantFrom('fine', 'middle', 'bench'),
      mixing: fc.constantFrom('each' as const, 'split' as const),
      counts: fc.array(fc.integer({ min: 1, max: 24 }), { minLength: 1, maxLength: 3 }),
      mixes: fc.integer({ min: 1, max: 6 }),
      reserve: fc.double({ min: 1, max: 80, noNaN: true }),
      chips: fc.double({ min: 1, max: 50, noNaN: true }),
      allowance: evenly(0, 0.3),
      percent: evenly(0, 3),
      colourant: fc.constantFrom(...cards.colourants)
    })
    .map((x): { plan: Plan; base: Base } => {
      const cups = tideline.cups.slice(0, 2).map((cup, i) => ({
        ...cup,
        ...(i ? { reserve: x.reserve } : {}),
        fillers: i ? [{ id: 'chips', name: 'chips', percent: x.chips, density: 2.4 }] : [],
        recipe: [{ id: `r${i}`, colourantId: x.colourant.id, percent: x.percent, of: 'supplied' as const }]
      }));
      const scales = ['fine', 'middle', 'bench'].filter((id) => id !== x.scale);
      const bench = atBench(withScales(tideline, x.scale, ...scales), {
        losses: { cling: 0.03, vessel: 2, allowance: x.allowance }
      });
      const made = mixed(withCups(withBase(bench, x.base.id), cups), x.mixing);
      const turns = x.mixes > 1 ? { turns: x.mixes } : {};
      const plan: Plan = {
        ...made,
        mixes: made.mixes.map((m) => ({ ...m, ...turns })),
        groups: x.counts.map((count, i) => ({
          id: `g${i}`,
          name: `group ${i}`,
          mouldId: ['dome-knobs', 'roundel', 'coat-hooks'][i]!,
          cavityId: ['dome', 'roundel', 'hook'][i]!,
          count
        })),
        steps: x.counts.flatMap((_, i) => [
          layer(`a${i}`, 'mudflat', `g${i}`, { kind: 'share', of: 0.4 }, { minutes: 0.1 }),
          layer(`b${i}`, 'heron', `g${i}`, { kind: 'rim' }, { minutes: 0.1 })
        ])
      };
      return { plan, base: x.base };
    });

  it('is weighed to the gram: poured, clinging, staying, taken out and left are what was mixed', () => {
    fc.assert(
      fc.property(batches, ({ plan }) => {
        const { cups, totals, groups, common } = figuresOf(plan, cards);
        const b = totals.balance;
        expect(b.poured + b.clings + b.vessel + b.reserved + b.left).toBeCloseTo(b.mixed, 6);
        const onScale =
          sum(totals.parts.map((p) => p.grams)) +
          sum(totals.colourants.map((p) => p.grams)) +
          sum(totals.fillers.map((p) => p.grams));
        expect(onScale).toBeCloseTo(b.mixed, 6);
        const received = sum(groups.flatMap((g) => g.layers.map((l) => l.grams)));
        expect(received).toBeCloseTo(b.poured, 6);
        // Every cavity is poured once from one mix.
        for (const cup of cups)
          for (const step of plan.steps.filter((s) => s.act.cupId === cup.cupId))
            expect(
              sum(cup.mixes.flatMap((m) => m.pours.filter((p) => p.pourId === step.id).map((p) => p.count)))
            ).toBe(plan.groups.find((g) => g.id === step.where[0])!.count);
        // A common mix gives its cups exactly what they weigh out.
        for (const mix of common) {
          const shared = sum(
            cups.flatMap((c) =>
              c.mixes
                .filter((m) => m.turn === mix.turn)
                .flatMap((m) => m.weighings.filter((w) => w.key === PORTION).map((w) => w.weight))
            )
          );
          expect(mix.balance.poured).toBeCloseTo(shared, 6);
        }
      }),
      { numRuns: times(40, 150) }
    );
  });

  it('never weighs more lye than its oils take, nor moves a ratio further than it says', () => {
    fc.assert(
      fc.property(batches, ({ plan, base }) => {
        const { cups, common } = figuresOf(plan, cards);
        for (const mix of common.length ? common : cups.flatMap((c) => c.mixes)) {
          if (mix.balance.pouredMl <= 0) continue;
          if (base.kind === 'soap' && mix.weighings.some((w) => w.key.startsWith('oil') && w.weight > 0))
            expect(superfatOf(base, gramsIn(mix.held))).toBeGreaterThanOrEqual(-1e-9);
          if (base.kind !== 'concrete' || base.bag) continue;
          const wc = waterCementOf(base, gramsIn(mix.held))!;
          // Both water and cement may be off by the stated ratio error.
          expect(Math.abs(wc / base.waterCement - 1)).toBeLessThanOrEqual(2.1 * mix.ratioError + 1e-6);
        }
      }),
      { numRuns: times(40, 120) }
    );
  });
});

/** A step that warms the first cup of the cords again. */
const warmAgain = (id: string): Plan['steps'][number] => ({
  id: `warm-${id}`,
  act: { kind: 'reheat', cupId: eel.cups[0]!.id, celsius: 170 } as Plan['steps'][number]['act'],
  where: ['cords'],
  gates: []
});

describe('what is wrong with a batch is said', () => {
  const chips = (percent: number) =>
    applyEdit(shingle, { path: ['cups', 0, 'fillers', 0, 'percent'], value: percent });
  it.each([
    ['too many chips', chips(70), 'chips-too-many'],
    [
      'a reserve after dry colour',
      applyEdit(sluice, { path: ['cups', 1, 'reserve'], value: 200 }),
      'reserve-after-colour'
    ],
    [
      'a split cup off its ratio',
      applyEdit(rockpool, { path: ['cups', 0, 'recipe', 0, 'percent'], value: 5.5 }),
      'split-off-ratio'
    ],
    [
      'a plastisol heated too often',
      { ...eel, mixes: eel.mixes.map((m) => ({ ...m, reheats: 6 })) },
      'reheated-too-often'
    ],
    [
      'a plastisol warmed again once too often, what was heated before counted',
      {
        ...eel,
        mixes: eel.mixes.map((m) => ({ ...m, reheats: 4 })),
        steps: [warmAgain('a'), warmAgain('b'), ...eel.steps]
      },
      'reheated-too-often'
    ],
    [
      'an injector too small',
      applyEdit(eel, { path: ['groups', 0, 'mouldId'], value: 'soap-dish' }),
      'mould-missing'
    ],
    [
      'drops nobody weighed',
      applyEdit(tideline, { path: ['cups', 0, 'recipe', 0, 'by'], value: 'drops' }),
      'measure-unknown'
    ]
  ] as [string, Plan, string][])('%s', (_, plan, code) => {
    expect(codes(plan)).toContain(code);
  });

  it('a shot that is more than the injector holds', () => {
    const plan: Plan = {
      ...eel,
      groups: [{ ...eel.groups[0]!, mouldId: 'bookend', cavityId: 'bookend' }]
    };
    expect(codes(plan)).toContain('injector-too-small');
  });

  it('concrete with too much water, and soap whose fats may set', () => {
    const wet = cards.bases.map((b) => (b.kind === 'concrete' ? { ...b, waterCement: 0.6 } : b));
    expect(of(sluice, {}, { ...cards, bases: wet }).problems.map((p) => p.code)).toContain('water-cement');
    expect(codes(saltings)).toContain('fats-may-set');
    expect(codes(atBench(saltings, { roomCelsius: 28 }))).not.toContain('fats-may-set');
  });

  it('says how often a plastisol is heated, and nothing below its limit', () => {
    const before = Math.max(...eel.mixes.map((m) => m.reheats ?? 0));
    const warmed = { ...eel, steps: [warmAgain('a'), warmAgain('b'), ...eel.steps] };
    const { craft, problems } = computePlan(warmed, cards);
    expect(metricWords(craft.find((f) => f.label === 'heated')!.value)).toMatch(
      new RegExp(`^${before + 2} of 6 times`)
    );
    expect(problems.map((p) => p.code)).not.toContain('reheated-too-often');
  });
});

describe('a top-up cup', () => {
  it('is the same recipe for what is missing, with its own, longer window', () => {
    const extra = topUpCup(tideline, cards, 'foam', 40)!;
    const planned = of(tideline).cups[2]!;
    const percent = (w: { weighings: typeof extra.weighings; batch: number }) =>
      w.weighings.find((x) => x.key === 'foam-white')!.exact / w.batch;
    expect(percent(extra)).toBeCloseTo(percent(planned), 9);
    expect(extra.balance.poured).toBeCloseTo(40 * planned.density, 6);
    expect(topUpCup(tideline, cards, 'foam', 5)!.window).toBeGreaterThan(extra.window);
    expect(topUpCup(tideline, cards, 'foam', 5)!.problems[0]?.code).toBe('mix-too-small');
    expect(topUpCup(tideline, cards, 'foam', 0)).toBeUndefined();
  });
});
