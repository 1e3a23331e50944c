import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { formulaOf, type Colourant, type Formula } from '../material';
import {
  countWords,
  creepSteps,
  cupScale,
  EIGHTH_TSP,
  inDrops,
  inSpoons,
  LINE_BASES,
  ownPercents,
  pasteOf,
  thinned,
  scaleFor,
  weighCup,
  type Dose
} from '.';

const formulas = cards.bases.map((b) => {
  const f = formulaOf(b);
  if (!f.ok) throw new Error(b.id);
  return f.value;
});
const formula = (id: string): Formula => formulas[cards.bases.findIndex((b) => b.id === id)]!;
const paste = (over: Partial<Colourant> = {}): Colourant => ({
  ...cards.colourants.find((c) => c.id === 'white-paste')!,
  ...over
});
const sum = (xs: number[]) => xs.reduce((s, x) => s + x, 0);

describe('percentages', () => {
  const dry = paste({ carrier: 'none', form: 'powder', pigmentFraction: 1 });
  const of = (id: string, dose: Partial<Dose>) =>
    weighCup(formula(id), [{ colourant: dry, percent: 4, of: 'supplied', ...dose }], 1000);

  it('of the batch are on top, of the finished mix included, of the binder its share', () => {
    const batch = of('fine-concrete', { basis: 'batch' });
    expect(batch.colourants[0]!.grams / batch.batch).toBeCloseTo(0.04, 12);
    expect(of('fine-concrete', { basis: 'finished' }).colourants[0]!.grams).toBeCloseTo(40, 9);
    const own = of('fine-concrete', {});
    expect(own.colourants[0]!.grams / own.parts.find((p) => p.key === 'cement')!.grams).toBeCloseTo(0.04, 12);
    expect(of('fine-concrete', { basis: 'binder' })).toEqual({ ...own, colourants: expect.anything() });
    const gypsum = of('acrylic-gypsum', { basis: 'binder' });
    expect(gypsum.colourants[0]!.grams / gypsum.parts[1]!.grams).toBeCloseTo(0.04, 12);
    const bag = of('bagged-concrete', {});
    expect(bag.colourants[0]!.grams / (0.35 * bag.parts[0]!.grams)).toBeCloseTo(0.04, 12);
  });

  const doses = fc.array(
    fc.record({
      colourant: fc.constantFrom(...cards.colourants),
      percent: evenly(0, 6),
      of: fc.constantFrom('supplied' as const, 'pigment' as const),
      basis: fc.constantFrom(...LINE_BASES)
    }),
    { maxLength: 4 }
  );

  it('of any basis, in any mixture, add up to the total and keep the ratio of the parts', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...formulas),
        doses,
        fc.double({ min: 10, max: 5000, noNaN: true }),
        (f, d, total) => {
          const cup = weighCup(f, d, total);
          expect(sum(cup.parts.map((p) => p.grams)) + sum(cup.colourants.map((c) => c.grams))).toBeCloseTo(
            total,
            6
          );
          for (const [i, part] of cup.parts.entries())
            expect((part.grams + part.fromCarriers) / cup.batch).toBeCloseTo(f.parts[i]!.share, 9);
        }
      )
    );
  });

  it('say what they are of the material’s own basis, so that limits hold for all', () => {
    const f = formula('clear-quick');
    const [inclusive] = ownPercents(f, [{ colourant: dry, percent: 5, of: 'supplied', basis: 'finished' }]);
    expect(inclusive).toBeCloseTo((5 / 95) * 100, 9);
    const [own] = ownPercents(f, [{ colourant: dry, percent: 5, of: 'supplied' }]);
    expect(own).toBeCloseTo(5, 12);
  });
});

describe('a cup split from a common mix', () => {
  const resin: Formula = {
    ...formula('clear-quick'),
    parts: [
      { key: 'A', name: 'resin', share: 0.5420561 },
      { key: 'B', name: 'hardener', share: 0.4579439 }
    ]
  };
  const white = paste({ carrier: 'part B', pigmentFraction: 0.6 });

  it('ends off its ratio by what the carrier brings', () => {
    const cup = weighCup(resin, [{ colourant: white, percent: 0.8, of: 'pigment' }], 60.8, 'on top');
    expect(cup.offRatio).toEqual([{ key: 'B', name: 'hardener', share: expect.closeTo(0.0116, 4) }]);
    expect(cup.batch + cup.colourants[0]!.grams).toBeCloseTo(60.8, 9);
    const own = weighCup(resin, [{ colourant: white, percent: 0.8, of: 'pigment' }], 60.8);
    expect(own.offRatio).toEqual([]);
    expect(own.parts[1]!.fromCarriers).toBeGreaterThan(0);
  });
});

describe('a premix', () => {
  it('makes room for the base it brings, in every material', () => {
    const premix = paste({ form: 'premix', carrier: 'base', pigmentFraction: 0.1 });
    for (const f of formulas) {
      const cup = weighCup(f, [{ colourant: premix, percent: 1, of: 'pigment', basis: 'batch' }], 101);
      expect(cup.colourants[0]!.grams).toBeCloseTo(10, 6);
      const own = cup.parts.find((p) => p.key === f.letDownIn)!;
      expect(own.fromCarriers).toBeCloseTo(9, 6);
      expect(cup.batch).toBeCloseTo(100, 6);
    }
  });
});

describe('counted doses', () => {
  it('are whole drops with their likely spread', () => {
    const dozen = inDrops(0.51, { grams: 0.042, error: 0.0001 });
    expect(dozen).toMatchObject({ unit: 'drops', count: 12 });
    expect(dozen.grams).toBeCloseTo(0.504, 9);
    expect(dozen.spread).toBeCloseTo(Math.hypot(0.0001 / 0.042, 0.05 / Math.sqrt(12)), 9);
    // Never no drop of something.
    expect(inDrops(0.01, { grams: 0.042, error: 0 })).toMatchObject({ count: 1, grams: 0.042 });
  });

  it('are eighths of a teaspoon', () => {
    const spoon = inSpoons(3 * EIGHTH_TSP * 0.8, 0.8);
    expect(countWords(spoon)).toBe('⅜ tsp');
    expect(countWords(inSpoons(0.001, 0.8))).toBe('⅛ tsp');
    expect(countWords({ unit: '⅛ tsp', count: 12 })).toBe('1½ tsp');
    expect(countWords({ unit: 'drops', count: 1 })).toBe('1 drop');
  });
});

describe('creeping up', () => {
  it('reaches the target exactly, from the start in even steps', () => {
    expect(creepSteps(2, { start: 0.5, step: 0.2 })).toEqual([
      1,
      expect.closeTo(0.4, 9),
      expect.closeTo(0.4, 9),
      expect.closeTo(0.2, 9)
    ]);
    fc.assert(
      fc.property(evenly(0.01, 50), evenly(0.05, 1), evenly(0.02, 0.5), (target, start, step) => {
        expect(sum(creepSteps(target, { start, step })) / target).toBeCloseTo(
          1,
          start + 39 * step < 1 ? -1 : 9
        );
      })
    );
  });
});

describe('paste', () => {
  it('is weighed to its fraction and costed beside a bought one', () => {
    const made = pasteOf({
      make: 40,
      fraction: 0.6,
      division: 0.1,
      pigmentCost: 0.05,
      carrierCost: 0.03,
      bought: { cost: 0.12, fraction: 0.5 }
    });
    expect(made.ok && made.value).toMatchObject({
      pigment: expect.closeTo(24, 9),
      carrier: expect.closeTo(16, 9)
    });
    expect(made.ok && made.value.costGram).toBeCloseTo(0.042, 9);
    expect(made.ok && made.value.boughtPigment).toBeCloseTo(0.24, 9);
  });

  it.each([
    [{ make: 0, fraction: 0.5 }, 'paste-nothing'],
    [{ make: 10, fraction: 0.9 }, 'paste-fraction']
  ])('refuses %j', (order, code) => {
    const made = pasteOf({ ...order, division: 0.01 });
    expect(!made.ok && made.problem.code).toBe(code);
  });
});

describe('more liquid', () => {
  it('shows the ratio it leaves', () => {
    const after = thinned(100, 250, 5);
    expect(after.ratio).toBeCloseTo(0.42, 9);
    expect(after.change).toBeCloseTo(0.05, 9);
  });
});

describe('which scale', () => {
  const [fine, middle, bench] = cards.scales as [
    (typeof cards.scales)[0],
    (typeof cards.scales)[0],
    (typeof cards.scales)[0]
  ];
  it('holds the cup, and weighs each thing within its tolerance', () => {
    expect(cupScale(200, [fine, bench]).id).toBe('fine');
    expect(cupScale(1800, [fine, bench, middle]).id).toBe('middle');
    expect(scaleFor(0.5, 0.05, bench, [bench, middle, fine]).id).toBe('fine');
    expect(scaleFor(5, 0.05, bench, [bench, middle, fine]).id).toBe('middle');
    // Nothing weighs a speck; the finest comes nearest.
    expect(scaleFor(0.01, 0.05, bench, [bench, middle, fine]).id).toBe('fine');
  });
});
