import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { demoLots } from '../../../demo/lots';
import {
  eel,
  lantern,
  plans,
  rockpool,
  saltings,
  samphire,
  shingle,
  sluice,
  tideline
} from '../../../demo/plans';
import { PORTION } from '../batch';
import { superfatOf, waterCementOf, type Base } from '../material';
import { applyEdit } from '../edit';
import { computePlan, figuresOf, topUpCup, type Amount, type Computed, type Past, type Plan } from '.';
import { atBench, layer, mixed, withBase, withCups, withScales } from './plans.testing';
import { gramsIn } from './worked';

const of = (plan: Plan, past: Past = {}, shelf = cards): Computed => computePlan(plan, shelf, past);
const codes = (plan: Plan, past: Past = {}) => of(plan, past).problems.map((p) => p.code);
const sum = (xs: number[]) => xs.reduce((s, x) => s + x, 0);
const weight = (c: Computed, cup: number, key: string) =>
  c.cups[cup]!.weighings.find((w) => w.key === key)!.weight;

describe('any batch of any material', () => {
  const batches = fc
    .record({
      base: fc.constantFrom(...cards.bases),
      scale: fc.constantFrom('fine', 'middle', 'bench'),
      mixing: fc.constantFrom('each' as const, 'split' as const),
      counts: fc.array(fc.integer({ min: 1, max: 24 }), { minLength: 1, maxLength: 3 }),
      mixes: fc.integer({ min: 1, max: 6 }),
      reserve: fc.double({ min: 1, max: 80, noNaN: true }),
      chips: fc.double({ min: 1, max: 50, noNaN: true }),
      allowance: fc.double({ min: 0, max: 0.3, noNaN: true }),
      percent: fc.double({ min: 0, max: 3, noNaN: true }),
      colourant: fc.constantFrom(...cards.colourants)
    })
    .map((x): { plan: Plan; base: Base } => {
      const cups = tideline.cups.slice(0, 2).map((cup, i) => ({
        ...cup,
        ...(i ? { reserve: x.reserve } : {}),
        fillers: i ? [{ id: 'chips', name: 'chips', percent: x.chips, density: 2.4 }] : [],
        recipe: [{ id: `r${i}`, colourantId: x.colourant.id, percent: x.percent, of: 'supplied' as const }]
      }));
      const scales = ['fine', 'middle', 'bench'].filter((id) => id !== x.scale);
      const bench = atBench(withScales(tideline, x.scale, ...scales), {
        losses: { cling: 0.03, vessel: 2, allowance: x.allowance }
      });
      const made = mixed(withCups(withBase(bench, x.base.id), cups), x.mixing);
      const turns = x.mixes > 1 ? { turns: x.mixes } : {};
      const plan: Plan = {
        ...made,
        mixes: made.mixes.map((m) => ({ ...m, ...turns })),
        groups: x.counts.map((count, i) => ({
          id: `g${i}`,
          name: `group ${i}`,
          mouldId: ['dome-knobs', 'roundel', 'coat-hooks'][i]!,
          cavityId: ['dome', 'roundel', 'hook'][i]!,
          count
        })),
        steps: x.counts.flatMap((_, i) => [
          layer(`a${i}`, 'mudflat', `g${i}`, { kind: 'share', of: 0.4 }, { minutes: 0.1 }),
          layer(`b${i}`, 'heron', `g${i}`, { kind: 'rim' }, { minutes: 0.1 })
        ])
      };
      return { plan, base: x.base };
    });

  it('is weighed to the gram: poured, clinging, staying, taken out and left are what was mixed', () => {
    fc.assert(
      fc.property(batches, ({ plan }) => {
        const { cups, totals, groups, common } = figuresOf(plan, cards);
        const b = totals.balance;
        expect(b.poured + b.clings + b.vessel + b.reserved + b.left).toBeCloseTo(b.mixed, 6);
        const onScale =
          sum(totals.parts.map((p) => p.grams)) +
          sum(totals.colourants.map((p) => p.grams)) +
          sum(totals.fillers.map((p) => p.grams));
        expect(onScale).toBeCloseTo(b.mixed, 6);
        const received = sum(groups.flatMap((g) => g.layers.map((l) => l.grams)));
        expect(received).toBeCloseTo(b.poured, 6);
        // Every cavity is poured once from one mix.
        for (const cup of cups)
          for (const step of plan.steps.filter((s) => s.act.cupId === cup.cupId))
            expect(
              sum(cup.mixes.flatMap((m) => m.pours.filter((p) => p.pourId === step.id).map((p) => p.count)))
            ).toBe(plan.groups.find((g) => g.id === step.where[0])!.count);
        // A common mix gives its cups exactly what they weigh out.
        for (const mix of common) {
          const shared = sum(
            cups.flatMap((c) =>
              c.mixes
                .filter((m) => m.turn === mix.turn)
                .flatMap((m) => m.weighings.filter((w) => w.key === PORTION).map((w) => w.weight))
            )
          );
          expect(mix.balance.poured).toBeCloseTo(shared, 6);
        }
      }),
      { numRuns: 150 }
    );
  });

  it('never weighs more lye than its oils take, nor moves a ratio further than it says', () => {
    fc.assert(
      fc.property(batches, ({ plan, base }) => {
        const { cups, common } = figuresOf(plan, cards);
        for (const mix of common.length ? common : cups.flatMap((c) => c.mixes)) {
          if (mix.balance.pouredMl <= 0) continue;
          if (base.kind === 'soap' && mix.weighings.some((w) => w.key.startsWith('oil') && w.weight > 0))
            expect(superfatOf(base, gramsIn(mix.held))).toBeGreaterThanOrEqual(-1e-9);
          if (base.kind !== 'concrete' || base.bag) continue;
          const wc = waterCementOf(base, gramsIn(mix.held))!;
          // Both water and cement may be off by the stated ratio error.
          expect(Math.abs(wc / base.waterCement - 1)).toBeLessThanOrEqual(2.1 * mix.ratioError + 1e-6);
        }
      }),
      { numRuns: 120 }
    );
  });
});

describe('one mix in hand', () => {
  it.each(plans.map((p) => [p.name, p] as const))('%s: is castings, never more than there are', (_, plan) => {
    const castings = sum(plan.groups.map((g) => g.count));
    for (const way of ['each', 'split'] as const)
      for (const cup of of(mixed(plan, way)).cups.filter((c) => c.balance.pouredMl > 0)) {
        expect(cup.castings).toBeLessThanOrEqual(castings);
        expect(cup.inHand).toBeLessThanOrEqual(cup.castings);
        expect(cup.castings).toBeGreaterThan(0);
      }
  });

  it('counts a slab as one, however many bars are cut from it', () => {
    const { cups, totals } = of(saltings);
    expect(totals.pieces).toBe(40);
    for (const cup of cups.filter((c) => c.balance.pouredMl > 0)) expect(cup.castings).toBe(1);
  });

  it('counts a cavity once that a cup is poured into twice, with the time of both', () => {
    const twice = (minutes: number): Plan => ({
      ...samphire,
      groups: [{ ...samphire.groups[0]!, count: 4 }],
      steps: [
        layer('one', samphire.cups[0]!.id, samphire.groups[0]!.id, { kind: 'share', of: 0.3 }, { minutes }),
        layer('two', samphire.cups[0]!.id, samphire.groups[0]!.id, { kind: 'share', of: 0.3 }, { minutes })
      ]
    });
    const cup = (minutes: number) => of(twice(minutes)).cups[0]!;
    expect(cup(0.1)).toMatchObject({ castings: 4, inHand: 4 });
    // Two pours of two minutes each: a cavity takes four of what is left of the window.
    expect(cup(2).inHand).toBe(1);
    expect(cup(2).inHand * 4).toBeLessThanOrEqual(cup(2).window * 0.85);
    expect(cup(1.2).inHand).toBeGreaterThan(cup(2).inHand);
  });
});

describe('several mixes', () => {
  const many = applyEdit(samphire, { path: ['groups', 0, 'count'], value: 22 });

  it('are made when one cannot be poured inside its window', () => {
    const { cups } = of(many);
    const [cup] = cups;
    expect(cup!.mixes.length).toBeGreaterThan(1);
    expect(cup!.why).toContain('within');
    const sizes = cup!.mixes.map((m) => sum(m.pours.map((p) => p.count)));
    expect(sum(sizes)).toBe(22);
    expect(Math.max(...sizes)).toBeLessThanOrEqual(cup!.inHand);
    expect(codes(many)).not.toContain('past-window');
    // Each mix leaves its own share in its vessel.
    expect(cup!.balance.vessel).toBeCloseTo(2 * sizes.length, 9);
  });

  it('are made when the vessel, the heat or the injector says so, and it is said which', () => {
    const slow = cards.bases.find((b) => b.id === 'clear-slow')!;
    const big: Plan = {
      ...withBase(lantern, slow.id),
      groups: [{ ...lantern.groups[0]!, count: 60 }]
    };
    expect(of(big).cups[0]!.why).toContain('110 °C');
    const sheet = { ...slow, safeMass: 100 } as Base;
    const careful = of(lantern, {}, { ...cards, bases: [{ ...sheet, id: 'clear-quick' } as Base] });
    expect(careful.cups[0]!.mixes).toHaveLength(2);
    expect(careful.cups[0]!.why).toContain('100 g');
    const small = of(atBench(shingle, { vesselIds: ['cup-300'] }));
    expect(small.cups[0]!.why).toContain('200 ml');
    expect(small.cups[0]!.mixes.every((m) => m.vessel?.id === 'cup-300')).toBe(true);
    const quick = {
      ...eel,
      steps: eel.steps.map((x) => ({ ...x, hands: { each: 0.01 } }))
    };
    const shots = of(applyEdit(quick, { path: ['groups', 0, 'count'], value: 44 }));
    expect(shots.cups[1]!.why).toMatch(/injector holds \d+ shots/);
  });

  it('follow the maker’s own number', () => {
    const two = applyEdit(tideline, { path: ['mixes', 'mix-heron', 'turns'], value: 2 });
    expect(of(two).cups[1]!.mixes.map((m) => m.pours[0]!.count)).toEqual([3, 3]);
  });
});

describe('what the record teaches', () => {
  it('sets what clings, unless it is typed', () => {
    const past: Past = {
      clings: new Map([
        [tideline.mixes[0]!.baseId, { cling: 0.06, cups: 4 }],
        ['clear-slow', { cling: 0.09, cups: 3 }]
      ])
    };
    expect(of(tideline, past).losses).toMatchObject({ cling: 0.06, from: 'record', cups: 4 });
    // To the half division that rounding may take of it in each of three cups.
    expect(of(tideline, past).totals.balance.clings).toBeCloseTo(2 * of(tideline).totals.balance.clings, 1);
    expect(
      of(applyEdit(tideline, { path: ['bench', 'losses', 'typed'], value: true }), past).losses.cling
    ).toBe(0.03);
  });

  it('follows the base when that is changed, and knows nothing of one it never saw', () => {
    const past: Past = { clings: new Map([['clear-slow', { cling: 0.09, cups: 3 }]]) };
    expect(of(withBase(tideline, 'clear-slow'), past).losses).toMatchObject({ cling: 0.09, from: 'record' });
    expect(of(tideline, past).losses).toMatchObject({ cling: 0.03, from: 'usual' });
  });

  it('sets the reject rate of an order that does not say its own', () => {
    const open: Plan = { ...tideline, order: { good: 48 } };
    expect(of(open).order).toMatchObject({ from: 'none', cast: 48 });
    expect(of(open, { rejects: { count: 3, of: 25 } }).order).toMatchObject({
      from: 'record',
      cast: 58,
      turns: 10
    });
  });

  it('warns of a dark dye in a mould before a paler piece', () => {
    const dark = { colour: '#101820', name: 'indigo', dye: true };
    const past: Past = { lastColours: new Map([['dome-knobs', dark]]) };
    const pale = applyEdit(tideline, { path: ['steps', 0, 'act', 'cupId'], value: 'foam' });
    expect(of(pale, past).problems.find((p) => p.code === 'mould-residue')?.level).toBe('warn');
    expect(codes(tideline, past)).not.toContain('mould-residue');
  });
});

describe('cost and stock', () => {
  const now = Date.UTC(2026, 10, 25);
  const shelf = { ...cards, lots: demoLots(now) };

  it('come from the lots, rejects paid for', () => {
    const c = of(samphire, { today: now }, shelf);
    const liquid = weight(c, 0, 'liquid') * ((44 * 1.2 + 3) / 5000);
    const powder = weight(c, 0, 'powder') * ((32 * 1.2 + 3) / 12_500);
    const colour = c.totals.colourants[0]!.grams * ((12 * 1.2 + 0.5) / 100);
    expect(c.cost!.total).toBeCloseTo(liquid + powder + colour, 6);
    expect(c.cost!.perPiece).toBeCloseTo((c.cost!.total / 5) * (26 / 22), 6);
    const paid = of({ ...samphire, consumables: 2 }, { today: now }, shelf);
    expect(paid.cost!.total).toBeCloseTo(c.cost!.total + 2, 9);
  });

  it('say what is short before anything is weighed, runs taken off', () => {
    const once: Plan = { ...samphire, order: undefined };
    expect(of(once, { today: now }, shelf).needs.every((n) => !n.short)).toBe(true);
    const uses = [{ key: 'part:acrylic-gypsum:powder', grams: 12_200, at: now - 1000 }];
    const short = of(samphire, { today: now, uses }, shelf);
    expect(short.problems.find((p) => p.code === 'stock-short')?.sentence).toContain('powder');
    // Enough for one turn, and not for all of them.
    const [turn] = [of(samphire, { today: now }, shelf)];
    const powder = turn.needs.find((n) => n.key === 'part:acrylic-gypsum:powder')!;
    const turns = turn.order!.turns;
    expect(turns).toBeGreaterThan(1);
    expect(powder.inAll).toBeCloseTo(powder.grams * turns, 9);
    const left = powder.have! - (powder.grams * turns) / 2;
    const half = [{ key: powder.key, grams: left, at: now - 1000 }];
    const wanting = of(samphire, { today: now, uses: half }, shelf).problems.find(
      (p) => p.code === 'stock-short'
    )!;
    expect(wanting.sentence).toContain(`${powder.inAll.toFixed(0)} g are needed for the whole order`);
    const late = of(samphire, { today: now + 400 * 86_400_000 }, shelf);
    expect(late.problems.map((p) => p.code)).toContain('stock-expired');
  });
});

describe('chambers and zones in a pour', () => {
  const divided = {
    ...cards,
    moulds: cards.moulds.map((m) =>
      m.id === 'roundel'
        ? {
            ...m,
            cavities: m.cavities.map((c) => ({
              ...c,
              chambers: [
                { id: 'left', name: 'left', share: 0.6 },
                { id: 'right', name: 'right', share: 0.4 }
              ]
            }))
          }
        : m
    )
  };
  const lay = (id: string, cupId: string, amount: Amount, chamberId?: string) =>
    layer(id, cupId, 'roundels', amount, { minutes: 0.2, ...(chamberId ? { chamberId } : {}) });
  const plan = (...steps: Plan['steps']): Plan => ({ ...rockpool, steps });

  it('fill by their share, and level when the divider comes out', () => {
    const c = of(
      plan(
        lay('l', 'foam', { kind: 'to share', of: 0.5 }, 'left'),
        lay('r', 'heron', { kind: 'to share', of: 0.5 }, 'right'),
        lay('top', 'black', { kind: 'rim' })
      ),
      {},
      divided
    );
    const [left, right, top] = c.groups[0]!.layers;
    const capacity = c.groups[0]!.capacity;
    expect(left!.each).toBeCloseTo(0.3 * capacity, 9);
    expect(right!.each).toBeCloseTo(0.2 * capacity, 9);
    expect(left!.to).toBeCloseTo(right!.to, 9);
    expect(top!.each).toBeCloseTo(0.5 * capacity, 9);
    expect(top!.from).toBeCloseTo(left!.to, 9);
    expect(left!.chamber).toMatchObject({ from: 0, to: 0.6 });
  });

  it('say when they stand uneven, overflow, or are not there', () => {
    const found = (...steps: Plan['steps']) => of(plan(...steps), {}, divided).problems.map((p) => p.code);
    expect(
      found(
        lay('l', 'foam', { kind: 'to share', of: 0.8 }, 'left'),
        lay('r', 'heron', { kind: 'to share', of: 0.2 }, 'right'),
        lay('top', 'black', { kind: 'rim' })
      )
    ).toContain('chambers-uneven');
    expect(found(lay('l', 'foam', { kind: 'volume', ml: 40 }, 'left'))).toContain('overfull');
    expect(found(lay('l', 'foam', { kind: 'rim' }, 'middle'))).toContain('chamber-unknown');
    expect(found(lay('l', 'foam', { kind: 'zone', zoneId: 'nowhere' }))).toContain('zone-unknown');
  });

  it('fill a zone to its top, and a dome above the rim', () => {
    const [tide] = of(sluice).groups[0]!.layers;
    expect(tide!.to).toBeCloseTo(12, 6);
    const domed = of(
      applyEdit(tideline, { path: ['steps', 'lay-foam', 'act', 'amount'], value: { kind: 'dome' } })
    );
    const { layers, capacity, domeMl } = domed.groups[0]!;
    expect(domeMl).toBeCloseTo((Math.PI * 17 ** 2 * 0.8 * 0.5) / 1000, 9);
    expect(sum(layers.map((l) => l.each))).toBeCloseTo(capacity + domeMl, 9);
    expect(layers.at(-1)!.to).toBeCloseTo(17, 9);
  });
});

describe('what is wrong with a batch is said', () => {
  const chips = (percent: number) =>
    applyEdit(shingle, { path: ['cups', 0, 'fillers', 0, 'percent'], value: percent });
  it.each([
    ['too many chips', chips(70), 'chips-too-many'],
    [
      'a reserve after dry colour',
      applyEdit(sluice, { path: ['cups', 1, 'reserve'], value: 200 }),
      'reserve-after-colour'
    ],
    [
      'a split cup off its ratio',
      applyEdit(rockpool, { path: ['cups', 0, 'recipe', 0, 'percent'], value: 5.5 }),
      'split-off-ratio'
    ],
    [
      'a plastisol heated too often',
      { ...eel, mixes: eel.mixes.map((m) => ({ ...m, reheats: 6 })) },
      'reheated-too-often'
    ],
    [
      'an injector too small',
      applyEdit(eel, { path: ['groups', 0, 'mouldId'], value: 'soap-dish' }),
      'mould-missing'
    ],
    [
      'drops nobody weighed',
      applyEdit(tideline, { path: ['cups', 0, 'recipe', 0, 'by'], value: 'drops' }),
      'measure-unknown'
    ]
  ] as [string, Plan, string][])('%s', (_, plan, code) => {
    expect(codes(plan)).toContain(code);
  });

  it('a shot that is more than the injector holds', () => {
    const plan: Plan = {
      ...eel,
      groups: [{ ...eel.groups[0]!, mouldId: 'bookend', cavityId: 'bookend' }]
    };
    expect(codes(plan)).toContain('injector-too-small');
  });

  it('concrete with too much water, and soap whose fats may set', () => {
    const wet = cards.bases.map((b) => (b.kind === 'concrete' ? { ...b, waterCement: 0.6 } : b));
    expect(of(sluice, {}, { ...cards, bases: wet }).problems.map((p) => p.code)).toContain('water-cement');
    expect(codes(saltings)).toContain('fats-may-set');
    expect(codes(atBench(saltings, { roomCelsius: 28 }))).not.toContain('fats-may-set');
  });
});

describe('a top-up cup', () => {
  it('is the same recipe for what is missing, with its own, longer window', () => {
    const extra = topUpCup(tideline, cards, 'foam', 40)!;
    const planned = of(tideline).cups[2]!;
    const percent = (w: { weighings: typeof extra.weighings; batch: number }) =>
      w.weighings.find((x) => x.key === 'foam-white')!.exact / w.batch;
    expect(percent(extra)).toBeCloseTo(percent(planned), 9);
    expect(extra.balance.poured).toBeCloseTo(40 * planned.density, 6);
    expect(topUpCup(tideline, cards, 'foam', 5)!.window).toBeGreaterThan(extra.window);
    expect(topUpCup(tideline, cards, 'foam', 5)!.problems[0]?.code).toBe('mix-too-small');
    expect(topUpCup(tideline, cards, 'foam', 0)).toBeUndefined();
  });
});
