import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { formulaOf } from '../../material';
import { correctStrengths, predictedCard, type TrialCard } from './trial';
import { ladderOf, readLadder } from './ladder';
import { labOfHex, lookOf } from '../spectrum/spectrum';
import { type BaseLook } from '../pigment/optics';

const colourants = new Map(cards.colourants.map((c) => [c.id, c]));
const look = (id: string): BaseLook => {
  const base = cards.bases.find((b) => b.id === id)!;
  const formula = formulaOf(base);
  if (!formula.ok) throw new Error(id);
  return { kind: base.kind, colour: base.colour, density: formula.value.density };
};

/** A card as it would be measured if pots were so much stronger than they say. */
function measured(
  id: string,
  lines: Record<string, number>,
  really: Record<string, number>,
  over: Partial<TrialCard> = {}
): TrialCard {
  const plain: TrialCard = {
    id,
    name: id,
    baseId: 'clear-slow',
    lines: Object.entries(lines).map(([colourantId, percent]) => ({ colourantId, percent })),
    mm: 20,
    backing: 'deep',
    colour: '#000000',
    light: 'daylight',
    madeAt: 0,
    note: '',
    ...over
  };
  const lab = predictedCard(plain, look(plain.baseId), colourants, new Map(Object.entries(really)));
  return { ...plain, colour: lookOf(lab).hex };
}
const correct = (...wall: TrialCard[]) => correctStrengths(wall, look, colourants);
const TINT = { 'blue-paste': 0.2, 'white-paste': 2 };

describe('one noisy card', () => {
  /** The card as it would be read two steps lighter or darker than it is, by a lamp or a shadow. */
  const misread = (by: number): TrialCard => {
    const card = measured('tint', TINT, {});
    const lab = labOfHex(card.colour);
    return { ...card, colour: lookOf({ ...lab, l: lab.l + by }).hex };
  };

  it.each([-2, 2])(
    'read %i off in lightness moves a true strength a little, and its range holds the truth',
    (by) => {
      const [blue] = correct(misread(by)).factors;
      if (!blue) return;
      expect(blue.factor).toBeGreaterThan(0.75);
      expect(blue.factor).toBeLessThan(1.33);
      expect(blue.low).toBeLessThan(1);
      expect(blue.high).toBeGreaterThan(1);
    }
  );

  it('is believed less than three that say the same', () => {
    const really = { 'blue-paste': 1.6 };
    const one = measured('thin', { 'blue-paste': 0.3 }, really, { mm: 1, backing: 'white' });
    const three = [0.2, 0.3, 0.4].map((p, i) =>
      measured(`t${i}`, { 'blue-paste': p }, really, { mm: 1, backing: 'white' })
    );
    const far = (f: number) => Math.abs(Math.log(f / 1.6));
    expect(far(correct(...three).factors[0]!.factor)).toBeLessThan(far(correct(one).factors[0]!.factor));
  });
});

describe('what cards do not tell', () => {
  it('is left alone: a deep card of one colour is its masstone, whatever its strength', () => {
    const { factors, unknown } = correct(measured('deep', { 'red-paste': 2 }, { 'red-paste': 1.8 }));
    expect(factors).toEqual([]);
    expect(unknown).toEqual(['red-paste']);
  });

  it('is a ratio where both are in one cup: the white is held and the other corrected beside it', () => {
    const { factors, unknown } = correct(measured('tint', TINT, { 'blue-paste': 1.6 }));
    expect(unknown).toEqual(['white-paste']);
    expect(factors).toHaveLength(1);
    expect(factors[0]).toMatchObject({ colourantId: 'blue-paste', beside: ['white-paste'], cards: 1 });
    expect(factors[0]!.factor).toBeGreaterThan(1.5);
    expect(factors[0]!.factor).toBeLessThan(1.7);
  });

  it('shows as a ratio all the same where it is the white that is weak', () => {
    const { factors } = correct(measured('tint', TINT, { 'white-paste': 0.625 }));
    expect(factors[0]!.colourantId).toBe('blue-paste');
    expect(factors[0]!.factor).toBeGreaterThan(1.5);
    expect(factors[0]!.factor).toBeLessThan(1.7);
  });

  it('is no better than a guess where a film all but hides: within a factor of five is not known', () => {
    const half = measured('half', { 'white-paste': 4 }, {}, { mm: 3, backing: 'black' });
    const { factors, unknown } = correct(half);
    expect(factors).toEqual([]);
    expect(unknown).toEqual(['white-paste']);
  });

  it('is told by a film over black: both then, each with its range', () => {
    const really = { 'blue-paste': 1.6, 'white-paste': 0.8 };
    const { factors, unknown } = correct(
      measured('tint', TINT, really),
      measured('thin', { 'white-paste': 2 }, really, { mm: 2, backing: 'black' }),
      measured('thinner', { 'white-paste': 1 }, really, { mm: 1, backing: 'black' })
    );
    expect(unknown).toEqual([]);
    for (const f of factors) {
      const true_ = really[f.colourantId as keyof typeof really];
      expect(f.low).toBeLessThan(true_);
      expect(f.high).toBeGreaterThan(true_);
      expect(f.factor).toBeGreaterThan(true_ * 0.9);
      expect(f.factor).toBeLessThan(true_ * 1.1);
      expect(f.beside).toBeUndefined();
    }
  });
});

describe('doubt', () => {
  it('is less the more cards tell the same', () => {
    const really = { 'blue-paste': 1.4 };
    const wide = (n: number) => {
      const wall = Array.from({ length: n }, (_, i) =>
        measured(`c${i}`, { 'blue-paste': 0.1 * (i + 1), 'white-paste': 2 }, really)
      );
      const [f] = correct(...wall).factors.filter((x) => x.colourantId === 'blue-paste');
      return f!.high / f!.low;
    };
    expect(wide(4)).toBeLessThan(wide(1));
    expect(wide(1)).toBeGreaterThan(1.05);
  });
});

describe('one card against one', () => {
  const right = measured('right', TINT, { 'blue-paste': 1 });
  const wrong = measured('wrong', TINT, { 'blue-paste': 3 });

  it('is a conflict, named, and nothing is corrected by either', () => {
    const { factors, conflicts } = correct(right, wrong);
    expect(conflicts).toHaveLength(1);
    expect(conflicts[0]!.cards).toEqual(['right', 'wrong']);
    expect(conflicts[0]!.colourantIds).toEqual(['blue-paste', 'white-paste']);
    const [a, b] = conflicts[0]!.factors;
    expect(b / a).toBeGreaterThan(1.5);
    expect(factors).toEqual([]);
  });

  it('is settled by more: the one that does not fit is left out', () => {
    const more = [0.1, 0.3, 0.4].map((p) =>
      measured(`more-${p}`, { 'blue-paste': p, 'white-paste': 2 }, { 'blue-paste': 1 })
    );
    const { conflicts, cards: fits, factors } = correct(right, wrong, ...more);
    expect(conflicts).toEqual([]);
    expect(fits.filter((c) => c.outlier).map((c) => c.id)).toEqual(['wrong']);
    for (const f of factors) expect(f.factor).toBeCloseTo(1, 1);
  });

  it('is none where a third card of one of its colours can say which', () => {
    const third = measured('third', { 'blue-paste': 0.2, 'white-paste': 2, 'brown-paste': 0.1 }, {});
    expect(correct(right, wrong, third).conflicts).toEqual([]);
  });

  it('is none where the two agree', () => {
    const { conflicts, factors } = correct(
      measured('one', TINT, { 'blue-paste': 1.5 }),
      measured('two', { 'blue-paste': 0.4, 'white-paste': 2 }, { 'blue-paste': 1.5 })
    );
    expect(conflicts).toEqual([]);
    expect(factors.find((f) => f.colourantId === 'blue-paste')!.factor).toBeGreaterThan(1.4);
  });
});

describe('a ladder of cards', () => {
  const step = (mm: number, percent: number) =>
    (['black', 'white'] as const).map((backing) =>
      measured(`${mm}-${percent}-${backing}`, { 'white-paste': percent }, {}, { mm, backing })
    );
  const wall = [...[1, 2, 4].flatMap((p) => step(3, p)), ...[1, 2].flatMap((p) => step(10, p))];
  const ladder = (mm: number) => ladderOf(wall, { colourantId: 'white-paste', baseId: 'clear-slow', mm });

  it('stands at its thickness', () => {
    expect(ladder(3).map((s) => s.percent)).toEqual([1, 2, 4]);
    expect(ladder(10).map((s) => s.percent)).toEqual([1, 2]);
    expect(ladder(5)).toEqual([]);
    expect(ladder(3)[0]!.black).not.toBe(ladder(10)[0]!.black);
  });

  it('goes on for as long as a step shows over either backing', () => {
    const whites = ['#eeeeee', '#eeeeee', '#eeeeee', '#eeeeee'];
    const blacks = ['#444444', '#888888', '#ececec', '#ececec'];
    const read = readLadder(whites.map((white, i) => ({ percent: i + 1, white, black: blacks[i]! })));
    expect(read.enoughFrom).toBe(3);
    expect(read.steps[0]!.next).toBeGreaterThan(10);
    // And the other way about: a dark that shows over white alone.
    const dark = readLadder(
      ['#cccccc', '#888888', '#222222', '#222222'].map((white, i) => ({
        percent: i + 1,
        white,
        black: '#202020'
      }))
    );
    expect(dark.enoughFrom).toBe(3);
  });
});
