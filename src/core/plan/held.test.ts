import { times } from '../soak.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { plans, saltings, sluice } from '../../../demo/plans';
import { PORTION, type Weighing } from '../batch';
import type { Base, Colourant } from '../material';
import { figuresOf, type Computed, type Plan } from '.';
import { type CupMix } from './weighing/weighed';
import { type Shelf } from '../shelf';
import { atBench, inCup, mixed } from './plans.testing';
import { metricWords } from '../quantity';

/*
 * Sums of their own, from the formulas of the trade and what stands on the scale alone: water to cement, superfat and
 * liquid to powder of every cup and pot, with what colourants and their let-downs bring. Nothing here calls the core's
 * own arithmetic.
 */

type Joined = { weighings: readonly Weighing[] };
const baseOf = (id: string, shelf: Shelf = cards) => shelf.bases.find((b) => b.id === id)!;
const colourantOf = (w: Weighing): Colourant | undefined =>
  w.kind === 'colourant' ? cards.colourants.find((c) => c.id === w.colourantId) : undefined;

/** On the scale of one part, g. */
const on = ({ weighings }: Joined, key: string): number =>
  weighings.reduce((s, w) => s + (w.kind === 'part' && w.key === key ? w.weight : 0), 0);

/** Water that comes with dispersions, and what let-downs are let down in, g. */
function brought(joined: Joined): { water: number; letDown: number } {
  let [water, letDown] = [0, 0];
  for (const w of joined.weighings) {
    const colourant = colourantOf(w);
    if (!colourant) continue;
    const supplied = w.letDown ? w.weight / (1 + w.letDown.parts) : w.weight;
    letDown += w.weight - supplied;
    if (colourant.carrier === 'water') water += supplied * (1 - colourant.pigmentFraction);
  }
  return { water, letDown };
}

function waterToCement(base: Extract<Base, { kind: 'concrete' }>, joined: Joined): number {
  const { water, letDown } = brought(joined);
  const cement = base.bag ? on(joined, 'mix') * base.bag.cement : on(joined, 'cement');
  return (on(joined, 'water') + water + letDown) / cement;
}

/** 1 − NaOH × purity ÷ Σ oil × SAP × 40.00/56.11; a let-down in the first oil is oil. */
function superfat(base: Extract<Base, { kind: 'soap' }>, joined: Joined): number {
  const { letDown } = brought(joined);
  const takes = base.oils.reduce(
    (s, o, i) => s + ((on(joined, `oil-${i + 1}`) + (i ? 0 : letDown)) * o.sap) / 1000,
    0
  );
  return 1 - (on(joined, 'naoh') * base.lyePurity) / ((takes * 40) / 56.11);
}

const fact = (c: Computed, label: string) => c.craft.find((f) => f.label === label)?.value;

/** A let-down for every line of every cup, of so many parts. */
const letDown = (plan: Plan, parts: 9 | 19 | 49): Plan => ({
  ...plan,
  cups: plan.cups.map((c) => ({ ...c, recipe: c.recipe.map((r) => ({ ...r, letDown: parts })) }))
});

/** Each first mix of a cup that pours, mixed on its own. */
const ownMixes = (c: Computed): [string, CupMix][] =>
  c.cups.flatMap((cup) => {
    const first = cup.mixes.find((m) => m.balance.pouredMl > 0);
    return first && !first.weighings.some((w) => w.key === PORTION) ? [[cup.name, first]] : [];
  });

describe('the superfat that is shown', () => {
  const soap = baseOf('bar-soap') as Extract<Base, { kind: 'soap' }>;

  it.each([undefined, 9, 19, 49] as const)(
    'is that of what is weighed, a 1 : %s let-down in the first oil counted',
    (parts) => {
      const plan = mixed(parts ? letDown(saltings, parts) : saltings, 'each');
      const c = figuresOf(plan, cards);
      const own = ownMixes(c);
      expect(own.length).toBeGreaterThan(1);
      for (const [name, mix] of own) {
        const words = `superfat ${(superfat(soap, mix) * 100).toFixed(1)} %`;
        expect(fact(c, `lye, ${name}`), name).toContain(words);
      }
    }
  );

  it('stays near what was asked, whatever is let down: the oil of a let-down is oil', () => {
    const c = figuresOf(mixed(letDown(saltings, 19), 'each'), cards);
    for (const [name, mix] of ownMixes(c)) {
      expect(Math.abs(superfat(soap, mix) - soap.superfat), name).toBeLessThan(0.01);
      expect(c.problems.filter((p) => p.code === 'superfat-moves')).toEqual([]);
    }
  });

  it('is said of a cup split from a pot as well, once its let-down brings oil', () => {
    const [first] = saltings.cups.filter((c) => c.recipe.length);
    const plan = mixed(letDown(saltings, 9), 'split');
    const c = figuresOf(plan, cards);
    const [splitMix] = c.common;
    const cup = c.cups.find((x) => x.cupId === first!.id)!;
    const mix = cup.mixes.find((m) => m.balance.pouredMl > 0)!;
    const portion = mix.weighings.find((w) => w.key === PORTION)!.weight;
    const inSplitMix = splitMix!.weighings.reduce((s, w) => s + (w.kind === 'part' ? w.weight : 0), 0);
    const share = portion / inSplitMix;
    const joined = {
      weighings: [
        ...splitMix!.weighings.map((w) => ({ ...w, weight: w.weight * share })),
        ...mix.weighings.filter((w) => w.key !== PORTION)
      ]
    };
    expect(fact(c, `with its colour, ${cup.name}`)).toBe(
      `superfat ${(superfat(soap, joined) * 100).toFixed(1)} %`
    );
    expect(fact(c, 'lye, the mix')).toContain(`superfat ${(superfat(soap, splitMix!) * 100).toFixed(1)} %`);
  });
});

describe('the water to cement that is shown', () => {
  const base = baseOf(sluice.mixes[0]!.baseId) as Extract<Base, { kind: 'concrete' }>;
  const dispersed = cards.colourants.find((c) => c.carrier === 'water')!;

  it.each([
    ['dry pigments', sluice],
    ['let down in water', letDown(sluice, 9)],
    [
      'a water dispersion',
      inCup(sluice, sluice.cups[0]!.id, {
        recipe: [{ id: 'd', colourantId: dispersed.id, percent: 3, of: 'supplied' }]
      })
    ]
  ])('is that of what is weighed: %s', (_, plan) => {
    const c = figuresOf(mixed(plan, 'each'), cards);
    const own = ownMixes(c);
    expect(own.length).toBeGreaterThan(0);
    for (const [name, mix] of own)
      expect(fact(c, `water / cement, ${name}`)).toMatch(
        new RegExp(`^${waterToCement(base, mix).toFixed(3)} `)
      );
  });

  it('rises by what ten millilitres more bring', () => {
    const c = figuresOf(mixed(sluice, 'each'), cards);
    for (const [name, mix] of ownMixes(c)) {
      const ten = waterToCement(base, mix) + 10 / on(mix, 'cement');
      expect(metricWords(fact(c, `water / cement, ${name}`) ?? '')).toContain(
        `10 ml more: ${ten.toFixed(3)}`
      );
    }
  });
});

describe('how far a ratio is off', () => {
  it.each(plans.map((p) => [p.name, p] as const))(
    '%s: is that of the parts as they really are',
    (_, plan) => {
      const c = figuresOf(mixed(plan, 'each'), cards);
      for (const cup of c.cups) {
        const base = baseOf(cup.baseId);
        if (base.kind !== 'resin' && base.kind !== 'gypsum') continue;
        for (const mix of cup.mixes.filter((m) => m.balance.pouredMl > 0)) {
          const parts = mix.weighings.filter((w) => w.kind === 'part');
          const carried = (key: string) =>
            mix.weighings.reduce((s, w) => {
              const colourant = colourantOf(w);
              const part = { 'part B': 'B', 'part A': 'A', water: 'liquid' }[colourant?.carrier as string];
              return colourant && part === key ? s + w.weight * (1 - colourant.pigmentFraction) : s;
            }, 0);
          const really = parts.map((w) => w.weight + carried(w.key));
          const meant = parts.map((w) => mix.held.find((h) => h.key === w.key)!.grams);
          really.forEach((g, i) => expect(meant[i]).toBeCloseTo(g, 6));
        }
      }
    }
  );
});

describe('what is left', () => {
  const bench = fc.record({
    plan: fc.constantFrom(...plans),
    way: fc.constantFrom('each' as const, 'split' as const),
    division: fc.constantFrom(0.01, 0.1, 1, 5),
    turns: fc.integer({ min: 1, max: 9 }),
    reserve: fc.integer({ min: 0, max: 30 }),
    losses: fc.record({
      cling: fc.constantFrom(0, 0.001, 0.03),
      vessel: fc.constantFrom(0, 0.2, 2)
    })
  });

  it('is never below nothing, whatever the scale, the mixes and the reserve; and the sum closes', () => {
    fc.assert(
      fc.property(bench, ({ plan, way, division, turns, reserve, losses }) => {
        const shelf: Shelf = {
          ...cards,
          scales: [{ id: 'one', name: 'one', division, capacity: 1e6 }]
        };
        const asked = mixed(plan, way);
        const whole = atBench(
          {
            ...asked,
            mixes: asked.mixes.map((m) => ({ ...m, turns })),
            cups: asked.cups.map((c) => (reserve && 'mix' in c.from ? { ...c, reserve } : c))
          },
          { scaleIds: ['one'], losses: { typed: true, ...losses } }
        );
        const c = figuresOf(whole, shelf);
        for (const { balance: b } of [...c.common, ...c.cups, ...c.cups.flatMap((x) => x.mixes), c.totals]) {
          for (const figure of Object.values(b)) expect(figure).toBeGreaterThanOrEqual(-1e-9);
          expect(b.poured + b.clings + b.vessel + b.reserved + b.left).toBeCloseTo(b.mixed, 6);
        }
        for (const w of [...c.common, ...c.cups.flatMap((x) => x.mixes)].flatMap((m) => m.weighings)) {
          expect(Number.isFinite(w.spread)).toBe(true);
          if (!['naoh', 'stock-lye'].includes(w.key) && w.exact > 0)
            expect(w.weight, w.name).toBeGreaterThan(0);
        }
      }),
      { numRuns: times(40, 120) }
    );
  });
});
