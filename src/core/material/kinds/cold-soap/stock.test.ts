import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../../../demo/cards';
import { nightHeron } from '../../../../../demo/plans';
import { evenly } from '../../../evenly.testing';
import { mixed } from '../../../plan/plans.testing';
import { computePlan, type Plan } from '../../../plan';
import type { Shelf } from '../../../shelf';
import { formulaOf } from '../..';
import { soapPaces, sugarsOf } from './paces';
import { starting } from './starting';
import { lyeFor, superfatOf, type SoapCard } from './card';

const bar = starting[0]!;
const fromStock: SoapCard = { ...bar, stock: { lye: 0.5, oils: true } };
const shelfWith = (soap: SoapCard): Shelf => ({
  ...cards,
  bases: cards.bases.map((b) => (b.id === soap.id ? soap : b))
});
const partsOf = (card: SoapCard) => {
  const made = formulaOf(card);
  if (!made.ok) throw new Error(made.problem.sentence);
  return made.value.parts;
};

/** Ten cups of the loaf's soap of so many grams each, on a scale of a tenth of a gram. */
function tenCups(soap: SoapCard, grams: number): { plan: Plan; shelf: Shelf } {
  const [first] = nightHeron.cups;
  const plan = mixed(nightHeron, 'each');
  const cups = Array.from({ length: 10 }, (_, i) => ({
    ...first!,
    id: `band-${i}`,
    letter: String.fromCharCode(65 + i),
    recipe: [],
    from: { mix: `mix-${i}` }
  }));
  const mixes = cups.map((c) => ({
    ...plan.mixes[0]!,
    id: c.from.mix,
    baseId: soap.id,
    feeds: 'one cup' as const
  }));
  const steps = cups.map((c) => ({
    id: `lay-${c.id}`,
    act: { kind: 'lay', cupId: c.id, amount: { kind: 'volume', ml: grams / soap.density } },
    where: [plan.groups[0]!.id],
    gates: []
  }));
  const shelf = shelfWith(soap);
  const tenth = { ...shelf.scales[0]!, id: 'tenth', name: 'bench scale', division: 0.1, capacity: 2000 };
  return {
    plan: {
      ...plan,
      cups,
      mixes,
      steps,
      bench: { ...plan.bench, scaleIds: ['tenth'], losses: { cling: 0.03, vessel: 0.5 } }
    },
    shelf: { ...shelf, scales: [...shelf.scales, tenth] }
  };
}

describe('lye and oils that stand ready', () => {
  it('draw what the recipe weighs fresh: as much sodium hydroxide, water and oil', () => {
    fc.assert(
      fc.property(evenly(0.33, 0.5), fc.boolean(), (lye, oils) => {
        const fresh = Object.fromEntries(partsOf(bar).map((p) => [p.key, p.share]));
        const drawn = Object.fromEntries(
          partsOf({ ...bar, stock: { lye, ...(oils ? { oils } : {}) } }).map((p) => [p.key, p.share])
        );
        expect(drawn['stock-lye']! * lye).toBeCloseTo(fresh.naoh!, 9);
        expect((drawn.water ?? 0) + drawn['stock-lye']! * (1 - lye)).toBeCloseTo(fresh.water!, 9);
        if (oils)
          expect(drawn['stock-oils']).toBeCloseTo(
            bar.oils.reduce((s, _, i) => s + fresh[`oil-${i + 1}`]!, 0),
            9
          );
      })
    );
  });

  it('make ten 12 g cups weighable where an oil by itself is not', () => {
    const notWeighable = (soap: SoapCard) => {
      const { plan, shelf } = tenCups(soap, 12);
      const c = computePlan(plan, shelf);
      return c.cups.flatMap((cup) => cup.mixes.flatMap((m) => m.weighings.filter((w) => !w.weighable)));
    };
    const fresh = notWeighable(bar);
    expect(fresh.some((w) => w.key === 'oil-4' && w.exact < 0.6)).toBe(true);
    expect(notWeighable({ ...fromStock, fragrance: 0 })).toEqual([]);
  });

  it('leave the superfat of the recipe, by the sum of what was weighed', () => {
    const { plan, shelf } = tenCups(fromStock, 60);
    for (const cup of computePlan(plan, shelf).cups) {
      const grams = (key: string) => cup.mixes[0]!.held.find((h) => h.key === key)?.grams ?? 0;
      const oils = grams('stock-oils');
      const takes = lyeFor(
        bar.oils.map((o) => ({ grams: oils * o.share, sap: o.sap })),
        { superfat: 0, purity: bar.lyePurity, concentration: 0.33 }
      ).naohMost;
      const superfat = 1 - (grams('stock-lye') * 0.5) / takes;
      expect(superfat).toBeGreaterThan(0.03);
      expect(superfat).toBeLessThan(0.07);
      expect(superfatOf(fromStock, grams)).toBeCloseTo(superfat, 9);
    }
  });

  it('need no lye made up at the bench, and say what a kilogram of each holds', () => {
    const { plan, shelf } = tenCups(fromStock, 60);
    const c = computePlan(plan, shelf);
    const steps = c.bases.find((b) => b.baseId === bar.id)!.between!.map((b) => b.id);
    expect(steps).toEqual(['melt', 'join']);
    const said = c.craft.flatMap((f) => (f.label.startsWith('a kilogram') ? [`${f.label}: ${f.value}`] : []));
    expect(said).toHaveLength(2);
  });

  it('are refused in words where the stock is weaker than the recipe wants', () => {
    const weak = formulaOf({ ...bar, stock: { lye: 0.3 } });
    expect(weak.ok).toBe(false);
    if (!weak.ok)
      expect(weak.problem).toMatchObject({
        code: 'stock-lye-weak',
        path: expect.stringMatching(/stock\/lye$/)
      });
    expect(formulaOf({ ...bar, stock: { lye: bar.lyeConcentration } }).ok).toBe(true);
  });
});

describe('another liquid for the lye', () => {
  const milky: SoapCard = { ...bar, liquid: { name: 'milk', sugar: 0.05, fat: 0.04 } };

  it('is weighed as the water is, under its own name, and its sugar warms the batter', () => {
    const share = (card: SoapCard, key: string) => partsOf(card).find((p) => p.key === key)!.share;
    expect(share(milky, 'water')).toBe(share(bar, 'water'));
    expect(partsOf(milky)[0]!.name).toBe('milk, for the lye');
    expect(soapPaces(milky, {}).some((p) => p.factor < 1 && p.why.includes('milk'))).toBe(true);
    expect(soapPaces({ ...milky, liquid: { name: 'tea', sugar: 0, fat: 0 } }, {})).toEqual(
      soapPaces(bar, {})
    );
    expect(sugarsOf(milky).share).toBeCloseTo(
      0.05 * (share(bar, 'water') / (1 - share(bar, 'water') - share(bar, 'naoh') - share(bar, 'fragrance'))),
      6
    );
  });

  it('says what its fat leaves beside the superfat', () => {
    const c = computePlan(
      mixed(nightHeron, 'split'),
      shelfWith({ ...milky, id: nightHeron.mixes[0]!.baseId })
    );
    expect(c.craft.some((f) => f.value.includes('fat of the milk'))).toBe(true);
  });
});
