import { times } from '../../soak.testing';
import { evenly } from '../../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import * as demo from '../../../../demo/plans';
import { applyEdit } from '../../document/apply-edit';
import type { Diagnostic, Problem } from '../../problem';
import { computePlan, figuresOf } from '../compute';
import { provingFixes } from './proven';
import { Plan } from '../read';
import { atBench, atOnce, layer, mixed, withBase, withScales } from '../plans.testing';
import { metricWords } from '../../quantity';

const orders = Object.values(demo).filter(
  (p): p is Plan => typeof p === 'object' && p !== null && 'cups' in p && 'steps' in p
);
const named = (p: Problem) => `${p.code} ${p.path}`;
const problems = (plan: Plan, shelf = cards) => computePlan(plan, shelf).problems;

/** Applies every mend of a plan, one at a time: what it was offered for is gone, and nothing new has come. */
function mendsHold(plan: Plan): string[] {
  const found = problems(plan);
  const before = new Set(found.map(named));
  return found.flatMap((p) => {
    if (!p.edit) return [];
    const mended = Plan.parse(applyEdit(plan, p.edit));
    const after = problems(mended);
    expect(after.map(named), `${named(p)}: ${p.mend}`).not.toContain(named(p));
    // A note is no harm: a smaller mix may be one that stirs less well.
    expect(
      after.filter((x) => x.level !== 'note' && !before.has(named(x))).map(named),
      `${named(p)}: ${p.mend}`
    ).toEqual([]);
    return [p.code];
  });
}

const MUCH_SPOILT = {
  plan: demo.tideline,
  base: demo.tideline.mixes[0]!.baseId,
  other: false,
  way: 'each' as const,
  scale: cards.scales[0]!.id,
  count: 6,
  percents: [12, 0.1, 0.1, 0.1, 0.1, 0.1],
  ungated: false,
  room: 21
};

describe('every mend that is offered', () => {
  it('mends each of the ten orders', () => {
    expect(orders.length).toBeGreaterThanOrEqual(9);
    const offered = orders.flatMap(mendsHold);
    expect(offered).toEqual(expect.arrayContaining(['not-weighable', 'mix-too-small', 'white-takes-over']));
  });

  it('mends any plan of any material, each and split, however it is spoilt', { timeout: 120_000 }, () => {
    const percent = evenly(0, 12);
    const spoil = fc.record({
      plan: fc.constantFrom(...orders),
      base: fc.constantFrom(...cards.bases.map((b) => b.id)),
      other: fc.boolean(),
      way: fc.constantFrom('each' as const, 'split' as const),
      scale: fc.constantFrom(...cards.scales.map((s) => s.id)),
      count: fc.integer({ min: 1, max: 30 }),
      percents: fc.array(percent, { minLength: 6, maxLength: 6 }),
      ungated: fc.boolean(),
      room: fc.integer({ min: 12, max: 30 })
    });
    const offered = new Set<string>();
    fc.assert(
      fc.property(spoil, ({ plan, base, other, way, scale, count, percents, ungated, room }) => {
        const spoilt = atBench(withScales(mixed(other ? withBase(plan, base) : plan, way), scale), {
          roomCelsius: room
        });
        const whole: Plan = {
          ...spoilt,
          groups: spoilt.groups.map((g) => ({ ...g, count })),
          cups: spoilt.cups.map((c) => ({
            ...c,
            recipe: c.recipe.map((l, i) => ({ ...l, percent: percents[i % 6]! }))
          })),
          steps: spoilt.steps.map((s) => (ungated ? { ...s, gates: [] } : s))
        };
        for (const code of mendsHold(whole)) offered.add(code);
      }),
      // One that is wrong in many ways at once comes first, whatever is drawn after it.
      { numRuns: times(4, 30), examples: [[MUCH_SPOILT]] }
    );
    // Not silence: mends of many kinds are found.
    expect(offered.size).toBeGreaterThanOrEqual(3);
  });
});

/** One cavity of so many ml, so deep, filled to the rim with clear resin. */
function block(ml: number, depth: number, over: Partial<Plan> = {}) {
  const [tideline] = [demo.tideline];
  const side = Math.sqrt((ml * 1000) / depth);
  const mould = {
    ...cards.moulds.find((m) => m.id === tideline.groups[0]!.mouldId)!,
    id: 'block',
    name: 'Block',
    cavities: [
      {
        id: 'one',
        name: 'block',
        count: 1,
        shape: { kind: 'taper', baseLength: side, baseWidth: side, rimLength: side, rimWidth: side, depth },
        capacity: { from: 'dimensions' }
      }
    ]
  };
  const plan = {
    ...tideline,
    order: undefined,
    groups: [{ id: 'g', name: 'block', mouldId: 'block', cavityId: 'one', count: 1 }],
    steps: [layer('pour', 'heron', 'g', { kind: 'rim' })],
    ...over
  } as Plan;
  return { plan, shelf: { ...cards, moulds: [...cards.moulds, mould] } as typeof cards };
}
const said = (plan: Plan, shelf: typeof cards, code: string) =>
  problems(plan, shelf).find((p) => p.code === code);

/** The same with hands so slow that what is mixed stands long, but still pours. */
const slowly = ({ plan, ...rest }: ReturnType<typeof block>, each = 15) => ({
  ...rest,
  plan: { ...plan, steps: plan.steps.map((s) => ({ ...s, hands: { each } })) }
});

describe('the heat of a full cup', () => {
  it('is no danger while it is poured off before it warms, and is one again where it stands or much is left', () => {
    const { plan, shelf } = block(500, 14);
    expect(said(plan, shelf, 'cup-overheats')).toBeUndefined();
    const late = slowly({ plan, shelf });
    expect(said(late.plan, shelf, 'cup-overheats')).toBeDefined();
    const cupId = plan.cups.find((c) => c.id === 'heron')!.id;
    const over = applyEdit(plan, { path: ['cups', cupId, 'atLeast'], value: 900 });
    expect(said(over, shelf, 'cup-overheats')).toBeDefined();
  });

  it('is judged for one cavity, with what is safe, and mended by layers that are each mixed for themselves', () => {
    const { plan, shelf } = slowly(block(500, 14));
    const hot = said(plan, shelf, 'cup-overheats')!;
    expect(metricWords(hot.sentence)).toMatch(
      /\d+ g of .* heats itself to about \d+ °C; up to \d+ g is safe/
    );
    const [, grams, safe] = /(\d+) g of .* up to (\d+) g/.exec(metricWords(hot.sentence))!;
    expect(Number(grams)).toBeGreaterThan(Number(safe));
    expect(hot.edit).toBeDefined();
    const mended = applyEdit(plan, hot.edit!);
    const c = computePlan(mended, shelf);
    expect(said(mended, shelf, 'cup-overheats')).toBeUndefined();
    for (const m of c.cups.flatMap((x) => x.mixes))
      expect(m.balance.mixed).toBeLessThanOrEqual(Number(safe) + 1);
    // The same volume, in layers with a gate before each but the first.
    expect(c.groups[0]!.filled).toBeCloseTo(1, 6);
    expect(mended.steps.length).toBeGreaterThan(1);
    expect(mended.steps.map((s) => s.gates.length)).toEqual(mended.steps.map((_, i) => (i ? 1 : 0)));
  });

  it('is judged for a forced number of mixes, for what is asked by weight, and for a reserve', () => {
    const knobs = atBench(demo.tideline, {});
    const many: Plan = { ...knobs, groups: knobs.groups.map((g) => ({ ...g, count: 60 })) };
    const forced = applyEdit(many, { path: ['mixes', 'mix-heron', 'turns'], value: 1 });
    const hot = problems(forced).find((p) => named(p) === 'cup-overheats plan/cups/heron')!;
    expect(hot.mend).toMatch(/Make it in \d+ mixes/);
    expect(problems(applyEdit(forced, hot.edit!)).map(named)).not.toContain(named(hot));
    const asked = applyEdit(knobs, { path: ['cups', 'heron', 'atLeast'], value: 900 });
    expect(said(asked, cards, 'cup-overheats')).toBeDefined();
    const reserved = applyEdit(knobs, { path: ['cups', 'heron', 'reserve'], value: 900 });
    expect(said(reserved, cards, 'cup-overheats')).toBeDefined();
    expect(said(knobs, cards, 'cup-overheats')).toBeUndefined();
  });

  it('is judged for a portion of a split mix', () => {
    const { plan, shelf } = slowly(block(700, 14));
    // The pot itself is soon divided; what stands is the portion.
    const split = mixed(plan, 'split');
    expect(said(split, shelf, 'cup-overheats')!.path).toMatch(/^plan\/cups\//);
  });

  it('follows the card’s own figure where it has one', () => {
    const { plan, shelf } = slowly(block(60, 14), 25);
    const bases = shelf.bases.map((b) => (b.id === 'clear-quick' ? { ...b, safeMass: 40 } : b));
    expect(said(plan, shelf, 'cup-overheats')).toBeUndefined();
    expect(metricWords(said(plan, { ...shelf, bases } as typeof cards, 'cup-overheats')!.sentence)).toMatch(
      /up to 40 g is safe/
    );
  });
});

describe('a layer too deep', () => {
  it.each([
    [20, 2],
    [40, 3]
  ])('of %d mm becomes %d layers, a gate before each but the first', (depth, n) => {
    const { plan, shelf } = block(150, depth);
    const deep = said(plan, shelf, 'layer-too-deep')!;
    expect(deep.edit).toBeDefined();
    const mended = applyEdit(plan, deep.edit!);
    const layers = computePlan(mended, shelf).groups[0]!.layers;
    expect(layers).toHaveLength(n);
    for (const l of layers) expect(l.to - l.from).toBeLessThanOrEqual(15);
    expect(layers.at(-1)!.to).toBeCloseTo(depth, 6);
    expect(mended.steps.map((s) => s.gates.length)).toEqual(layers.map((_, i) => (i ? 1 : 0)));
    expect(mended.steps.at(-1)!.act).toMatchObject({ amount: { kind: 'rim' } });
  });
});

describe('what no number of layers mends', () => {
  it('is said in general words, quickly, whatever the size', () => {
    const { plan, shelf } = block(150, 400);
    const deep = said(plan, shelf, 'layer-too-deep')!;
    expect(deep.edit).toBeUndefined();
    expect(metricWords(deep.mend)).toMatch(/layers of at most 15 mm/);
    const huge = slowly(block(4e6, 14));
    const hot = said(huge.plan, huge.shelf, 'cup-overheats')!;
    expect(hot.edit).toBeUndefined();
    expect(hot.mend).toMatch(/in several mixes, or in layers/);
  });

  it('nor a layer of cavities that are not alike', () => {
    const { plan, shelf } = block(150, 20);
    const groups = [...plan.groups, { ...demo.tideline.groups[0]!, id: 'domes' }];
    const both: Plan = {
      ...plan,
      groups,
      steps: plan.steps.map((s) => ({ ...s, where: ['g', 'domes'] }))
    };
    expect(said(both, shelf, 'layer-too-deep')!.edit).toBeUndefined();
  });
});

describe('a mix too small for its ratio', () => {
  it('is noted of the pot of a split mix too, and mended', () => {
    const few = mixed(
      atOnce({ ...demo.tideline, groups: demo.tideline.groups.map((g) => ({ ...g, count: 1 })) }),
      'split'
    );
    const small = said(few, cards, 'mix-too-small')!;
    expect(small.path).toMatch(/^plan\/mixes\//);
    expect(small.level).toBe('note');
    const mended = applyEdit(few, small.edit!);
    expect(said(mended, cards, 'mix-too-small')).toBeUndefined();
    expect(computePlan(mended, cards).common[0]!.balance.mixed).toBeGreaterThanOrEqual(19.99);
  });
});

describe('a vessel too small', () => {
  const cup = cards.vessels.reduce((a, b) => (b.ml < a.ml ? b : a));
  const tight = atBench(demo.tideline, { vesselIds: [cup.id] });
  const many: Plan = { ...tight, groups: tight.groups.map((g) => ({ ...g, count: 40 })) };
  const forced = (plan: Plan): Plan => ({ ...plan, mixes: plan.mixes.map((m) => ({ ...m, turns: 1 })) });

  it('is said of a cup, and what is offered makes it fit', () => {
    const small = said(forced(many), cards, 'vessel-too-small')!;
    expect(small.path).toMatch(/^plan\/cups\/(heron|foam|mudflat)$/);
    expect(small.sentence).toContain(cup.name);
    expect(small.edit).toBeDefined();
    const mended = applyEdit(forced(many), small.edit!);
    const id = small.path.split('/').at(-1)!;
    const own = computePlan(mended, cards);
    expect(own.problems.filter((p) => p.code === 'vessel-too-small' && p.path === small.path)).toEqual([]);
    // A third of every vessel is left free to stir.
    for (const mix of own.cups.find((c) => c.cupId === id)!.mixes)
      expect(mix.ml).toBeLessThanOrEqual((mix.vessel!.ml * 2) / 3 + 1e-6);
  });

  it('is said of a pot at its mix, and of its portions nothing that they do not stand in', () => {
    const split = forced(mixed(atOnce(many), 'split'));
    const [splitMix] = figuresOf(split, cards).common;
    expect(splitMix!.ml).toBeGreaterThan((cup.ml * 2) / 3);
    const paths = problems(split)
      .filter((p) => p.code === 'vessel-too-small')
      .map((p) => p.path);
    expect(paths).toContain(`plan/mixes/${splitMix!.of}`);
  });

  it('is nothing where any size is at hand', () => {
    expect(said(forced(atBench(many, { vesselIds: [] })), cards, 'vessel-too-small')).toBeUndefined();
  });
});

describe('a mend that makes another figure worse', () => {
  const code = 'ratio-off' as const;
  const said = (path: string, by: number, fixes: Diagnostic['fixes'] = []): Diagnostic => ({
    code,
    level: 'warn',
    path,
    sentence: path,
    mend: 'in general words',
    by,
    fixes
  });
  const plan = atBench(demo.tideline, {});
  const proved = (...asked: Parameters<typeof provingFixes>) => {
    const proving = provingFixes(...asked);
    for (;;) {
      const { value, done } = proving.next();
      if (done) return value;
    }
  };
  const renamed = (name: string) => ({ words: name, edit: { path: ['name'], value: name } });

  it('is not offered; one that leaves it as it was, or betters it, is', () => {
    const found = [said('a', 5, [renamed('worse'), renamed('as it was')]), said('b', 10)];
    const judge = (p: Plan): Diagnostic[] =>
      p.name === 'worse' ? [said('b', 12)] : p.name === 'as it was' ? [said('b', 10.05)] : found;
    expect(proved(plan, found, judge)[0]).toMatchObject({ mend: 'as it was' });
    const better = (p: Plan): Diagnostic[] => (p.name === 'worse' ? [said('b', 3)] : found);
    expect(proved(plan, found, better)[0]).toMatchObject({ mend: 'worse' });
  });

  it('leaves the general words where nothing else helps, and tells nobody how bad it is', () => {
    const found = [said('a', 5, [renamed('worse')]), said('b', 10)];
    const [first] = proved(plan, found, (p) => (p.name === 'worse' ? [said('b', 12)] : found));
    expect(first).toEqual({ code, level: 'warn', path: 'a', sentence: 'a', mend: 'in general words' });
  });

  it('is offered with the mend of what it brings', () => {
    const found = [said('a', 5, [renamed('first')])];
    const judge = (p: Plan): Diagnostic[] =>
      p.name === 'first' ? [said('c', 1, [renamed('second')])] : p.name === 'second' ? [] : found;
    const [mended] = proved(plan, found, judge);
    expect(mended).toMatchObject({ mend: 'first; second' });
    expect((applyEdit(plan, mended!.edit!) as Plan).name).toBe('second');
  });

  it('is told after the try that proved it, those found first before the others, and the plan that is left is not tried on', () => {
    const found = [said('a', 5, [renamed('no'), renamed('a')]), said('b', 10, [renamed('b')])];
    const tried: string[] = [];
    const judge = (p: Plan): Diagnostic[] => {
      tried.push(p.name);
      return found.filter((f) => f.path !== p.name);
    };
    const proving = provingFixes(plan, found, judge);
    const offered = () => (proving.next().value as Problem[]).flatMap((p) => (p.edit ? [p.path] : []));
    expect([offered(), offered(), tried]).toEqual([[], ['b'], ['no', 'b']]);
    expect([offered(), tried.length]).toEqual([['a', 'b'], 3]);
  });
});
