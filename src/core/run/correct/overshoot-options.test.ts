import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { plans, rockpool, saltings, samphire, sluice, tideline } from '../../../../demo/plans';
import type { Base } from '../../material';
import type { Plan } from '../../plan';
import type { Shelf } from '../../shelf';
import { atBench, inCup, mixed, withBase } from '../../plan/plans.testing';
import { foldRun } from '../log/fold';
import { freeze } from '../snapshot/freeze';
import { usesOf } from '../amounts/used';
import { booksOf } from '../amounts/ledger';
import { overshootOptions } from './overshoot-options';
import { moreFromPot } from './top-up';
import { type FrozenRun } from '../snapshot/frozen';
import { type RunEvent } from '../log/events';

let serial = 0;
const event = (told: Record<string, unknown>, at: number): RunEvent =>
  ({ id: `event-${String(serial++).padStart(6, '0')}`, at, ...told }) as RunEvent;

/** A run in which some keys of one mix are weighed, in grams. */
const weighed = (mixId: string, grams: Record<string, number>) =>
  Object.entries(grams).map(([key, g], i) =>
    event({ type: 'weighed', task: `weigh:${mixId}:${key}`, grams: g }, 1000 + i)
  );
const fold = (run: FrozenRun, events: RunEvent[]) => foldRun(run.tasks, events, 0.01);
const begun = (plan: Plan, shelf: Shelf = cards) => freeze(plan, shelf);

describe('the ways out of an overshoot', () => {
  // 54.2 : 45.8 by weight, pigment 1.50, 58.9 of A poured: 8.67 % more of everything, 8.80 g in all.
  const example = (): FrozenRun => {
    const run = begun(tideline);
    const grams: Record<string, number> = { A: 54.2, B: 45.8, 'mudflat-brown': 1.5, 'mudflat-black': 0 };
    const cups = run.computed.cups.map((c, i) =>
      i
        ? c
        : {
            ...c,
            mixes: c.mixes.map((m) => ({
              ...m,
              weighings: m.weighings.map((w) => ({ ...w, weight: grams[w.key]!, exact: grams[w.key]! }))
            }))
          }
    );
    const tasks = run.tasks.map((t) =>
      t.kind === 'weigh' && t.mixId === 'mudflat' ? { ...t, grams: grams[t.key]! } : t
    );
    return { ...run, computed: { ...run.computed, cups }, tasks };
  };

  it('say what following does: the whole, the surplus, the scale', () => {
    const run = example();
    const state = fold(run, weighed('mudflat', { A: 58.9 }));
    const { follow, over } = overshootOptions(run, state, 'mudflat')!;
    expect(follow.scale).toBeCloseTo(1.08672, 5);
    expect(follow.surplus).toBeCloseTo(8.8, 2);
    expect(follow.total).toBeCloseTo(101.5 + 8.8, 2);
    expect(over.wasted).toBeCloseTo(58.9, 9);
  });

  it('count what an earlier part is topped up by', () => {
    const run = example();
    const state = fold(run, weighed('mudflat', { A: 54.2, B: 45.8 * 1.1 }));
    const { follow } = overshootOptions(run, state, 'mudflat')!;
    expect(follow.scale).toBeCloseTo(1.1, 9);
    expect(follow.total).toBeCloseTo(101.5 * 1.1, 6);
  });

  it('say what keeping the weights does to the ratio, and from where it harms', () => {
    const run = begun(tideline);
    const mix = run.computed.cups[0]!.mixes[0]!;
    const weight = (key: string) => mix.weighings.find((w) => w.key === key)!.weight;
    // What the pastes bring of part A, by hand; and the share of A that the base's card asks for.
    const carried = mix.weighings.reduce((s, w) => {
      const c = cards.colourants.find((x) => x.id === w.colourantId);
      return c?.carrier === 'part A' ? s + w.weight * (1 - c.pigmentFraction) : s;
    }, 0);
    expect(carried).toBeGreaterThan(0);
    const share = (a: number) => (a + carried) / (a + carried + weight('B'));
    const meant = share(weight('A'));
    const off = (scale: number) =>
      overshootOptions(run, fold(run, weighed('mudflat', { A: weight('A') * scale })), 'mudflat')!.keep;
    const much = off(1.2);
    const ratio = (100 * weight('B')) / (weight('A') * 1.2 + carried);
    expect(much.words).toContain(`100 : ${ratio.toFixed(1)}`);
    const really = share(weight('A') * 1.2);
    expect(much.off).toBeCloseTo(Math.max(really / meant - 1, 1 - (1 - really) / (1 - meant)), 2);
    expect(much.harms).toBe(true);
    expect(off(1.01)).toMatchObject({ harms: false });
    expect(off(1.01).words).toContain('inside');
  });

  it('say whether the vessel still holds it', () => {
    const vessel = [...cards.vessels].sort((x, y) => y.ml - x.ml)[0]!;
    const run = begun(atBench(samphire, { vesselIds: [vessel.id] }));
    const [cup] = run.computed.cups;
    const [mix] = cup!.mixes;
    const liquid = mix!.weighings.find((w) => w.key === 'liquid')!.weight;
    const at = (scale: number) =>
      overshootOptions(run, fold(run, weighed(mix!.mixId, { liquid: liquid * scale })), mix!.mixId)!.follow;
    const most = (mix!.vessel!.ml * 2) / 3 / mix!.ml;
    expect(at(most * 0.98)).toMatchObject({ holds: true, room: `the ${vessel.name} still holds it` });
    expect(at(most * 1.03).holds).toBe(false);
    expect(at(most * 1.03).room).toContain('little room to stir');
    expect(at(most * 1.6).room).toContain('more than');
  });

  it.each([
    ['gypsum', samphire, 'liquid', 1.1, /^1 : 2\.2\d instead of 1 : 2\.50, wetter/],
    ['gypsum', samphire, 'powder', 1.1, /^1 : 2\.7\d instead of 1 : 2\.50, drier/],
    ['concrete', sluice, 'water', 1.1, /^water\/cement 0\.4\d\d/],
    ['soap', saltings, 'naoh', 1.2, /^superfat -1\d\.\d %: lye is left over/],
    ['soap', saltings, 'naoh', 1.01, /^superfat \d\.\d %$/]
  ] as const)('speak of %s: %#', (_, plan, key, scale, words) => {
    const run = begun(mixed(plan, 'each'));
    const mix = run.computed.cups.flatMap((c) => c.mixes).find((m) => m.balance.pouredMl > 0)!;
    const grams = mix.weighings.find((w) => w.key === key)!.weight * scale;
    const found = overshootOptions(run, fold(run, weighed(mix.mixId, { [key]: grams })), mix.mixId)!;
    expect(found.keep.words).toMatch(words);
  });

  it('are there for every mix of every plan of the workshop', () => {
    for (const plan of plans) {
      const run = begun(plan);
      const mixes = [...run.computed.common, ...run.computed.cups.flatMap((c) => c.mixes)];
      for (const mix of mixes.filter((m) => m.weighings.length)) {
        const ways = overshootOptions(run, fold(run, []), mix.mixId)!;
        const whole = mix.weighings.reduce((s, w) => s + (w.kind === 'reserve' ? 0 : w.weight), 0);
        expect(ways.follow, plan.name).toMatchObject({ scale: 1 });
        expect(ways.follow.surplus).toBeCloseTo(0, 9);
        expect(ways.follow.total).toBeCloseTo(whole, 9);
        expect(ways.over.wasted).toBe(0);
      }
    }
  });

  it('read a portion by its own pot, not by another that is made in the same turn', () => {
    const from = mixed(saltings, 'split');
    const [mix] = from.mixes;
    const half = Math.ceil(from.cups.length / 2);
    const plan: Plan = {
      ...from,
      mixes: [mix!, { ...mix!, id: 'second' }],
      cups: from.cups.map((c, i) => (i < half ? c : { ...c, from: { mix: 'second' } }))
    };
    const run = begun(plan);
    expect(run.computed.common.map((m) => m.of)).toEqual([mix!.id, 'second']);
    // The first pot is all water; the portions of the second are none the wetter.
    const spoilt: FrozenRun = {
      ...run,
      computed: {
        ...run.computed,
        common: run.computed.common.map((m, i) =>
          i ? m : { ...m, held: m.held.map((h) => ({ ...h, grams: h.key === 'water' ? 1e6 : 0 })) }
        )
      }
    };
    const last = run.computed.cups.filter((c) => c.mixes[0]!.balance.pouredMl > 0).at(-1)!;
    expect(last.mixOf).toBe('second');
    const ways = (r: FrozenRun) => overshootOptions(r, fold(r, []), last.mixes[0]!.mixId)!.keep;
    expect(ways(spoilt)).toEqual(ways(run));
  });

  it('are silent where the material is not known any more', () => {
    const run = begun(tideline);
    const gone = { ...run, file: { ...run.file, shelf: { ...run.file.shelf, bases: [] as Base[] } } };
    expect(overshootOptions(gone, fold(run, []), 'mudflat')).toBeUndefined();
    expect(overshootOptions(run, fold(run, []), 'nothing')).toBeUndefined();
  });
});

describe('more of a mixed pot than planned', () => {
  const run = begun(rockpool);
  const portion = run.tasks.find((t) => t.kind === 'weigh' && t.portionOf !== undefined)!;
  if (portion.kind !== 'weigh') throw new Error('no portion');
  const pot = run.tasks.flatMap((t, i) =>
    t.kind === 'weigh' && t.mixId === portion.portionOf
      ? [event({ type: 'weighed', task: t.id, grams: t.grams }, i)]
      : []
  );
  const stir = event({ type: 'done', task: `stir:${portion.portionOf}` }, 100);
  const taken = (grams: number) => [...pot, stir, event({ type: 'weighed', task: portion.id, grams }, 200)];

  it('is a weaker colour and less for the other cups, and no other ratio', () => {
    const state = fold(run, taken(portion.grams * 1.25));
    const ways = overshootOptions(run, state, portion.mixId)!;
    expect(ways.portion!.weaker).toBeCloseTo(0.2, 6);
    expect(ways.keep.off).toBeLessThan(0.01);
    const others = run.tasks.reduce(
      (s, t) =>
        s + (t.kind === 'weigh' && t.portionOf === portion.portionOf && t.id !== portion.id ? t.grams : 0),
      0
    );
    const inPot = pot.reduce((s, e) => s + (e.type === 'weighed' ? e.grams : 0), 0);
    expect(ways.portion!.short).toBeCloseTo(Math.max(0, others - (inPot - portion.grams * 1.25)), 4);
    expect(ways.portion!.short).toBeGreaterThan(0);
  });

  it('and more of a cup is taken out of its pot while that has it over, its colours with it', () => {
    const state = fold(run, taken(portion.grams / 2));
    const own = run.tasks.flatMap((t) => (t.kind === 'weigh' && t.mixId === portion.mixId ? [t] : []));
    const more = moreFromPot(run, state, portion.mixId, portion.grams / 4)!;
    expect(more.lines.map((l) => l.key)).toEqual(own.map((t) => t.key));
    expect(more.lines.reduce((s, l) => s + l.grams, 0)).toBeCloseTo(portion.grams / 4, 6);
    const topped = event(
      { type: 'topped', mixId: portion.mixId, lines: more.lines.map(({ key, grams }) => ({ key, grams })) },
      300
    );
    const [before, after] = [state, fold(run, [...taken(portion.grams / 2), topped])].map((s) =>
      booksOf(run, s)
    );
    const moved = (id: string) => after!.get(id)!.left - before!.get(id)!.left;
    expect(moved(portion.mixId)).toBeCloseTo(portion.grams / 4, 6);
    expect(moved(portion.portionOf!)).toBeCloseTo(-more.lines[0]!.grams, 6);
    expect(moreFromPot(run, state, portion.mixId, 1e4)).toBeUndefined();
    expect(moreFromPot(run, state, portion.portionOf!, 10)).toBeUndefined();
  });
});

describe('a cup that is begun again', () => {
  const run = begun(tideline);
  const a = run.computed.cups[0]!.weighings.find((w) => w.key === 'A')!.weight;

  it('is weighed from its first part, and what was in it stays taken from the shelf', () => {
    const first = weighed('mudflat', { A: a * 1.4 });
    const before = fold(run, first);
    expect(before.tasks.find((t) => t.task.id === 'weigh:mudflat:B')!.target).toBeGreaterThan(0);
    const again = event({ type: 'restarted', mixId: 'mudflat' }, 5000);
    const state = fold(run, [...first, again]);
    expect(state.now?.task.id).toBe('prepare');
    const entry = state.tasks.find((t) => t.task.id === 'weigh:mudflat:A')!;
    expect(entry).toMatchObject({ status: 'open' });
    expect(entry.actual).toBeUndefined();
    expect(state.cups.get('mudflat')).toMatchObject({ scale: 1, surplus: 0 });
    const used = usesOf(state).filter((u) => u.key.endsWith(':A'));
    expect(used).toEqual([expect.objectContaining({ grams: a * 1.4 })]);
    // Weighed anew: both are gone from the shelf.
    const anew = event({ type: 'weighed', task: 'weigh:mudflat:A', grams: a }, 6000);
    const both = usesOf(fold(run, [...first, again, anew])).filter((u) => u.key.endsWith(':A'));
    expect(both.reduce((s, u) => s + u.grams, 0)).toBeCloseTo(a * 2.4, 9);
  });

  it('leaves the other cups alone, and undoing it brings the weight back', () => {
    const events = [...weighed('heron', { A: 9 }), ...weighed('mudflat', { A: a })];
    const again = event({ type: 'restarted', mixId: 'mudflat' }, 5000);
    const state = fold(run, [...events, again]);
    expect(state.tasks.find((t) => t.task.id === 'weigh:heron:A')).toMatchObject({
      status: 'done',
      actual: 9
    });
    const undone = fold(run, [...events, again, event({ type: 'undone', event: again.id }, 6000)]);
    expect(undone.tasks.find((t) => t.task.id === 'weigh:mudflat:A')).toMatchObject({ actual: a });
    expect(undone.wasted).toEqual([]);
  });
});

describe('drops', () => {
  const [first] = tideline.cups;
  const [line] = first!.recipe;
  const drop = { grams: 0.04, error: 0.001 };
  const shelf: Shelf = {
    ...cards,
    colourants: cards.colourants.map((c) => (c.id === line!.colourantId ? { ...c, drop } : c))
  };
  const plan = inCup(withBase(tideline, tideline.mixes[0]!.baseId), first!.id, {
    recipe: [{ ...line!, percent: 5, by: 'drops' }]
  });

  it('are more where more of the parts went in', () => {
    const run = begun(plan, shelf);
    const task = run.tasks.find((t) => t.kind === 'weigh' && t.key === line!.id)!;
    if (task.kind !== 'weigh') throw new Error('not weighed');
    expect(task.countedIn).toEqual({ unit: 'drops', each: expect.closeTo(0.04, 9) });
    const a = run.tasks.find((t) => t.kind === 'weigh' && t.mixId === first!.id && t.key === 'A')!;
    const grams = a.kind === 'weigh' ? a.grams : 0;
    const state = fold(run, weighed(first!.id, { A: grams * 1.5 }));
    const target = state.tasks.find((t) => t.task.id === task.id)!.target!;
    expect(target).toBeCloseTo(task.grams * 1.5, 9);
  });
});
