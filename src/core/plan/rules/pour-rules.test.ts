import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { plans } from '../../../../demo/plans';
import * as demo from '../../../../demo/plans';
import { actStep, applyTechnique, newPlan } from '../../edit';
import { eachByItself, splitAll } from '../../document';
import { computePlan, type Plan } from '..';
import { type Group, type Step } from '../../document';
import { type Shelf } from '../../shelf';
import { mended } from './mended.testing';
import { type ProblemCode } from '../../problem';
import { pourAlone } from '../plans.testing';
import { acts } from '../../pour/acts';
import { materialsFor, TECHNIQUES } from '../../pour/techniques';

const rockpool = pourAlone(demo.rockpool);
const sluice = pourAlone(demo.sluice);
const nightHeron = pourAlone(demo.nightHeron);
const tideline = pourAlone(demo.tideline);
const saltings = pourAlone(demo.saltings);

const problemsOf = (plan: Plan, code: string, shelf: Shelf = cards) =>
  computePlan(plan, shelf).problems.filter((p) => p.code === code);

/** A plan with steps at the end of its first cavities. */
const also = (plan: Plan, ...steps: (Omit<Step, 'where' | 'gates'> & Partial<Step>)[]): Plan => ({
  ...plan,
  steps: [...plan.steps, ...steps.map((s) => ({ gates: [], where: [plan.groups[0]!.id], ...s }))]
});
const atFront = (plan: Plan, step: Omit<Step, 'where' | 'gates'>): Plan => ({
  ...plan,
  steps: [{ gates: [], where: [plan.groups[0]!.id], ...step }, ...plan.steps]
});
const inGroup = (plan: Plan, change: Partial<Group>): Plan => ({
  ...plan,
  groups: plan.groups.map((g, i) => (i ? g : { ...g, ...change }))
});

const mends = (plan: Plan, code: ProblemCode, shelf: Shelf = cards): Plan => mended(plan, code, { shelf });

const wait = (zero: Step['gates'][number]['all'][number]) => [{ id: 'gate-own', all: [zero] }];

describe('a flame', () => {
  const alcohol = { id: 'mist', act: { kind: 'spray', what: 'alcohol', times: 1, every: 0 } };
  const torch = { id: 'torch', act: { kind: 'torch', seconds: 5 } };

  it('is not brought near wet alcohol', () => {
    const plan = also(rockpool, alcohol, torch);
    const after = mends(plan, 'flame-near-alcohol');
    expect(after.steps.find((s) => s.id === 'torch')!.gates[0]!.all[0]).toEqual({
      kind: 'since',
      zero: { stepDone: 'mist' },
      minutes: 15
    });
  });

  it('may come once it has flashed off, or where only water was sprayed, or before the alcohol', () => {
    const long = { ...torch, gates: wait({ kind: 'since', zero: { stepDone: 'mist' }, minutes: 15 }) };
    expect(problemsOf(also(rockpool, alcohol, long), 'flame-near-alcohol')).toEqual([]);
    const short = { ...torch, gates: wait({ kind: 'since', zero: { stepDone: 'mist' }, minutes: 14 }) };
    expect(problemsOf(also(rockpool, alcohol, short), 'flame-near-alcohol')).toHaveLength(1);
    const water = { ...alcohol, act: { ...alcohol.act, what: 'water' } };
    expect(problemsOf(also(rockpool, water, torch), 'flame-near-alcohol')).toEqual([]);
    expect(problemsOf(also(rockpool, torch, alcohol), 'flame-near-alcohol')).toEqual([]);
  });

  it('is not brought over a cup with alcohol in it, however long it waits', () => {
    const ink = cards.colourants.find((c) => c.carrier === 'alcohol')!;
    const inked: Plan = {
      ...rockpool,
      cups: rockpool.cups.map((c, i) =>
        i ? c : { ...c, recipe: [{ id: 'ink', colourantId: ink.id, percent: 0.3, of: 'supplied' as const }] }
      )
    };
    const after = mends(also(inked, torch), 'flame-near-alcohol');
    expect(after.steps.at(-1)!.act).toEqual({ kind: 'clear', with: 'a pick' });
  });

  it('is not brought to soap or concrete; resin takes one', () => {
    expect(mends(also(nightHeron, torch), 'flame-on-wet').steps.at(-1)!.act.kind).toBe('tap');
    mends(also(sluice, torch), 'flame-on-wet');
    expect(problemsOf(also(rockpool, torch), 'flame-on-wet')).toEqual([]);
  });
});

const stone = {
  id: 'stone',
  kind: 'object' as const,
  name: 'stone',
  each: 1,
  grams: 2,
  density: 2.6,
  from: 0,
  height: 4
};
const placed = (more: object = {}) => ({
  id: 'set',
  act: { kind: 'place', embedId: 'stone', pieces: 1, at: { x: 0, y: 0 }, pressed: 0, ...more }
});
/** Rockpool with a stone set in after its second puddle, 6 mm up in 9 mm. */
const withStone = (more: object = {}, step: Partial<Step> = {}): Plan => {
  const plan = inGroup(rockpool, { embeds: [stone] });
  const set = { gates: [], where: ['roundels'], ...placed(more), ...step };
  return { ...plan, steps: plan.steps.toSpliced(2, 0, set) };
};

describe('an embed', () => {
  it('is covered, or pressed in until it is', () => {
    const after = mends(withStone(), 'embed-uncovered');
    const pressed = after.steps.find((s) => s.id === 'set')!.act.pressed as number;
    expect(problemsOf(withStone({ pressed: pressed - 0.2 }), 'embed-uncovered')).toHaveLength(1);
    expect(problemsOf(withStone({ pressed }), 'embed-uncovered')).toEqual([]);
  });

  it('is set on what carries it: otherwise a heavy one sinks and a light one floats', () => {
    const said = problemsOf(withStone({ pressed: 3 }), 'embed-drifts')[0]!;
    expect(said.sentence).toContain('sinks');
    const cork = inGroup(withStone({ pressed: 3 }), { embeds: [{ ...stone, density: 0.3, grams: 0.3 }] });
    expect(problemsOf(cork, 'embed-drifts')[0]!.sentence).toContain('floats');
    const held = withStone(
      { pressed: 3 },
      { gates: wait({ kind: 'state', state: 'holds a line', of: 'layer below' }) }
    );
    expect(problemsOf(held, 'embed-drifts')).toEqual([]);
    const stringy = withStone(
      { pressed: 3 },
      { gates: wait({ kind: 'state', state: 'stringy', of: 'layer below' }) }
    );
    expect(problemsOf(stringy, 'embed-drifts')).toHaveLength(1);
  });

  it('says nothing where nothing lies below it yet', () => {
    const first = atFront(inGroup(rockpool, { embeds: [stone] }), placed({ pressed: 0 }));
    expect(problemsOf(first, 'embed-drifts')).toEqual([]);
  });
});

describe('a tool', () => {
  const drag = (depth: string) => ({
    id: 'stroke',
    act: {
      kind: 'drag',
      tool: 'stick',
      path: { points: [{ x: 0, y: 0 }] },
      depth,
      width: 3,
      strength: 0.5,
      strokes: 1
    }
  });

  it('is not drawn through what has set', () => {
    const after = mends(also(tideline, drag('full')), 'drag-below-gel');
    expect(after.steps.at(-1)!.act.depth).toBe('half');
    expect(problemsOf(also(tideline, drag('surface')), 'drag-below-gel')).toEqual([]);
    expect(problemsOf(also(rockpool, drag('full')), 'drag-below-gel')).toEqual([]);
  });
});

const out = { id: 'out', act: { kind: 'demould' } };
const seal = { id: 'coat', act: { kind: 'seal', times: 1, every: 0 } };
const glue = { id: 'felt', act: { kind: 'glue', minutes: 30 } };

describe('after the pour', () => {
  it('is sealed before it is glued', () => {
    const after = mends(also(rockpool, out, glue, seal), 'glue-before-seal');
    const kinds = after.steps.map((s) => s.id);
    expect(kinds.indexOf('felt')).toBeGreaterThan(kinds.indexOf('coat'));
    expect(problemsOf(also(rockpool, out, seal, glue), 'glue-before-seal')).toEqual([]);
  });

  it('dries before it is sealed: concrete a week, to the minute', () => {
    const after = mends(also(sluice, out, seal), 'sealed-wet');
    expect(after.steps.at(-1)!.gates[0]!.all[0]).toEqual({
      kind: 'since',
      zero: { demoulded: sluice.groups[0]!.id },
      minutes: 10_080
    });
    const dried = (minutes: number) =>
      also(sluice, out, {
        ...seal,
        gates: wait({ kind: 'since', zero: { demoulded: sluice.groups[0]!.id }, minutes })
      });
    expect(problemsOf(dried(10_080), 'sealed-wet')).toEqual([]);
    expect(problemsOf(dried(10_079), 'sealed-wet')).toHaveLength(1);
    expect(problemsOf(also(rockpool, out, seal), 'sealed-wet')).toEqual([]);
  });

  it('is milled once it is cured through', () => {
    const mill = { id: 'plane', act: { kind: 'mill', depth: 1 } };
    const after = mends(also(rockpool, out, mill), 'milled-soft');
    expect(problemsOf(after, 'milled-soft')).toEqual([]);
    const almost = after.steps.map((s) =>
      s.id === 'plane'
        ? {
            ...s,
            gates: s.gates.map((g) => ({
              ...g,
              all: g.all.map((c) => (c.kind === 'since' ? { ...c, minutes: c.minutes - 2 } : c))
            }))
          }
        : s
    );
    expect(problemsOf({ ...after, steps: almost }, 'milled-soft')).toHaveLength(1);
  });

  it('is milled out for a region once its ground is cured through, and not before', () => {
    const region = {
      id: 'inlay',
      act: { ...acts.find('region')!.fresh(rockpool.cups[0]!.id), edges: 'crisp' }
    };
    const after = mends(also(rockpool, region), 'refilled-soft');
    const inlaid = after.steps.find((s) => s.id === 'inlay')!;
    expect(inlaid.gates[0]!.all[0]).toMatchObject({ kind: 'since', zero: { stepDone: expect.anything() } });
    const blurred = { ...region, act: { ...region.act, edges: 'blurred' } };
    expect(problemsOf(also(rockpool, blurred), 'refilled-soft')).toEqual([]);
    const sooner = after.steps.map((s) => ({
      ...s,
      gates: s.gates.map((g) => ({
        ...g,
        all: g.all.map((c) =>
          s.id === 'inlay' && c.kind === 'since' ? { ...c, minutes: c.minutes - 60 } : c
        )
      }))
    }));
    expect(problemsOf({ ...after, steps: sooner }, 'refilled-soft')).toHaveLength(1);
  });

  it('is milled out for a region no deeper than its ground stands', () => {
    const outline = {
      closed: true,
      points: [
        { x: -0.1, y: -0.1 },
        { x: 0.1, y: -0.1 },
        { x: 0.1, y: 0.1 },
        { x: -0.1, y: 0.1 }
      ]
    };
    const region = (ml: number) => ({
      id: 'inlay',
      act: {
        ...acts.find('region')!.fresh(rockpool.cups[0]!.id),
        edges: 'crisp',
        outline,
        amount: { kind: 'volume' as const, ml }
      }
    });
    // 9 mm square of a roundel that stands full, 9 mm less what is drawn out: 0.081 ml a millimetre.
    const after = mends(also(rockpool, region(0.9)), 'refilled-deep');
    const amount = after.steps.find((s) => s.id === 'inlay')!.act.amount as { ml: number };
    expect(amount.ml).toBeCloseTo(0.162, 3);
    expect(problemsOf(also(rockpool, region(0.5)), 'refilled-deep')).toEqual([]);
    expect(problemsOf(also(rockpool, region(0.72)), 'refilled-deep')).toHaveLength(1);
  });

  it('leaves its mould before anything is done to it', () => {
    const after = mends(
      also(rockpool, { id: 'slice', act: { kind: 'cut', pieces: 2, how: 'straight', kerf: 0 } }, out),
      'still-in-mould'
    );
    expect(after.steps.map((s) => s.id).slice(-2)).toEqual(['out', 'slice']);
    // Without a step of its own it is taken out at the end, and nothing is said.
    expect(problemsOf(also(rockpool, seal), 'still-in-mould')).toEqual([]);
  });
});

describe('mica on the mould', () => {
  const dust = {
    id: 'mica',
    act: { kind: 'dust', over: 'all of it', cover: 0.8, fade: 'evenly', wiped: 'no' }
  };

  it('goes on before anything is poured', () => {
    const after = mends(also(rockpool, dust), 'dust-late');
    expect(after.steps[0]!.id).toBe('mica');
    expect(problemsOf(atFront(rockpool, dust), 'dust-late')).toEqual([]);
  });

  it('wants a glossy mould', () => {
    const matte: Shelf = { ...cards, moulds: cards.moulds.map((m) => ({ ...m, finish: 'matte' as const })) };
    expect(problemsOf(atFront(rockpool, dust), 'dust-on-matte')).toEqual([]);
    const after = mends(atFront(rockpool, dust), 'dust-on-matte', matte);
    expect(after.steps.map((s) => s.id)).not.toContain('mica');
  });
});

it('a heavy pigment that stands is stirred up again', () => {
  const later = (minutes: number): Plan => ({
    ...rockpool,
    steps: rockpool.steps.map((s, i) => (i ? s : { ...s, hands: { each: minutes } }))
  });
  const heavy: Shelf = {
    ...cards,
    colourants: cards.colourants.map((c) => (c.id === 'blue-paste' ? { ...c, density: 4 } : c))
  };
  expect(problemsOf(later(3), 'settles', heavy)[0]!.path).toBe('plan/steps/puddle-heron');
  expect(problemsOf(later(0.1), 'settles', heavy)).toEqual([]);
});

describe('the stick', () => {
  const apart = eachByItself(rockpool, rockpool.mixes[0]!.baseId);
  const [first, second, ...rest] = apart.steps.filter((x) => 'cupId' in x.act);
  const others = apart.steps.filter((x) => !('cupId' in x.act));
  const inOrder = (...steps: Step[]): Plan => ({
    ...apart,
    steps: [...steps.map((x) => ({ ...x, gates: [] })), ...others]
  });
  const cupOf = (x: Step) => (x.act as unknown as { cupId: string }).cupId;

  it('goes from light to dark; where the order wants it otherwise that is said once, at the paler cup', () => {
    expect(cupOf(first!)).toBe('foam');
    expect(problemsOf(inOrder(first!, second!, ...rest), 'tool-order')).toEqual([]);
    const [said, ...more] = problemsOf(inOrder(second!, first!, ...rest), 'tool-order');
    expect(more).toEqual([]);
    expect(said!.path).toBe(`plan/steps/${first!.id}`);
    expect(said!.sentence).toContain('from heron into the paler foam');
  });

  it('that has lain a while is another stick', () => {
    const waited = inOrder(second!, { ...first!, gates: [] }, ...rest);
    const slow = {
      ...waited,
      steps: waited.steps.map((x) => (x.id === second!.id ? { ...x, hands: { once: 20 } } : x))
    };
    expect(problemsOf(slow, 'tool-order')).toEqual([]);
  });
});

describe('cups that stand open', () => {
  const soap = splitAll(saltings, saltings.mixes[0]!.baseId);
  const hurried = (minutes: number): Plan => ({
    ...soap,
    // One after the other: in rounds all of them are wanted at once.
    steps: soap.steps.map((s) =>
      s.act.kind === 'column'
        ? { ...s, act: { ...s.act, rounds: 1 } as Step['act'], hands: { once: minutes } }
        : s
    )
  });

  it('are too many for the hands when the last is hurried; mixed when needed they are not', () => {
    expect(problemsOf(hurried(2), 'cups-over-hands')).toEqual([]);
    const slow: Plan = { ...hurried(9) };
    const [said] = problemsOf(slow, 'cups-over-hands');
    expect(said!.sentence).toMatch(/^\d cups stand open at once, and \w+ is poured with/);
    // The mend is offered only where it leaves nothing else wrong.
    if (said!.edit) mends(slow, 'cups-over-hands');
    const apart = eachByItself(slow, slow.mixes[0]!.baseId);
    expect(problemsOf(apart, 'cups-over-hands')).toEqual([]);
  });
});

describe('a pour that comes too late', () => {
  // A long gesture and a short one between the puddles, while the white waits.
  const comb = (id: string, minutes: number): Step => ({
    id,
    act: { ...actStep(id, 'drag', '', rockpool.groups[0]!.id)!.act },
    where: [rockpool.groups[0]!.id],
    gates: [],
    hands: { once: minutes }
  });
  const last = rockpool.steps.findLastIndex((x) => 'cupId' in x.act);
  const held = (...steps: Step[]): Plan => ({
    ...rockpool,
    steps: rockpool.steps.toSpliced(last, 0, ...steps)
  });

  it('says which gesture to leave out first: the one that is enough', () => {
    const plan = held(comb('short', 0.5), comb('long', 40));
    const [said] = problemsOf(plan, 'past-window');
    expect(said!.mend).toMatch(/Leave out “comb or drag a tool” first: 4\d\.\d min/);
    const after = mends(plan, 'past-window');
    expect(after.steps.filter((x) => x.muted).map((x) => x.id)).toEqual(['long']);
  });

  it('all of them where one is not enough', () => {
    const after = mends(held(comb('one', 25), comb('two', 24)), 'past-window');
    expect(after.steps.filter((x) => x.muted).length).toBeGreaterThan(0);
  });
});

/** A plan in the roundel mould that a technique was just filled into, of the first material it suits. */
function filledBy(techniqueId: string): Plan {
  const { suits } = TECHNIQUES.find((t) => t.id === techniqueId)!;
  const base = cards.bases.find((b) => materialsFor({ suits }).some((m) => m.kind === b.kind))!;
  const bare = newPlan('trial', 'Trial', cards, 'roundel');
  const based: Plan = { ...bare, steps: [], mixes: bare.mixes.map((m) => ({ ...m, baseId: base.id })) };
  return applyTechnique(splitAll(based, base.id), cards, {
    techniqueId,
    groupId: 'group-1',
    keep: 'nothing'
  });
}

it('no technique breaks a rule by itself', () => {
  const order = [
    'flame-near-alcohol',
    'flame-on-wet',
    'drag-below-gel',
    'glue-before-seal',
    'dust-late',
    'still-in-mould'
  ];
  for (const { id } of TECHNIQUES) {
    const said = computePlan(filledBy(id), cards).problems.filter(
      (p) => order.includes(p.code) || p.code === 'sealed-wet'
    );
    expect(said.map((p) => `${id}: ${p.sentence}`)).toEqual([]);
  }
});

it('the demo orders break none of them', () => {
  const codes = new Set([
    'flame-near-alcohol',
    'flame-on-wet',
    'embed-uncovered',
    'drag-below-gel',
    'glue-before-seal',
    'sealed-wet',
    'milled-soft',
    'dust-late',
    'dust-on-matte',
    'still-in-mould'
  ]);
  for (const plan of plans)
    expect(computePlan(plan, cards).problems.filter((p) => codes.has(p.code))).toEqual([]);
});
