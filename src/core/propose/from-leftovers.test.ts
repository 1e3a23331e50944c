import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { rockpool, shingle } from '../../../demo/plans';
import { demoLots } from '../../../demo/lots';
import { stockOf, type Lot } from '../shelf';
import { computePlan } from '../plan';
import { offersOf, planOfOffer } from './from-leftovers';
import { pieceOf } from '../piece';

const chips = demoLots(1_790_000_000_000).find((l) => l.of.kind === 'leftover')!;
const bin = (grams: number, more: Partial<Lot> = {}): Lot => ({ ...chips, id: 'bin', grams, ...more });
const TODAY = chips.boughtAt + 1000;
const stockFor = (...of: Lot[]) => stockOf(of, [], TODAY);

describe('a leftover that is enough for a piece', () => {
  it('is offered in the mould that takes the most of it, and no more than there is', () => {
    const stock = stockFor(bin(400));
    const [offer, ...others] = offersOf(stock, cards);
    expect(others).toEqual([]);
    expect(offer!.pieces).toBeGreaterThan(0);
    expect(offer!.grams).toBeLessThanOrEqual(0.95 * 400);
    // No other mould would take more.
    for (const mould of cards.moulds) {
      const alone = offersOf(stock, { ...cards, moulds: [mould] });
      expect(alone[0]?.grams ?? 0).toBeLessThanOrEqual(offer!.grams + 1e-9);
    }
  });

  it.each([150, 400, 2000])(
    'makes a plan that can be poured, of %i g, and takes what was offered',
    (grams) => {
      const stock = stockFor(bin(grams));
      const [offer] = offersOf(stock, cards);
      const shelf = { ...cards, lots: [bin(grams)] };
      const plan = planOfOffer(offer!, stock, shelf, 'terrazzo')!;
      const computed = computePlan(plan, shelf);
      expect(computed.problems.filter((p) => p.level === 'stop').map((p) => p.sentence)).toEqual([]);
      const taken = computed.needs.find((n) => n.key === 'lot:bin')!;
      expect(computed.totals.pieces).toBe(offer!.pieces);
      // What clings and stays in the cup comes on top of what the pieces hold.
      expect(taken.grams).toBeLessThanOrEqual(grams);
      expect(taken.grams / offer!.grams).toBeGreaterThan(0.9);
      expect(taken.grams / offer!.grams).toBeLessThan(1.2);
    }
  );

  it('is offered in a mould where plans cast that material, before others that would take more', () => {
    const stock = stockFor(bin(2600));
    expect(offersOf(stock, cards)[0]!.mouldId).not.toBe('soap-dish');
    // Shingle dishes are of casting powder, the roundels of resin.
    expect(offersOf(stock, cards, [shingle, rockpool])[0]!.mouldId).toBe('soap-dish');
    expect(offersOf(stock, cards, [rockpool])).toEqual(offersOf(stock, cards));
  });

  it('is none where it is too little, past its day, or of what is not set in a body', () => {
    expect(offersOf(stockFor(bin(2)), cards)).toEqual([]);
    expect(offersOf(stockFor(bin(400, { useBy: TODAY - 1 })), cards)).toEqual([]);
    expect(
      offersOf(stockFor(bin(400, { of: { ...chips.of, material: 'soap' } as Lot['of'] })), cards)
    ).toEqual([]);
    const [offer] = offersOf(stockFor(bin(400)), cards);
    expect(planOfOffer(offer!, [], cards, 'x')).toBeUndefined();
  });

  it.each(['plastisol'] as const)(
    'of %s is melted again with fresh base, and no chips are drawn in it',
    (material) => {
      const remelt = bin(600, { of: { ...chips.of, material, density: 1.1 } as Lot['of'] });
      const stock = stockFor(remelt);
      const [offer] = offersOf(stock, cards);
      expect(offer).toMatchObject({ way: 'remelt', lotId: 'bin' });
      const shelf = { ...cards, lots: [remelt] };
      const plan = planOfOffer(offer!, stock, shelf, 'again')!;
      const computed = computePlan(plan, shelf);
      expect(computed.problems.filter((p) => p.level === 'stop').map((p) => p.sentence)).toEqual([]);
      const taken = computed.needs.find((n) => n.key === 'lot:bin')!;
      expect(taken.grams).toBeLessThanOrEqual(600);
      // Three tenths of what is mixed, whatever clings.
      expect(taken.grams / computed.totals.balance.mixed).toBeCloseTo(0.3, 1);
      const { matters } = pieceOf(plan, shelf, {}, {})!.traced;
      expect(matters.some((m) => m.kind === 'chip')).toBe(false);
      expect(plan.notes).toMatch(/cooled drop/);
    }
  );
});
