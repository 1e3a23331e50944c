import { describe, expect, it } from 'vitest';
import { cards } from '../../../../../demo/cards';
import { fogBank } from '../../../../../demo/plans';
import type { Cup } from '../../../document';
import { computePlan, type Computed, type Plan } from '../../../plan';
import { tasksOf } from '../../../run';

/** The loaf and its top with the fragrance in the cups, and what each cup has of its own. */
const scented = (own: Record<string, Cup['fragrance']> = {}): Plan => ({
  ...fogBank,
  mixes: fogBank.mixes.map((m) => ({ ...m, fragrance: 'in the cups' as const })),
  cups: fogBank.cups.map((c) => (own[c.id] ? { ...c, fragrance: own[c.id] } : c))
});
const grams = (c: Computed, cupId: string) =>
  c.cups.find((x) => x.cupId === cupId)!.weighings.find((w) => w.key === 'fragrance')?.exact ?? 0;
const oilsIn = (c: Computed) =>
  c.totals.parts.filter((p) => p.key.startsWith('oil-')).reduce((s, p) => s + p.grams, 0);

describe('fragrance after the split', () => {
  it('is in no pot and in every cup, as much of the oils as the card wants, and the balance closes', () => {
    const [before, after] = [computePlan(fogBank, cards), computePlan(scented(), cards)];
    expect(before.common[0]!.weighings.some((w) => w.key === 'fragrance')).toBe(true);
    expect(after.common.every((m) => m.weighings.every((w) => w.key !== 'fragrance'))).toBe(true);
    const all = after.cups.reduce((s, c) => s + grams(after, c.cupId), 0);
    expect(all / oilsIn(after)).toBeCloseTo(0.03, 2);
    const { mixed, poured, clings, vessel, left, reserved } = after.totals.balance;
    expect(poured + clings + vessel + left + reserved).toBeCloseTo(mixed, 6);
    expect(poured).toBeCloseTo(before.totals.balance.poured, -1);
  });

  it('is what each cup wants of it: none in one, more in another', () => {
    const c = computePlan(
      scented({ fog: { share: 0, is: 'calm' }, foam: { share: 0.05, is: 'calm' } }),
      cards
    );
    expect(grams(c, 'fog')).toBe(0);
    const foam = c.cups.find((x) => x.cupId === 'foam')!;
    const base = cards.bases.find((b) => b.id === 'bar-soap') as Extract<
      (typeof cards.bases)[number],
      { kind: 'soap' }
    >;
    // Of one gram of batter without it, the oils: by their own sum of lye.
    const naoh = base.oils.reduce((s, o) => s + (o.share * o.sap) / 1000, 0) * (40 / 56.11) * (0.95 / 0.99);
    const oils = 1 / (1 + naoh / 0.33);
    expect(grams(c, 'foam') / (foam.weighings[0]!.exact * oils)).toBeCloseTo(0.05, 2);
  });

  it('rushes its own cup, or thins it, and no other', () => {
    const window = (own: Record<string, Cup['fragrance']>) => {
      const { windows } = computePlan(scented(own), cards).score;
      const of = (id: string) => windows.filter((w) => w.cupId === id).map((w) => w.to - w.zero)[0]!;
      return { fog: of('fog'), foam: of('foam') };
    };
    const calm = window({ fog: { share: 0.03, is: 'calm' }, foam: { share: 0.03, is: 'calm' } });
    const mixed = window({ fog: { share: 0.03, is: 'thins' }, foam: { share: 0.03, is: 'floral' } });
    expect(mixed.fog).toBeGreaterThan(calm.fog);
    expect(mixed.foam).toBeLessThan(calm.foam);
  });

  it('is stirred in last in the run, after the colour', () => {
    const plan = scented();
    const keys = tasksOf(plan, computePlan(plan, cards)).flatMap((t) =>
      t.kind === 'weigh' && t.cupId === 'fog' ? [t.key] : []
    );
    expect(keys[0]).toBe('portion');
    expect(keys.at(-1)).toBe('fragrance');
  });
});
