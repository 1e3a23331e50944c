import { times } from '../soak.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { nightHeron, plans, rockpool, tideline } from '../../../demo/plans';
import { applyEdit } from '../document/apply-edit';
import { tasksOf } from '../run';
import { computePlan, Plan } from '.';
import { shelfOf, type Cup } from '../document';
import { type Shelf } from '../shelf';
import { planFrom1to2, Plan1 } from '../document/migrate';
import { layer } from './plans.testing';

const of = (plan: Plan, shelf: Shelf = cards) => computePlan(plan, shelf);
const said = (plan: Plan, code: string, shelf: Shelf = cards) =>
  of(plan, shelf).problems.find((p) => p.code === code);

describe('a plan that names what is not there', () => {
  it.each([
    ['a cup', ['steps', 'lay-heron', 'act', 'cupId'], 'cup-missing', 'plan/steps/lay-heron/act'],
    ['cavities', ['steps', 'lay-heron', 'where'], 'group-missing', 'plan/steps/lay-heron/where'],
    ['a mould', ['groups', 'knobs', 'mouldId'], 'mould-missing', 'plan/groups/knobs/mouldId'],
    ['a base', ['mixes', 'mix-heron', 'baseId'], 'base-missing', 'plan/mixes/mix-heron/baseId'],
    [
      'a colourant',
      ['cups', 'heron', 'recipe', 'heron-blue', 'colourantId'],
      'colourant-missing',
      'plan/cups/heron/recipe/heron-blue/colourantId'
    ],
    ['a mix', ['cups', 'heron', 'from'], 'mix-missing', 'plan/cups/heron/from']
  ])('says %s where it is named, and plans the rest', (_, path, code, where) => {
    const gone = path.at(-1) === 'where' ? ['gone'] : path.at(-1) === 'from' ? { mix: 'gone' } : 'gone';
    const plan = applyEdit(tideline, { path, value: gone });
    expect(said(plan, code)).toMatchObject({ path: where, level: 'stop' });
    // The first cup is not concerned, unless its mould is gone.
    if (code !== 'mould-missing') expect(of(plan).cups[0]!.balance.mixed).toBeGreaterThan(5);
    expect(() => tasksOf(plan, of(plan))).not.toThrow();
  });

  it('neither weighs on a broken scale nor mixes in a broken cup', () => {
    const vesselsOf = (plan: Plan, shelf: Shelf) =>
      of(plan, shelf).cups.flatMap((c) => c.mixes.flatMap((m) => m.vessel?.id ?? []));
    const plan = plans.find((p) => vesselsOf(p, cards).length > 0 && p.cups.every((c) => !c.vesselId))!;
    const [used] = vesselsOf(plan, cards);
    const broken = (id: string): Shelf => ({
      ...cards,
      scales: cards.scales.map((s) => (s.id === id ? { ...s, condition: 'broken' as const } : s)),
      vessels: cards.vessels.map((v) => (v.id === id ? { ...v, condition: 'broken' as const } : v))
    });
    expect(vesselsOf(plan, broken(used!))).not.toContain(used);
    const main = tideline.bench.scaleIds[0]!;
    const name = cards.scales.find((s) => s.id === main)!.name;
    expect(said(tideline, 'scale-missing', broken(main))!.sentence).toBe(`${name} is broken.`);
    const worn = { ...cards, scales: cards.scales.map((s) => ({ ...s, condition: 'worn' as const })) };
    expect(said(tideline, 'scale-missing', worn)).toBeUndefined();
  });

  it('says a missing base once, however many mixes name it', () => {
    const plan = { ...tideline, mixes: tideline.mixes.map((m) => ({ ...m, baseId: 'gone' })) };
    expect(of(plan).problems.filter((p) => p.code === 'base-missing')).toHaveLength(1);
  });

  it('never throws, whatever is taken away: cards, cups, groups, mixes, steps', () => {
    const parts = ['mixes', 'cups', 'groups', 'steps', 'spares'] as const;
    const shelves = ['moulds', 'bases', 'colourants', 'scales', 'vessels'] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...plans),
        fc.array(fc.tuple(fc.constantFrom(...parts), fc.nat(6)), { maxLength: 5 }),
        fc.array(fc.tuple(fc.constantFrom(...shelves), fc.nat(30)), { maxLength: 5 }),
        (plan, holes, gaps) => {
          const poor = holes.reduce(
            (p, [key, i]) => ({ ...p, [key]: (p[key] as unknown[]).filter((_, k) => k !== i) }),
            plan
          );
          const bare = gaps.reduce(
            (s, [key, i]) => ({ ...s, [key]: (s[key] as unknown[]).filter((_, k) => k !== i) }),
            shelfOf(plan, cards)
          );
          const c = computePlan(poor, bare);
          expect(() => tasksOf(poor, c)).not.toThrow();
          expect(JSON.stringify(c)).not.toMatch(/NaN/);
        }
      ),
      { numRuns: times(50, 200) }
    );
  });
});

describe('ids', () => {
  const renamedTo = (id: string): Plan => {
    const text = JSON.stringify(tideline).replaceAll('"heron"', JSON.stringify(id));
    return JSON.parse(text) as Plan;
  };

  it.each(['constructor', 'toString', 'hasOwnProperty', 'valueOf'])('“%s” is an id like any other', (id) => {
    const plan = Plan.parse(renamedTo(id));
    const c = of(plan);
    expect(c.cups[1]!.cupId).toBe(id);
    expect(c.cups[1]!.balance.mixed).toBeCloseTo(of(tideline).cups[1]!.balance.mixed, 9);
  });

  it.each(['__proto__', 'a/b', '..', 'a b', '', '~mix', 'a~2', '.hidden'])(
    '“%s” is refused with a sentence',
    (id) => {
      const read = Plan.safeParse(renamedTo(id));
      expect(read.success).toBe(false);
      expect(read.error!.issues[0]!.message.length).toBeGreaterThan(10);
    }
  );

  it('that come twice are refused at the second', () => {
    for (const key of ['mixes', 'cups', 'groups', 'steps'] as const) {
      const read = Plan.safeParse({ ...tideline, [key]: [...tideline[key], tideline[key][0]] });
      expect(read.error!.issues[0]!.path).toEqual([key, tideline[key].length, 'id']);
    }
    const twice = applyEdit(tideline, { path: ['cups', 'heron', 'recipe', 0, 'id'], value: 'heron-blue' });
    expect(Plan.safeParse(twice).success).toBe(false);
  });

  it('of version 1 that were not safe, or came twice, are renamed with all that names them', () => {
    const old = {
      version: 1,
      id: 'old plan/1',
      name: 'old',
      baseId: 'clear-quick',
      scaleId: 'fine',
      roomCelsius: 21,
      cups: ['a/b', '..', 'a-b', 'a/b'].map((id, i) => ({
        id,
        letter: 'ABCD'[i],
        hatch: 'plain',
        name: `cup ${i}`,
        recipe: [
          { id: 'x', colourantId: 'blue-paste', percent: 1 },
          { id: 'x', colourantId: 'white-paste', percent: 1 }
        ]
      })),
      groups: [{ id: '__proto__', name: 'g', mouldId: 'dome-knobs', cavityId: 'dome', count: 2 }],
      steps: [
        { id: 's', act: 'lay', cupId: 'a/b', groupId: '__proto__', amount: { kind: 'share', of: 0.3 } },
        { id: 's', act: 'lay', cupId: '..', groupId: '__proto__', amount: { kind: 'rim' } }
      ]
    };
    const plan = Plan.parse(planFrom1to2(Plan1.parse(old)));
    expect(new Set(plan.cups.map((c) => c.id)).size).toBe(4);
    expect(plan.cups[2]!.id).toBe('a-b');
    const [first, second] = plan.steps;
    expect(first!.act.cupId).toBe(plan.cups[0]!.id);
    expect(second!.act.cupId).toBe(plan.cups[1]!.id);
    expect(first!.where).toEqual([plan.groups[0]!.id]);
    expect(of(plan).groups[0]!.layers).toHaveLength(2);
    expect(planFrom1to2(Plan1.parse(old))).toEqual(planFrom1to2(Plan1.parse(old)));
  });
});

describe('several bases in one plan', () => {
  const soapTop: Plan = {
    ...nightHeron,
    mixes: [...nightHeron.mixes, { id: 'top', baseId: 'melt-clear', feeds: 'one cup' }],
    cups: nightHeron.cups.map((c): Cup => (c.id === 'foam' ? { ...c, from: { mix: 'top' } } : c))
  };
  const other = cards.bases.find((b) => b.kind === 'melt and pour')!;
  const plan: Plan = {
    ...soapTop,
    mixes: soapTop.mixes.map((m) => (m.id === 'top' ? { ...m, baseId: other.id } : m))
  };

  it('weighs each cup by its own base, and the split mix without it', () => {
    const c = of(plan);
    const before = of(nightHeron);
    expect(c.bases.map((b) => b.baseId)).toEqual(['bar-soap', other.id]);
    const foam = c.cups.find((x) => x.cupId === 'foam')!;
    expect(foam.baseId).toBe(other.id);
    expect(foam.weighings.some((w) => w.key === 'naoh')).toBe(false);
    expect(c.common).toHaveLength(1);
    expect(c.common[0]!.balance.mixed).toBeLessThan(before.common[0]!.balance.mixed);
    expect(foam.density).not.toBeCloseTo(before.cups[2]!.density, 3);
    const b = c.totals.balance;
    expect(b.poured + b.clings + b.vessel + b.reserved + b.left).toBeCloseTo(b.mixed, 6);
    expect(c.needs.some((n) => n.key.startsWith(`part:${other.id}:`))).toBe(true);
  });

  it('makes the second base when its step comes, with its own clock', () => {
    const ids = tasksOf(plan, of(plan)).map((t) => t.id);
    const pour = ids.indexOf('pour:swirl-black');
    expect(ids.findIndex((id) => id.startsWith('weigh:foam:'))).toBeGreaterThan(pour);
    const clocks = tasksOf(plan, of(plan)).filter((t) => 'startsClock' in t && t.startsClock);
    expect(clocks).toHaveLength(2);
  });
});

describe('a cup made of other cups', () => {
  const swirl: Plan = {
    ...rockpool,
    cups: [
      ...rockpool.cups,
      {
        id: 'jug',
        letter: 'E',
        hatch: 'plain',
        name: 'swirl jug',
        from: {
          cups: [
            { cupId: 'heron', share: 3 },
            { cupId: 'black', share: 1 }
          ].map((p) => ({ ...p, share: p.share / 4 }))
        },
        recipe: []
      }
    ],
    steps: [
      layer('bed', 'foam', 'roundels', { kind: 'to share', of: 0.5 }),
      layer('swirl', 'jug', 'roundels', { kind: 'rim' })
    ]
  };

  it('is filled by its shares with what it pours and loses; nothing is weighed for it', () => {
    const c = of(swirl);
    const jug = c.cups.find((x) => x.cupId === 'jug')!;
    expect(jug.weighings).toEqual([]);
    const [heron, black] = jug.mixes[0]!.filledFrom!;
    expect(heron!.ml / black!.ml).toBeCloseTo(3, 9);
    const capacity = c.groups[0]!.capacity;
    expect(jug.balance.pouredMl).toBeCloseTo(6 * 0.5 * capacity, 6);
    expect(jug.balance.poured + jug.balance.clings + jug.balance.vessel).toBeCloseTo(jug.balance.mixed, 9);
    expect(jug.balance.vessel).toBeCloseTo(2, 6);
    // What is filled into it is poured by the cups it is made of.
    const given = c.cups
      .filter((x) => ['heron', 'black'].includes(x.cupId))
      .reduce((s, x) => s + x.balance.poured, 0);
    expect(given).toBeCloseTo(jug.balance.mixed, 6);
    const b = c.totals.balance;
    expect(b.poured + b.clings + b.vessel + b.reserved + b.left).toBeCloseTo(b.mixed, 6);
    expect(b.pouredMl).toBeCloseTo(6 * capacity, 6);
  });

  it('is filled before it is poured, turn by turn', () => {
    const kinds = tasksOf(swirl, of(swirl)).map((t) => t.id);
    expect(kinds.indexOf('fill:jug')).toBeLessThan(kinds.indexOf('pour:swirl'));
    expect(kinds.indexOf('fill:jug')).toBeGreaterThan(kinds.indexOf('stir:black'));
    const two = applyEdit(swirl, { path: ['mixes', 'mix', 'turns'], value: 2 });
    const c = of(two);
    const jug = c.cups.find((x) => x.cupId === 'jug')!;
    expect(jug.mixes.map((m) => m.mixId)).toEqual(['jug', 'jug~2']);
    expect(jug.mixes.reduce((s, m) => s + m.balance.pouredMl, 0)).toBeCloseTo(3 * c.groups[0]!.capacity, 6);
    expect(tasksOf(two, c).filter((t) => t.kind === 'fill')).toHaveLength(2);
    const b = c.totals.balance;
    expect(b.poured + b.clings + b.vessel + b.reserved + b.left).toBeCloseTo(b.mixed, 6);
  });

  it('is refused where it would be filled from itself, round any number of corners', () => {
    const round = applyEdit(swirl, {
      path: ['cups', 'heron', 'from'],
      value: { cups: [{ cupId: 'jug', share: 1 }] }
    });
    expect(said(round, 'cup-of-itself')?.level).toBe('stop');
    expect(of(round).groups).toHaveLength(1);
  });
});

describe('variations', () => {
  const vary = (change: object, cavities = [5, 6]): Plan =>
    applyEdit(tideline, {
      path: ['groups', 'knobs', 'variations'],
      value: [{ id: 'v', stepId: 'lay-heron', cavities, change }]
    });

  it('leave a step out, take another cup or another amount, for some cavities', () => {
    const plain = of(tideline);
    const skipped = of(vary({ skip: true }));
    expect(skipped.groups.map((g) => [g.cavitySetId, g.count, g.layers.length])).toEqual([
      ['knobs', 4, 3],
      ['knobs~2', 2, 2]
    ]);
    expect(skipped.groups[1]!.name).toBe('knobs 1–6 (5–6)');
    // The last layer to the rim takes what was left out.
    expect(skipped.cups[2]!.balance.pouredMl).toBeGreaterThan(plain.cups[2]!.balance.pouredMl);
    const cup = of(vary({ cupId: 'foam' }));
    expect(cup.cups[1]!.balance.pouredMl).toBeCloseTo((plain.cups[1]!.balance.pouredMl * 4) / 6, 9);
    const amount = of(vary({ amount: { kind: 'to share', of: 0.5 } }));
    expect(amount.groups[1]!.layers[1]!.toMl).toBeCloseTo(0.5 * amount.groups[1]!.capacity, 9);
    for (const c of [skipped, cup, amount]) {
      const b = c.totals.balance;
      expect(b.poured + b.clings + b.vessel + b.left).toBeCloseTo(b.mixed, 6);
      expect(c.totals.pieces).toBe(6);
    }
  });

  it('are poured apart, and demoulded together', () => {
    const tasks = tasksOf(vary({ cupId: 'foam' }), of(vary({ cupId: 'foam' })));
    const pours = tasks.flatMap((t) => (t.kind === 'pour' ? [[t.id, t.cupId, t.count]] : []));
    expect(pours).toContainEqual(['pour:lay-heron', 'heron', 4]);
    expect(pours).toContainEqual(['pour:lay-heron@knobs~2', 'foam', 2]);
    expect(tasks.filter((t) => t.kind === 'demould')).toHaveLength(1);
    expect(new Set(tasks.map((t) => t.id)).size).toBe(tasks.length);
  });

  it('say when they name what is not there', () => {
    expect(said(vary({ skip: true }, [7]), 'cavity-missing')).toBeDefined();
    expect(said(vary({ cupId: 'gone' }), 'cup-missing')).toBeDefined();
    const step = applyEdit(vary({ skip: true }), {
      path: ['groups', 'knobs', 'variations', 'v', 'stepId'],
      value: 'gone'
    });
    expect(said(step, 'step-missing')).toBeDefined();
  });
});
