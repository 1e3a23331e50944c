import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { entriesOf, landed, Lot, mergedUses, needsOf, useRateOf, stockOf, toReorder, vesselFor } from '.';

const DAY = 86_400_000;
const lot = (id: string, over: Partial<Lot> = {}): Lot => ({
  id,
  name: id,
  of: { kind: 'colourant', colourantId: 'white' },
  grams: 100,
  price: 10,
  tax: 2,
  carriage: 3,
  boughtAt: 0,
  place: '',
  ...over
});

describe('stock', () => {
  it('costs price, tax and carriage together', () => {
    expect(landed(lot('a'))).toBe(15);
    expect(stockOf([lot('a')], [], 0)[0]!.costGram).toBeCloseTo(0.15, 9);
  });

  it('is taken from the lot that has to be used first, and only from lots that were there', () => {
    const lots = [lot('late', { useBy: 90 * DAY }), lot('soon', { useBy: 30 * DAY, boughtAt: 5 * DAY })];
    const left = (at: number) =>
      Object.fromEntries(
        stockOf(lots, [{ key: 'colourant:white', grams: 30, at }], 0).map((s) => [s.lot.id, s.left])
      );
    expect(left(10 * DAY)).toEqual({ late: 100, soon: 70 });
    expect(left(2 * DAY)).toEqual({ late: 70, soon: 100 });
  });

  it('never gives more than it holds', () => {
    fc.assert(
      fc.property(
        fc.array(evenly(0, 90), { maxLength: 8 }),
        fc.array(fc.integer({ min: 1, max: 200 }), { minLength: 1, maxLength: 4 }),
        (takes, sizes) => {
          const lots = sizes.map((grams, i) => lot(`l${i}`, { grams }));
          const uses = takes.map((grams, at) => ({ key: 'colourant:white', grams, at: at + 1 }));
          const after = stockOf(lots, uses, 0);
          const had = sizes.reduce((s, g) => s + g, 0);
          const took = takes.reduce((s, g) => s + g, 0);
          expect(after.every((s) => s.left >= -1e-9)).toBe(true);
          expect(after.reduce((s, x) => s + x.left, 0)).toBeCloseTo(Math.max(0, had - took), 6);
        }
      )
    );
  });

  it('says what is short, what it costs, and what has passed its date', () => {
    const stock = stockOf([lot('old', { useBy: DAY })], [], 5 * DAY);
    const [white, water] = needsOf(
      [
        { key: 'colourant:white', name: 'white', grams: 120, inAll: 120 },
        { key: 'part:x:water', name: 'water', grams: 50, inAll: 50 }
      ],
      stock
    );
    expect(white).toMatchObject({ have: 100, short: true, expired: DAY });
    expect(white!.cost).toBeCloseTo(18, 9);
    // Of what no lot is kept, nothing is said but how much.
    expect(water).toEqual({ key: 'part:x:water', name: 'water', grams: 50, inAll: 50, short: false });
  });

  it('is enough for one turn and short for the order', () => {
    const stock = stockOf([lot('white')], [], DAY);
    const white = (inAll: number) =>
      needsOf([{ key: 'colourant:white', name: 'white', grams: 30, inAll }], stock)[0]!;
    expect(white(90)).toMatchObject({ grams: 30, inAll: 90, short: false });
    expect(white(120)).toMatchObject({ grams: 30, inAll: 120, have: 100, short: true });
    // A pour costs what a pour takes.
    expect(white(120).cost).toBeCloseTo(white(30).cost!, 9);
  });

  it('refuses a lot of nothing', () => {
    expect(Lot.safeParse(lot('a', { grams: 0 })).success).toBe(false);
  });
});

describe('vessels', () => {
  const cups = [
    { id: 'l', name: 'large', ml: 900, loss: 5 },
    { id: 's', name: 'small', ml: 300, loss: 2 }
  ];
  it('are the smallest that leaves a third free', () => {
    expect(vesselFor(200, cups)!.id).toBe('s');
    expect(vesselFor(201, cups)!.id).toBe('l');
    expect(vesselFor(601, cups)).toBeUndefined();
  });
});

describe('the entries of a lot', () => {
  const DAY = 24 * 3_600_000;
  const lot = (id: string, more: Partial<Lot> = {}): Lot => ({
    id,
    name: id,
    of: { kind: 'colourant', colourantId: 'blue' },
    grams: 100,
    price: 0,
    tax: 0,
    carriage: 0,
    boughtAt: 0,
    place: '',
    ...more
  });
  const use = (grams: number, days: number, runId = 'r') => ({
    key: 'colourant:blue',
    grams,
    at: days * DAY,
    runId
  });

  it('are every gram: bought, taken by which run, and counted anew; their sum is what is left', () => {
    const lots = [lot('old', { useBy: 100 * DAY }), lot('new', { boughtAt: 2 * DAY })];
    const fixed = [
      { ...lots[0]!, corrections: [{ id: 'fix-00001', at: 3 * DAY, grams: -5, why: 'spilled' }] },
      lots[1]!
    ];
    const uses = [use(60, 1, 'a'), use(50, 4, 'b')];
    const entries = entriesOf(fixed, uses);
    expect(entries.filter((e) => e.lotId === 'old').map((e) => e.grams)).toEqual([100, -60, -5, -35]);
    expect(entries.filter((e) => e.lotId === 'new').map((e) => e.grams)).toEqual([100, -15]);
    for (const own of stockOf(fixed, uses, 0))
      expect(own.left).toBeCloseTo(
        entries.filter((e) => e.lotId === own.lot.id).reduce((s, e) => s + e.grams, 0),
        9
      );
    // Taken back, it is as it was.
    expect(stockOf(lots, uses, 0).map((s) => s.left)).toEqual([0, 90]);
  });

  it('merged uses leave every lot exactly as all of them do', () => {
    const moment = fc.integer({ min: 0, max: 40 });
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            days: moment,
            grams: fc.integer({ min: 1, max: 60 }),
            key: fc.constantFrom('colourant:blue', 'colourant:red')
          }),
          { maxLength: 30 }
        ),
        fc.array(
          fc.record({
            bought: moment,
            useBy: fc.option(moment, { nil: undefined }),
            fix: fc.option(moment, { nil: undefined }),
            by: fc.integer({ min: -50, max: 50 })
          }),
          { minLength: 1, maxLength: 4 }
        ),
        (taken, bought) => {
          const lots = bought.map((b, i) =>
            lot(`lot-${i}`, {
              boughtAt: b.bought * DAY,
              ...(b.useBy === undefined ? {} : { useBy: b.useBy * DAY }),
              ...(b.fix === undefined
                ? {}
                : { corrections: [{ id: 'fix-00001', at: b.fix * DAY, grams: b.by, why: '' }] })
            })
          );
          const uses = taken.map((t) => ({ key: t.key, grams: t.grams, at: t.days * DAY + 1 }));
          const left = (u: typeof uses) => stockOf(lots, u, 0).map((s) => s.left);
          expect(left(mergedUses(lots, uses) as typeof uses)).toEqual(left(uses));
          expect(mergedUses(lots, uses).length).toBeLessThanOrEqual(2 * lots.length);
        }
      )
    );
  });

  it('never leave less than nothing', () => {
    const emptied = lot('x', { corrections: [{ id: 'fix-00001', at: DAY, grams: -500, why: '' }] });
    expect(stockOf([emptied], [use(10, 2)], 0)[0]!.left).toBe(0);
  });

  it('tell the pace, and what will pass its use-by', () => {
    const own = lot('x', { grams: 1000, useBy: 40 * DAY });
    const uses = [use(50, 0), use(50, 5), use(100, 10)];
    const [left] = stockOf([own], uses, 20 * DAY);
    // 200 g in 20 days: 10 g a day; 800 left, 200 of them by day 40.
    const pace = useRateOf(left!, entriesOf([own], uses), 20 * DAY)!;
    expect(pace.gramsDay).toBeCloseTo(10, 9);
    expect(pace.endsAt).toBeCloseTo(100 * DAY, 0);
    expect(pace.unused).toBeCloseTo(600, 6);
    expect(
      useRateOf(stockOf([own], uses.slice(0, 1), 0)[0]!, entriesOf([own], uses.slice(0, 1)), DAY)
    ).toBeUndefined();
    const lasting = lot('y', { grams: 1000 });
    expect(useRateOf(stockOf([lasting], uses, 0)[0]!, entriesOf([lasting], uses), 20 * DAY)!.unused).toBe(0);
  });
});

describe('what is to be bought again', () => {
  const low = (lots: Lot[], used = 0, at = 0) =>
    toReorder(stockOf(lots, [{ key: 'colourant:white', grams: used, at: 1 }], at));

  it('is what all lots of it together hold too little of, by the highest figure that one names', () => {
    const lots = [lot('a', { reorderAt: 150 }), lot('b', { reorderAt: 60 })];
    expect(low(lots, 49)).toEqual([]);
    expect(low(lots, 51)).toEqual([{ key: 'colourant:white', name: 'a', left: 149, at: 150 }]);
    expect(low([lot('a'), lot('b')], 200)).toEqual([]);
  });

  it('does not count what is past its use-by, and never less than nothing', () => {
    const old = [lot('a', { useBy: DAY, reorderAt: 50 }), lot('b')];
    expect(low(old, 0, 2 * DAY)).toEqual([]);
    expect(low([lot('a', { useBy: DAY, reorderAt: 50 })], 0, 2 * DAY)).toMatchObject([{ left: 0, at: 50 }]);
    expect(low([lot('a', { reorderAt: 50 })], 400)).toMatchObject([{ left: 0 }]);
  });

  it('has the most lacking first', () => {
    const other = { kind: 'colourant', colourantId: 'blue' } as const;
    const lots = [lot('a', { reorderAt: 120 }), lot('b', { of: other, reorderAt: 400 })];
    expect(low(lots).map((l) => l.name)).toEqual(['b', 'a']);
  });
});
