import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import * as demo from '../../../demo/plans';
import { applyEdit } from '../document/apply-edit';
import { cureOf } from '../cure';
import { computePlan, type Plan } from '../plan';
import { type Condition, type Gate } from '../document';
import { atBench, layer, pourAlone, ungated } from '../plan/plans.testing';

const tideline = pourAlone(demo.tideline);

const HERON = 'lay-heron';
const GATE = 'gate-heron';

/** Tideline with one gate, of the given conditions, before its second layer. */
const gated = (all: Condition[], notAfter?: Gate['notAfter']): Plan => {
  const plain = ungated(tideline, 'lay-foam');
  const gate = { id: GATE, all, ...(notAfter ? { notAfter } : {}) };
  return { ...plain, steps: plain.steps.map((s) => (s.id === HERON ? { ...s, gates: [gate] } : s)) };
};
const played = (plan: Plan) => {
  const { score, problems } = computePlan(plan, cards);
  const pour = score.blocks.find((b) => b.act === 'pour' && b.stepId === 'lay-mudflat')!;
  const window = score.windows.find((w) => w.cupId === 'mudflat')!;
  return { score, gate: score.gates[0], problems, poured: pour.to, met: window.zero, coloured: window.from };
};
const since = (zero: Extract<Condition, { kind: 'since' }>['zero'], minutes: number): Condition => ({
  kind: 'since',
  zero,
  minutes
});
const gelled: Condition = { kind: 'state', state: 'gelled', of: 'layer below' };

describe('a gate on the score', () => {
  it('counts each of its times from the zero it names', () => {
    const step = played(gated([since({ stepDone: 'lay-mudflat' }, 30)]));
    expect(step.gate!.opens).toBeCloseTo(step.poured + 30, 9);
    const met = played(gated([since({ mixMet: 'mudflat' }, 30)]));
    expect(met.gate!.opens).toBeCloseTo(met.met + 30, 9);
    const coloured = played(gated([since({ cupColoured: 'mudflat' }, 30)]));
    expect(coloured.gate!.opens).toBeCloseTo(coloured.coloured + 30, 9);
    expect(new Set([step.gate!.opens, met.gate!.opens, coloured.gate!.opens]).size).toBe(3);
  });

  it('opens with the last of several conditions, whichever that is', () => {
    const first = played(gated([since({ mixMet: 'mudflat' }, 200), gelled])).gate!;
    const last = played(gated([since({ mixMet: 'mudflat' }, 5), gelled])).gate!;
    const alone = played(gated([gelled])).gate!;
    expect(last.opens).toBeCloseTo(alone.opens, 9);
    expect(last.reckoned).toBe('estimate');
    expect(first.opens).toBeGreaterThan(alone.opens);
    expect(first).toMatchObject({ minutes: 200, reckoned: 'plan' });
    const turned = played(gated([gelled, since({ mixMet: 'mudflat' }, 200)])).gate!;
    expect(turned.opens).toBeCloseTo(first.opens, 9);
    expect(first.conditions.map((c) => c.minutes)).toEqual([200, expect.closeTo(alone.minutes, 6)]);
    expect(first.state).toBe(first.conditions.map((c) => c.words).join(' and '));
  });

  it('never opens before it is come to', () => {
    const { gate, poured } = played(gated([since({ mixMet: 'mudflat' }, 0.5)]));
    expect(gate!.opens).toBeGreaterThanOrEqual(poured - 1e-9);
    expect(gate!.opens).toBeCloseTo(gate!.from, 9);
  });

  it('takes no time for what only looking tells, and says it all the same', () => {
    const { gate, poured } = played(
      gated([
        { kind: 'checked', words: 'no bubble rises' },
        { kind: 'clock', at: '08:30' }
      ])
    );
    expect(gate!.opens - gate!.from).toBeCloseTo(0, 9);
    expect(gate!.from).toBeCloseTo(poured, 9);
    expect(gate!.conditions.every((c) => c.minutes === undefined)).toBe(true);
    expect(gate!.state).toMatch(/no bubble rises and .*08:30/);
  });

  it('of the state of a cup follows the cup’s own mass, not the layer’s depth', () => {
    const cup = played(gated([{ kind: 'state', state: 'gelled', of: { cup: 'mudflat' } }]));
    const out = computePlan(gated([gelled]), cards).cups.find((c) => c.cupId === 'mudflat')!;
    const base = cards.bases.find((b) => b.id === 'clear-quick')!;
    const own = cureOf(base.openMinutes, { cup: out.mixes[0]!.balance.mixed }, 21).begins.gelled;
    expect(cup.gate!.minutes).toBeCloseTo(own, 6);
    expect(cup.gate!.opens).toBeCloseTo(cup.met + own, 6);
  });

  it('waits for a warmth that comes, and says of one that never does', () => {
    const probe = (celsius: number): Condition => ({ kind: 'probe', of: { cup: 'mudflat' }, celsius });
    const warm = played(gated([probe(21.2)]));
    expect(warm.gate!.reckoned).toBe('estimate');
    expect(warm.gate!.opens).toBeGreaterThan(warm.met);
    expect(warm.problems.map((p) => p.code)).not.toContain('probe-never');
    const hot = played(gated([probe(200)]));
    const said = hot.problems.find((p) => p.code === 'probe-never')!;
    expect(said.path).toBe(`plan/steps/${HERON}/gates/${GATE}/all/0/celsius`);
    expect(hot.gate!.opens - hot.gate!.from).toBeCloseTo(0, 9);
  });

  it('says when its own minutes are far under the estimate, and its mend is the estimate', () => {
    const estimate = played(gated([gelled])).gate!.minutes;
    const own = (minutes: number) => played(gated([{ ...gelled, minutes } as Condition])).problems;
    expect(own(estimate * 0.81).map((p) => p.code)).not.toContain('gate-early');
    const early = own(estimate * 0.79).find((p) => p.code === 'gate-early')!;
    expect(early.edit).toEqual({
      path: ['steps', HERON, 'gates', GATE, 'all', 0, 'minutes'],
      value: Math.ceil(estimate)
    });
    const mended = applyEdit(gated([{ ...gelled, minutes: estimate * 0.79 } as Condition]), early.edit!);
    expect(computePlan(mended, cards).problems.map((p) => p.code)).not.toContain('gate-early');
  });

  it('says when it opens only after the latest its step may be done, and by how much', () => {
    const zero = { stepDone: 'lay-mudflat' };
    const at = (latest: number) => played(gated([since(zero, 60)], { zero, minutes: latest })).problems;
    expect(at(61).map((p) => p.code)).not.toContain('gate-late');
    expect(at(60).map((p) => p.code)).not.toContain('gate-late');
    const late = at(45).find((p) => p.code === 'gate-late')!;
    expect(late.sentence).toMatch(/15 min later/);
    expect(late.path).toBe(`plan/steps/${HERON}/gates/${GATE}/notAfter`);
  });

  it('of a layer that is not there, or a step that has not been, is no gate', () => {
    const first = ungated(ungated(tideline, HERON), 'lay-foam');
    const steps = first.steps.map((s, i) => (i ? s : { ...s, gates: [{ id: 'early', all: [gelled] }] }));
    expect(computePlan({ ...first, steps }, cards).score.gates).toEqual([]);
    expect(played(gated([since({ stepDone: 'lay-foam' }, 30)])).gate).toBeUndefined();
  });

  it('moves everything after it by as much as it waits', () => {
    const ends = (minutes: number) => played(gated([since({ stepDone: 'lay-mudflat' }, minutes)])).score.ends;
    expect(ends(90) - ends(60)).toBeCloseTo(30, 9);
  });
});

describe('a cup of cups on the score', () => {
  const jug = {
    id: 'jug',
    letter: 'E',
    hatch: 'plain',
    name: 'swirl jug',
    from: {
      cups: [
        { cupId: 'heron', share: 0.75 },
        { cupId: 'foam', share: 0.25 }
      ]
    },
    recipe: []
  } as const;
  const swirl = {
    ...tideline,
    cups: [...tideline.cups, jug],
    steps: [
      layer('bed', 'mudflat', 'knobs', { kind: 'to share', of: 0.5 }),
      layer('swirl', 'jug', 'knobs', { kind: 'rim' })
    ]
  } as unknown as Plan;

  it('takes half a minute for each cup it is filled from, and lasts as long as the first of them', () => {
    const { blocks, windows } = computePlan(swirl, cards).score;
    const fill = blocks.find((b) => b.act === 'fill')!;
    expect(fill.to - fill.from).toBeCloseTo(1, 9);
    const of = (cupId: string) => windows.find((w) => w.cupId === cupId)!;
    expect(of('jug').from).toBeCloseTo(fill.to, 9);
    expect(of('jug').zero).toBe(Math.min(of('heron').zero, of('foam').zero));
    expect(of('jug').to).toBe(Math.min(of('heron').to, of('foam').to));
    expect(of('jug').gels).toBe(Math.min(of('heron').gels, of('foam').gels));
  });
});

describe('cavities of one group that are poured apart', () => {
  it('leave their mould together, counted from the last of them', () => {
    const plan = applyEdit(tideline, {
      path: ['groups', 'knobs', 'variations'],
      value: [{ id: 'v', stepId: 'lay-foam', cavities: [1], change: { skip: true } }]
    });
    const { score } = computePlan(plan, cards);
    const pours = score.blocks.filter((b) => b.act === 'pour');
    expect(score.demould).toHaveLength(1);
    expect(score.demould[0]!.lastPour).toBeCloseTo(Math.max(...pours.map((b) => b.to)), 9);
  });
});

describe('hands on the score', () => {
  const score = (plan: Plan) => computePlan(plan, cards).score;

  it('do one thing at a time, in order, and end with the last', () => {
    const { blocks, ends } = score(tideline);
    for (const [i, b] of blocks.entries()) {
      expect(b.to).toBeGreaterThan(b.from);
      if (i) expect(b.from).toBeGreaterThanOrEqual(blocks[i - 1]!.to - 1e-9);
    }
    expect(ends).toBeCloseTo(blocks.at(-1)!.to, 9);
  });

  it('take half a minute a weighing, the clock starting with the last of the parts', () => {
    const { blocks, windows } = score(tideline);
    const [parts, colour, stir] = blocks.filter((b) => b.cupId === 'mudflat');
    expect(parts!.to - parts!.from).toBeCloseTo(2 * 0.5, 9);
    expect(colour!.to - colour!.from).toBeCloseTo(2 * 0.5, 9);
    expect(stir!.to - stir!.from).toBeCloseTo(
      cards.bases.find((b) => b.id === 'clear-quick')!.stirMinutes,
      9
    );
    const window = windows.find((w) => w.cupId === 'mudflat')!;
    expect(window.zero).toBeCloseTo(parts!.to, 9);
    expect(window.from).toBeCloseTo(stir!.to, 9);
    expect(window.gels).toBeGreaterThan(window.to);
  });

  it('take longer over more cavities, by each one’s minutes', () => {
    const pour = (each: number) => {
      const plan = applyEdit(tideline, { path: ['steps', 'lay-mudflat', 'hands', 'each'], value: each });
      const block = score(plan).blocks.find((b) => b.act === 'pour' && b.stepId === 'lay-mudflat')!;
      return block.to - block.from;
    };
    expect(pour(2)).toBeCloseTo(12, 9);
    expect(pour(0.25)).toBeCloseTo(1.5, 9);
  });

  it('are told, once a step, when a pour ends past its cup’s window', () => {
    // In one mix, whatever it takes: else a slow pour is shared among several.
    const once = applyEdit(tideline, { path: ['mixes', 'mix-heron', 'turns'], value: 1 });
    const slow = (each: number) =>
      computePlan(
        applyEdit(once, { path: ['steps', 'lay-heron', 'hands', 'each'], value: each }),
        cards
      ).problems.filter((p) => p.code === 'past-window');
    const w = score(once).windows.find((x) => x.cupId === 'heron')!;
    const spare = (w.to - w.from) / 6;
    expect(slow(spare * 0.99)).toEqual([]);
    expect(slow(spare * 1.01).map((p) => p.path)).toEqual(['plan/steps/lay-heron']);
  });

  it('demould once every layer is firm and the card’s hours are over, within the earliest late edge', () => {
    const [window] = score(tideline).demould;
    const hours = cards.bases.find((b) => b.id === 'clear-quick')!.demouldHours;
    expect(window!.from - window!.lastPour).toBeGreaterThanOrEqual(hours.from * 60 - 1e-9);
    expect(window!.to).toBeGreaterThanOrEqual(window!.from);
    const cold = score(atBench(tideline, { roomCelsius: 10 })).demould[0]!;
    expect(cold.from - cold.lastPour).toBeGreaterThanOrEqual(window!.from - window!.lastPour - 1e-9);
  });
});
