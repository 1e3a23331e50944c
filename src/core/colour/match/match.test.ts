import { isToday, someOf, times } from '../../soak.testing';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { demoTrialCards } from '../../../../demo/trial-cards';
import { formulaOf, limitOf, type Base } from '../../material';
import { asWeighed, matchColour, matching, predictorFor, type MatchOrder } from './match';
import { candidatesFor } from './candidates';
import { correctStrengths, predictedCard, type TrialCard } from '../cards/trial';
import { deepColour, mixtureOf } from '../pigment/pigment';
import { deltaE } from '../spectrum/difference';
import { hidingThickness } from '../pigment/hiding';
import { ladderOf, predictedLadder, readLadder } from '../cards/ladder';
import { lookOf } from '../spectrum/spectrum';

/** A repeatable row of numbers in 0..1. */
function dice(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
}
const baseOf = (id: string): Base => cards.bases.find((b) => b.id === id)!;
function orderFor(id: string): MatchOrder {
  const base = baseOf(id);
  const formula = formulaOf(base);
  if (!formula.ok) throw new Error(id);
  return {
    target: { l: 50, a: 0, b: 0 },
    base: { kind: base.kind, colour: base.colour, density: formula.value.density },
    ...candidatesFor(base, formula.value, cards.colourants),
    colourants: 3
  };
}
/** A recipe of one to three colourants within all limits. */
function randomRecipe(order: MatchOrder, next: () => number) {
  const pots = [...order.candidates].map((c) => ({ c, at: next() })).sort((a, b) => a.at - b.at);
  const doses = pots
    .slice(0, 1 + Math.floor(next() * 3))
    .map(({ c }) => ({ colourant: c.colourant, percent: c.most * (0.02 + 0.98 * next() ** 2) }));
  const all = doses.reduce((s, d) => s + d.percent, 0);
  const share = Math.min(1, (0.98 * order.mostInAll) / all);
  return doses.map((d) => ({ ...d, percent: d.percent * share }));
}

describe('matching', () => {
  it.runIf(isToday(1, 2))(
    'finds random recipes again: at least 95 % within ΔE00 1, all within 3, inside every limit',
    () => {
      const many = times(6, 90);
      const next = dice(20261125);
      const orders = [
        'clear-quick',
        'bar-soap',
        'acrylic-gypsum',
        'fine-concrete',
        'soft-plastisol',
        'clear-slow'
      ].map(orderFor);
      const errors: number[] = [];
      for (let i = 0; i < many; i++) {
        const order = orders[i % orders.length]!;
        const target = deepColour({ base: order.base, doses: randomRecipe(order, next) }).lab;
        const answers = matchColour({ ...order, target });
        for (const a of answers) {
          expect(a.lines.length).toBeLessThanOrEqual(3);
          expect(a.lines.reduce((s, l) => s + l.percent, 0)).toBeLessThanOrEqual(order.mostInAll * 1.001);
          for (const l of a.lines)
            expect(l.percent).toBeLessThanOrEqual(
              order.candidates.find((c) => c.colourant.id === l.colourantId)!.most * 1.0001
            );
        }
        errors.push(Math.min(...answers.map((a) => a.deltaE)));
      }
      expect(errors.filter((e) => e < 1).length).toBeGreaterThanOrEqual(Math.floor(0.955 * many));
      expect(Math.max(...errors)).toBeLessThan(3);
    }
  );

  it('puts the fewest colourants first among equals', () => {
    const order = orderFor('clear-quick');
    const blue = cards.colourants.find((c) => c.id === 'blue-paste')!;
    const target = deepColour({ base: order.base, doses: [{ colourant: blue, percent: 1 }] }).lab;
    const [first] = matchColour({ ...order, target });
    expect(first!.lines.map((l) => l.colourantId)).toEqual(['blue-paste']);
    expect(first!.deltaE).toBeLessThan(0.3);
  });

  it.runIf(isToday(1, 2))('sees through a film to its backing', () => {
    const order = orderFor('clear-quick');
    const target = { l: 62, a: -8, b: -14 };
    const over = (backing: string) => matchColour({ ...order, target, film: { mm: 1.5, backing } })[0]!;
    expect(over('#ffffff').deltaE).toBeLessThan(1);
    const dark = over('#101010');
    const pale = over('#ffffff');
    const all = (a: typeof dark) => a.lines.reduce((s, l) => s + l.percent, 0);
    expect(all(dark)).not.toBeCloseTo(all(pale), 2);
  });

  const wanted = [
    { l: 62, a: -8, b: -14 },
    { l: 45, a: 22, b: 18 },
    { l: 80, a: 2, b: 30 },
    { l: 30, a: 5, b: -25 },
    { l: 70, a: -20, b: 15 }
  ];
  const bases = ['clear-quick', 'bar-soap', 'acrylic-gypsum'];
  const hide = (order: MatchOrder, lines: { colourantId: string; percent: number }[]) =>
    hidingThickness(
      mixtureOf({
        base: order.base,
        doses: lines.map((l) => ({
          colourant: cards.colourants.find((c) => c.id === l.colourantId)!,
          percent: l.percent
        }))
      })
    );

  it.each(bases)(
    'gives nothing for %s that a piece is too thin for, unless it is to be seen through',
    (id) => {
      for (const target of someOf(wanted, 2)) {
        const order = { ...orderFor(id), target, colourants: 2 };
        for (const a of matchColour(order)) {
          expect(a.hides).not.toBeNull();
          expect(hide(order, a.lines)).toBeLessThanOrEqual(50 + 1e-3);
        }
        expect(matchColour({ ...order, clear: true }).length).toBeGreaterThanOrEqual(
          matchColour(order).length
        );
      }
      const order = { ...orderFor('clear-quick'), colourants: 1 };
      const ink = order.candidates.flatMap((c) => (c.colourant.form === 'ink' ? [{ ...c, most: 0.05 }] : []));
      expect(matchColour({ ...order, candidates: ink })).toEqual([]);
      expect(matchColour({ ...order, candidates: ink, clear: true })).toHaveLength(1);
    }
  );

  it.each(bases)(
    'for %s, has no line that is not seen, and no answer that is another with something added',
    (id) => {
      for (const target of someOf(wanted, 3)) {
        const order = { ...orderFor(id), target };
        const answers = matchColour(order);
        const look = (lines: { colourantId: string; percent: number }[]) =>
          predictorFor(
            order,
            lines.map((l) => order.candidates.findIndex((c) => c.colourant.id === l.colourantId))
          )(lines.map((l) => l.percent));
        answers.forEach((a, i) => {
          for (const line of a.lines.length > 1 ? a.lines : [])
            expect(deltaE(look(a.lines.filter((l) => l !== line)), look(a.lines))).toBeGreaterThan(0.5);
          for (const before of answers.slice(0, i)) {
            const within = before.lines.every((l) => a.lines.some((x) => x.colourantId === l.colourantId));
            if (within) expect(a.deltaE).toBeLessThan(before.deltaE - 0.5);
          }
        });
      }
    }
  );

  it.runIf(isToday(0, 2))('has every line weighed within tolerance, as it is or as its let-down', () => {
    const base = baseOf('clear-quick');
    const formula = formulaOf(base);
    if (!formula.ok) throw new Error('no formula');
    const scale = { division: 0.1, repeatability: 0.1 };
    for (const batch of [20, 60, 400])
      for (const target of someOf(wanted, 5, batch / 20)) {
        const order: MatchOrder = {
          ...orderFor('clear-quick'),
          ...candidatesFor(base, formula.value, cards.colourants, { weighing: { batch, scale } }),
          target,
          colourants: 3
        };
        for (const answer of matchColour(order).slice(0, 3)) {
          const weighed = asWeighed(answer, order, batch, scale);
          weighed.grams.forEach((g, i) => {
            const spread = Math.hypot(0.1 / Math.sqrt(12), 0.1) / g.grams;
            expect(spread).toBeLessThan(0.055);
            expect(g.delivers).toBeCloseTo(g.grams / ((g.letDown ?? 0) + 1), 9);
            const asked = (answer.lines[i]!.percent * batch) / 100;
            expect(Math.abs(g.delivers / asked - 1)).toBeLessThan(0.06);
          });
        }
      }
  });

  it('uses only what belongs in the base and is at hand', () => {
    const gypsum = orderFor('acrylic-gypsum');
    expect(gypsum.candidates.map((c) => c.colourant.form)).not.toContain('paste');
    const base = baseOf('clear-quick');
    const formula = formulaOf(base);
    const without = formula.ok
      ? candidatesFor(base, formula.value, cards.colourants, { without: ['blue-paste'] }).candidates
      : [];
    expect(without.map((c) => c.colourant.id)).not.toContain('blue-paste');
    for (const c of without) expect(c.most).toBeLessThanOrEqual(limitOf(c.colourant, 'resin').limit + 1e-9);
  });

  it('says how far it is, and what a scale leaves of the answer', () => {
    const order = { ...orderFor('acrylic-gypsum'), target: { l: 60, a: -15, b: 20 } };
    const progress: number[] = [];
    const steps = matching(order);
    let step = steps.next();
    while (!step.done) {
      progress.push(step.value);
      step = steps.next();
    }
    expect(progress.length).toBeGreaterThan(5);
    expect(progress).toEqual([...progress].sort((a, b) => a - b));
    expect(progress.at(-1)).toBeLessThanOrEqual(1);
    const [answer] = step.value;
    const fine = asWeighed(answer!, order, 500, { division: 0.01 });
    const coarse = asWeighed(answer!, order, 20, { division: 1 });
    expect(fine.deltaE).toBeCloseTo(answer!.deltaE, 1);
    expect(coarse.deltaE).toBeGreaterThan(fine.deltaE);
    for (const g of coarse.grams) expect(g.grams).toBe(Math.round(g.grams));
  });
});

describe('trial cards', () => {
  const colourants = new Map(cards.colourants.map((c) => [c.id, c]));
  const look = (id: string) => orderFor(id).base;
  const wall = demoTrialCards(0);

  it('find out how strong the pots really are, and name the card that does not fit', () => {
    const { factors, cards: fits } = correctStrengths(wall, look, colourants);
    const factor = (id: string) => factors.find((f) => f.colourantId === id)!.factor;
    expect(factor('blue-paste')).toBeGreaterThan(1.15);
    expect(factor('blue-paste')).toBeLessThan(1.45);
    expect(factor('white-paste')).toBeGreaterThan(0.75);
    expect(factor('white-paste')).toBeLessThan(0.95);
    expect(fits.filter((c) => c.outlier).map((c) => c.id)).toEqual(['card-wrong']);
    const kept = fits.filter((c) => !c.outlier);
    const mean = (pick: (c: (typeof kept)[0]) => number) =>
      kept.reduce((s, c) => s + pick(c), 0) / kept.length;
    expect(mean((c) => c.after)).toBeLessThan(mean((c) => c.before));
    expect(mean((c) => c.after)).toBeLessThan(1.5);
  });

  it('leave strengths alone where they agree with them', () => {
    const agreeing = wall
      .filter((c) => c.id !== 'card-wrong')
      .map((c): TrialCard => ({ ...c, colour: lookOf(predictedCard(c, look(c.baseId), colourants)).hex }));
    for (const f of correctStrengths(agreeing, look, colourants).factors) expect(f.factor).toBeCloseTo(1, 1);
    expect(correctStrengths([], look, colourants)).toEqual({
      factors: [],
      unknown: [],
      conflicts: [],
      cards: []
    });
  });
});

describe('a dose ladder', () => {
  it('finds the first percentage that hides and the one past which more does not show', () => {
    const read = readLadder([
      { percent: 4, black: '#e9e9e9', white: '#ebebeb' },
      { percent: 1, black: '#8a8a8a', white: '#d2d2d2' },
      { percent: 2, black: '#cfcfcf', white: '#e6e6e6' },
      { percent: 6, black: '#ebebeb', white: '#ececec' },
      { percent: 8, black: '#ececec', white: '#ececec' }
    ]);
    expect(read.steps.map((s) => s.percent)).toEqual([1, 2, 4, 6, 8]);
    expect(read.hidesFrom).toBe(4);
    expect(read.enoughFrom).toBe(4);
    expect(readLadder([{ percent: 1, black: '#111111', white: '#eeeeee' }])).not.toHaveProperty('hidesFrom');
  });

  it('is expected by the model, and read from cards laid on both', () => {
    const white = cards.colourants.find((c) => c.id === 'white-paste')!;
    const expected = readLadder(predictedLadder(white, orderFor('clear-slow').base, 3, [0.5, 1, 2, 4, 6]));
    const contrasts = expected.steps.map((s) => s.contrast);
    expect(contrasts).toEqual([...contrasts].sort((a, b) => a - b));
    const measured = ladderOf(demoTrialCards(0), {
      colourantId: 'white-paste',
      baseId: 'clear-slow',
      mm: 3
    });
    expect(measured.map((s) => s.percent).sort((a, b) => a - b)).toEqual([0.5, 1, 2, 4, 6]);
    expect(readLadder(measured).hidesFrom).toBeDefined();
  });
});
