import { fixesOf } from '../problem';
import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import * as demo from '../../../demo/plans';
import { cavityOf } from '../mould';
import { computePlan, type Plan } from '.';
import { type Step } from '../document';
import { acts, ACT_GROUPS, actsNamed, emptyCavity, filledMl, pouredOn, type CavityState } from '../pour';
import { pourAlone } from './plans.testing';

const rockpool = pourAlone(demo.rockpool);
const tideline = pourAlone(demo.tideline);

const dome = cards.moulds.find((m) => m.id === 'dome-knobs')!.cavities[0]!;
const box = {
  id: 'box',
  name: 'box',
  count: 1,
  shape: { kind: 'box', width: 80, length: 120, depth: 40 },
  capacity: { from: 'dimensions' }
} as const;
const standIn = (kind: typeof dome | typeof box): CavityState =>
  emptyCavity('trial', cavityOf(kind as typeof dome, 'trial'), {});
const at = { stepId: 's', density: () => 1 };
const names = { cup: (id: string) => `cup ${id}`, part: (id: string) => id, cavities: 'knobs 1–6' };
const step = (id: string, act: Step['act'], more: Partial<Step> = {}): Step => ({
  id,
  act,
  where: ['roundels'],
  gates: [],
  ...more
});
const withSteps = (...steps: Step[]): Plan => ({ ...rockpool, steps: [...rockpool.steps, ...steps] });

describe('every act', () => {
  it.each(acts.all().map((a) => [a.kind, a] as const))('%s can be put in, read, said and timed', (_, a) => {
    const fresh = a.fresh('foam');
    expect(a.schema.safeParse(fresh).success).toBe(true);
    const words = a.words(fresh, names);
    for (const text of [a.name, words.title, words.act, words.confirm, words.hint]) {
      expect(text.trim()).toBe(text);
      expect(text).not.toMatch(/undefined|NaN|null|\[object| {2}/);
      expect(text.length).toBeGreaterThan(2);
    }
    const { attended, unattended } = a.hands(fresh, {}, 6);
    expect(attended).toBeGreaterThanOrEqual(0);
    expect(unattended).toBeGreaterThanOrEqual(0);
    expect(Number.isFinite(attended + unattended)).toBe(true);
    expect(ACT_GROUPS).toContain(a.group);
    // What it draws is what comes to lie there, and only what pours draws.
    const stand = pouredOn(standIn(box), 100, { stepId: 'bed', cupId: 'heron' });
    const { stand: after, draws } = a.apply(fresh, stand, at);
    const drawn = draws.reduce((s, d) => s + d.ml, 0);
    if (a.group === 'pour in') {
      expect(drawn).toBeGreaterThan(0);
      expect(filledMl(after) - filledMl(stand)).toBeCloseTo(drawn, 9);
      expect(a.cups(fresh)).toEqual(['foam']);
    } else expect(drawn).toBe(0);
  });

  it.each(acts.all().map((a) => [a.kind, a] as const))('%s takes another cup for a repeat', (_, a) => {
    const changed = a.changed(a.fresh('foam'), { cup: (id) => `${id}-2`, amount: { kind: 'volume', ml: 3 } });
    expect(a.schema.safeParse(changed).success).toBe(true);
    expect(a.cups(changed)).toEqual(a.cups(a.fresh('foam')).map((id) => `${id}-2`));
    if (a.amount) expect(a.amount(changed)).toEqual({ kind: 'volume', ml: 3 });
  });

  it('that pours fills any cavity by what it asks for, wherever it is poured', () => {
    const pouring = acts.all().filter((a) => a.group === 'pour in');
    fc.assert(
      fc.property(
        fc.constantFrom(...pouring),
        fc.constantFrom(dome, box),
        evenly(0.01, 0.5),
        (a, kind, share) => {
          const stand = standIn(kind);
          const act = a.changed(a.fresh('foam'), { amount: { kind: 'share', of: share } });
          const drawn = a.apply(act, stand, at).draws.reduce((s, d) => s + d.ml, 0);
          expect(drawn).toBeCloseTo(share * stand.cavity.capacity, 6);
        }
      )
    );
  });
});

describe('an act is found', () => {
  it('by a few letters of its name or of what a maker would call it', () => {
    expect(actsNamed('pud')[0]!.kind).toBe('puddle');
    expect(actsNamed('syringe')[0]!.kind).toBe('withdraw');
    expect(actsNamed('hearts')[0]!.kind).toBe('ribbon');
    expect(actsNamed('sea').map((a) => a.kind)).toContain('seal');
    expect(actsNamed('  ').length).toBe(acts.all().length);
    expect(actsNamed('xyzzy')).toEqual([]);
  });
});

describe('withdraw', () => {
  const withdraw = acts.find('withdraw')!;
  const full = pouredOn(pouredOn(standIn(box), 200, { stepId: 'a', cupId: 'foam' }), 100, {
    stepId: 'b',
    cupId: 'heron'
  });

  it('takes its ml, in proportion of what lies there, and nothing off what has to be mixed', () => {
    const { stand, problems } = withdraw.apply(
      { kind: 'withdraw', ml: 60, at: { x: 0, y: 0 } } as never,
      full,
      at
    );
    expect(problems).toEqual([]);
    expect(filledMl(stand)).toBeCloseTo(240, 9);
    expect(stand.layers.map((l) => l.toMl - l.fromMl)).toEqual([
      expect.closeTo(160, 9),
      expect.closeTo(80, 9)
    ]);
    expect(stand.layers.map((l) => l.each)).toEqual([200, 100]);
    expect(stand.layers.at(-1)!.to).toBeCloseTo(stand.whole.level, 9);
  });

  it('refuses more than there is, and its mend can be drawn out', () => {
    const { problems } = withdraw.apply({ kind: 'withdraw', ml: 301, at: { x: 0, y: 0 } } as never, full, at);
    expect(problems[0]).toMatchObject({ code: 'withdraws-too-much', level: 'stop' });
    const ml = fixesOf(problems[0]!)[0]!.edit.value as number;
    expect(withdraw.apply({ kind: 'withdraw', ml, at: { x: 0, y: 0 } } as never, full, at).problems).toEqual(
      []
    );
    const empty = withdraw.apply({ kind: 'withdraw', ml: 1, at: { x: 0, y: 0 } } as never, standIn(box), at);
    expect(empty.problems[0]!.fixes).toBeUndefined();
  });
});

describe('what is done after the pour', () => {
  it('waits for the mould, and for the zero that it names', () => {
    const plan = withSteps(
      step('out', { kind: 'demould' }),
      step(
        'seal',
        { kind: 'seal', times: 3, every: 240 },
        {
          gates: [{ id: 'dry', all: [{ kind: 'since', zero: { demoulded: 'roundels' }, minutes: 2880 }] }]
        }
      )
    );
    const { score, problems } = computePlan(plan, cards);
    const out = score.blocks.find((b) => b.stepId === 'out')!;
    const seal = score.blocks.filter((b) => b.stepId === 'seal');
    expect(out.from).toBeCloseTo(score.demould[0]!.from, 6);
    expect(seal[0]!.from).toBeCloseTo(out.to + 2880, 6);
    // Three coats four hours apart take the hands three times, and eight hours from the first to the last.
    expect(seal[0]!.to - seal[0]!.from).toBeCloseTo(3 * 6 * 1.5, 6);
    expect(seal[1]!.unattended).toBe(true);
    expect(seal[1]!.to - seal[1]!.from).toBeCloseTo(2 * (240 - 9), 6);
    expect(score.ends).toBeLessThan(out.from);
    expect(score.done).toBeCloseTo(seal[1]!.to, 6);
    expect(problems.filter((p) => p.path.includes('seal') || p.path.includes('out'))).toEqual([]);
  });

  it('comes after every turn of a mix that is made several times', () => {
    const plan: Plan = {
      ...withSteps(step('out', { kind: 'demould' })),
      mixes: rockpool.mixes.map((m) => ({ ...m, turns: 3 }))
    };
    const { score } = computePlan(plan, cards);
    const last = Math.max(...score.blocks.filter((b) => b.act === 'pour').map((b) => b.to));
    expect(score.blocks.find((b) => b.stepId === 'out')!.from).toBeGreaterThanOrEqual(last);
    expect(score.blocks.filter((b) => b.stepId === 'out')).toHaveLength(1);
  });
});

describe('a step that is left out for now', () => {
  it('draws nothing, takes no time, and comes back as it was', () => {
    const muted: Plan = {
      ...tideline,
      steps: tideline.steps.map((s) => (s.id === 'lay-heron' ? { ...s, muted: true as const } : s))
    };
    const without: Plan = { ...tideline, steps: tideline.steps.filter((s) => s.id !== 'lay-heron') };
    const [a, b] = [computePlan(muted, cards), computePlan(without, cards)];
    expect(a.groups).toEqual(b.groups);
    expect(a.score.blocks).toEqual(b.score.blocks);
    expect(a.totals).toEqual(b.totals);
    expect(a.lines.find((l) => l.stepId === 'lay-heron')!.line).toContain('heron');
    const splitMix = withSteps(step('pot', { kind: 'pressure', bar: 3, minutes: 480 }, { muted: true }));
    expect(computePlan(splitMix, cards).score).toEqual(computePlan(rockpool, cards).score);
  });
});

describe('a cup that is piped', () => {
  const lines = (how: string): Plan => ({
    ...rockpool,
    steps: [
      ...rockpool.steps.slice(0, 3),
      step(
        'lines',
        {
          kind: 'ribbon',
          cupId: 'black',
          amount: { kind: 'rim' },
          path: {
            points: [
              { x: -0.5, y: 0 },
              { x: 0.5, y: 0 }
            ]
          },
          width: 4,
          how
        },
        {
          gates: [{ id: 'thick', all: [{ kind: 'state', state: 'holds a line', of: { cup: 'black' } }] }],
          hands: { each: 0.5 }
        }
      )
    ]
  });
  const late = (how: string) =>
    computePlan(lines(how), cards).problems.filter(
      (p) => p.code === 'past-window' && p.path.includes('lines')
    );

  it('may be used until it sets; one that must level by itself may not', () => {
    expect(late('piped')).toEqual([]);
    expect(late('drawn thin')).toHaveLength(1);
    const window = (how: string) =>
      computePlan(lines(how), cards).score.windows.find((w) => w.cupId === 'black')!;
    expect(window('piped').to).toBeCloseTo(window('piped').gels, 9);
    expect(window('drawn thin').to).toBeLessThan(window('drawn thin').gels);
  });
});
