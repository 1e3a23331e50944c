import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { rockpool, saltings } from '../../../demo/plans';
import * as demo from '../../../demo/plans';
import { acts } from '../pour';
import { eachByItself, mixForNewCup, mixingOf, oneBase, splitAll, withoutCup } from './mixing';
import { figuresOf, Plan } from '../plan';
import { freshId } from '../edit/fresh-id';
import { pourAlone } from '../plan/plans.testing';

const tideline = pourAlone(demo.tideline);

const QUICK = 'clear-quick';
const OTHER = 'bar-soap';
const mixOf = (plan: Plan, cupId: string) => {
  const cup = plan.cups.find((c) => c.id === cupId)!;
  return 'mix' in cup.from ? plan.mixes.find((m) => m.id === (cup.from as { mix: string }).mix) : undefined;
};
/** Tideline with its foam of another base. */
const twoBases: Plan = {
  ...tideline,
  mixes: tideline.mixes.map((m) => (m.id === 'mix-foam' ? { ...m, baseId: OTHER } : m))
};
const draws = (act: Plan['steps'][number]['act']) => {
  const known = acts.read(act);
  return known ? known.definition.cups(known.act) : [];
};

describe('how the cups of a plan are made', () => {
  it('is each by itself, all split, or both', () => {
    expect(mixingOf(tideline)).toBe('each');
    expect(mixingOf(rockpool)).toBe('split');
    const both = splitAll(twoBases, QUICK);
    expect(mixingOf(both)).toBe('both');
  });

  it('is of one base, or of several', () => {
    expect(oneBase(tideline)).toBe(QUICK);
    expect(oneBase(twoBases)).toBeUndefined();
  });
});

describe('splitting', () => {
  it('makes one mix of all cups of a base, and leaves the others alone', () => {
    const split = splitAll(twoBases, QUICK);
    expect(split.mixes).toHaveLength(2);
    expect(mixOf(split, 'mudflat')).toBe(mixOf(split, 'heron'));
    expect(mixOf(split, 'mudflat')).toMatchObject({ baseId: QUICK, feeds: 'split' });
    expect(mixOf(split, 'foam')).toMatchObject({ id: 'mix-foam', baseId: OTHER, feeds: 'one cup' });
    expect(Plan.safeParse(split).success).toBe(true);
  });

  it('remembers how often the hottest of them was heated', () => {
    const heated = { ...tideline, mixes: tideline.mixes.map((m, i) => ({ ...m, reheats: i })) };
    expect(splitAll(heated, QUICK).mixes).toEqual([expect.objectContaining({ reheats: 2 })]);
    expect('reheats' in splitAll(tideline, QUICK).mixes[0]!).toBe(false);
  });

  it('takes an id that no other mix has', () => {
    const taken = {
      ...twoBases,
      mixes: twoBases.mixes.map((m) => (m.id === 'mix-foam' ? { ...m, id: 'mix' } : m))
    };
    const cups = taken.cups.map((c) => (c.id === 'foam' ? { ...c, from: { mix: 'mix' } } : c));
    const split = splitAll({ ...taken, cups }, QUICK);
    expect(new Set(split.mixes.map((m) => m.id)).size).toBe(split.mixes.length);
    expect(mixOf(split, 'foam')!.baseId).toBe(OTHER);
  });
});

describe('mixing each by itself', () => {
  it('gives every cup a mix of its own, of the same base', () => {
    const each = eachByItself(rockpool, rockpool.mixes[0]!.baseId);
    expect(each.mixes).toHaveLength(rockpool.cups.length);
    expect(new Set(each.cups.map((c) => mixOf(each, c.id)!.id)).size).toBe(rockpool.cups.length);
    expect(oneBase(each)).toBe(oneBase(rockpool));
    expect(Plan.safeParse(each).success).toBe(true);
  });

  it('keeps what a cup’s own mix asks for', () => {
    const asked = { ...tideline, mixes: tideline.mixes.map((m) => ({ ...m, turns: 2 })) };
    expect(eachByItself(asked, QUICK)).toEqual(asked);
  });

  it('and splitting again pours what was poured', () => {
    for (const plan of [tideline, rockpool, saltings]) {
      const base = plan.mixes[0]!.baseId;
      const poured = (p: Plan) => figuresOf(p, cards).totals.balance.pouredMl;
      const there = splitAll(plan, base);
      expect(poured(eachByItself(there, base))).toBeCloseTo(poured(plan), 6);
      expect(poured(there)).toBeCloseTo(poured(plan), 6);
    }
  });
});

describe('a cup more, a cup less', () => {
  it('is a portion where all are, and mixed on its own otherwise', () => {
    const portion = mixForNewCup(rockpool, 'new');
    expect(portion.mixes).toEqual(rockpool.mixes);
    expect(portion.mixId).toBe(rockpool.mixes[0]!.id);
    const own = mixForNewCup(tideline, 'new');
    expect(own.mixes).toHaveLength(tideline.mixes.length + 1);
    expect(own.mixes.at(-1)).toEqual({ id: own.mixId, baseId: QUICK, feeds: 'one cup' });
    // Both ways in one plan: on its own.
    const both = splitAll(twoBases, QUICK);
    expect(mixForNewCup(both, 'new').mixes).toHaveLength(3);
  });

  it('takes its mix and its pours along, and leaves a plan with a mix', () => {
    const less = withoutCup(tideline, 'heron', draws);
    expect(less.cups.map((c) => c.id)).toEqual(['mudflat', 'foam']);
    expect(less.mixes.map((m) => m.id)).toEqual(['mix-mudflat', 'mix-foam']);
    expect(less.steps.map((s) => s.id)).toEqual(['lay-mudflat', 'lay-foam']);
    const none = ['mudflat', 'heron', 'foam'].reduce((p, id) => withoutCup(p, id, draws), tideline);
    expect(none.cups).toEqual([]);
    expect(none.mixes).toHaveLength(1);
    expect(none.steps).toEqual([]);
    const shared = withoutCup(rockpool, rockpool.cups[0]!.id, draws);
    expect(shared.mixes).toEqual(rockpool.mixes);
  });
});

describe('an id that nothing has yet', () => {
  it('is the word and a number, past all that are taken anywhere in the plan', () => {
    expect(freshId(tideline, 'gate')).toBe('gate-1');
    const word = fc.constantFrom('gate', 'cup', 'step', 'white');
    fc.assert(
      fc.property(word, fc.integer({ min: 1, max: 6 }), (name, n) => {
        const ids = Array.from({ length: n }, (_, i) => `${name}-${i + 1}`);
        const [first, ...rest] = ids;
        const plan: Plan = {
          ...tideline,
          steps: tideline.steps.map((s, i) =>
            i ? s : { ...s, gates: [{ id: first!, all: [{ kind: 'checked', words: 'x' }] }] }
          ),
          cups: tideline.cups.map((c, i) =>
            i ? c : { ...c, recipe: rest.map((id) => ({ ...c.recipe[0]!, id })) }
          )
        };
        expect(freshId(plan, name)).toBe(`${name}-${n + 1}`);
      })
    );
  });
});
