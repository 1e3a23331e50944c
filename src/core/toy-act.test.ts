import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { z } from 'zod';
import { cards } from '../../demo/cards';
import { rockpool, tideline } from '../../demo/plans';
import { computePlan, Plan, type Computed } from './plan';
import { mixed } from './plan/plans.testing';
import { factsOf, foldRun, freeze, planFromRun, usesOf, type RunEvent } from './run';
import { acts, ActRegistry, lay, pouredOn, type ActDefinition } from './pour';

/** An act that no other file knows: drips so many ml from a cup into each cavity. */
const Drip = z.object({ kind: z.literal('drip'), from: z.string(), ml: z.number().positive() });
type Drip = z.infer<typeof Drip>;
const drip: ActDefinition<Drip> = {
  kind: 'drip',
  name: 'drip',
  group: 'pour in',
  schema: Drip,
  fresh: (cupId) => ({ kind: 'drip', from: cupId, ml: 1 }),
  cups: (act) => [act.from],
  changed: (act, { cup, amount }) => ({
    ...act,
    ...(cup ? { from: cup(act.from) } : {}),
    ...(amount?.kind === 'volume' ? { ml: amount.ml } : {})
  }),
  apply: (act, stand, step) => ({
    stand: pouredOn(stand, act.ml, { stepId: step.stepId, cupId: act.from }),
    draws: [{ cupId: act.from, ml: act.ml }],
    problems: []
  }),
  hands: (_, __, count) => ({ attended: 0.25 * count, unattended: 0 }),
  words: (act, { cup, cavities }) => ({
    title: `drip ${act.ml} ml of ${cup(act.from)}`,
    act: 'Drip',
    rest: `${cup(act.from)} into ${cavities}`,
    hint: 'from a pin',
    confirm: 'Dripped'
  })
};

/** Another that draws nothing and keeps the hands. */
const Hum = z.object({ kind: z.literal('hum'), minutes: z.number() });
const hum: ActDefinition<z.infer<typeof Hum>> = {
  ...(drip as unknown as ActDefinition<z.infer<typeof Hum>>),
  kind: 'hum',
  name: 'hum',
  group: 'move',
  schema: Hum,
  fresh: () => ({ kind: 'hum', minutes: 1 }),
  cups: () => [],
  apply: (_, stand) => ({ stand, draws: [], problems: [] }),
  hands: (act) => ({ attended: act.minutes, unattended: 0 }),
  words: (act) => ({
    title: `hum ${act.minutes} min`,
    act: 'Hum',
    rest: 'a tune',
    hint: 'low',
    confirm: 'Hummed'
  })
};

const step = (id: string, act: Record<string, unknown> & { kind: string }, where = ['knobs']) => ({
  id,
  act,
  where,
  gates: []
});
const withDrip: Plan = {
  ...tideline,
  steps: [
    tideline.steps[0]!,
    step('drip-1', { kind: 'drip', from: 'heron', ml: 0.5 }),
    step('hum-1', { kind: 'hum', minutes: 4 }),
    ...tideline.steps.slice(1)
  ]
};

describe('an act that only this file knows', () => {
  let c: Computed;
  let before: Computed;
  beforeAll(() => {
    acts.add(drip).add(hum);
    c = computePlan(withDrip, cards);
    before = computePlan(tideline, cards);
  });
  afterAll(() => {
    acts.remove('drip');
    acts.remove('hum');
  });

  it('is read by the plan’s schema, and refused at its own field', () => {
    expect(Plan.safeParse(withDrip).success).toBe(true);
    const bad = { ...withDrip, steps: [step('d', { kind: 'drip', from: 'heron', ml: -1 })] };
    const read = Plan.safeParse(bad);
    expect(read.success).toBe(false);
    expect(read.error!.issues[0]!.path).toEqual(['steps', 0, 'act', 'ml']);
  });

  it('is planned: it lies in the cavity, and what comes after it lies on it', () => {
    const layers = c.groups[0]!.layers;
    expect(layers.map((l) => l.stepId)).toEqual(['lay-mudflat', 'drip-1', 'lay-heron', 'lay-foam']);
    expect(layers[1]!.each).toBe(0.5);
    expect(layers[2]!.fromMl).toBeCloseTo(layers[1]!.toMl, 12);
    expect(layers[2]!.each).toBeCloseTo(before.groups[0]!.layers[1]!.each - 0.5, 9);
  });

  it('is drawn from its cup, to the gram', () => {
    const heron = c.cups.find((x) => x.cupId === 'heron')!;
    expect(heron.balance.pouredMl).toBeCloseTo(before.cups[1]!.balance.pouredMl, 9);
    const own = heron.mixes.flatMap((m) => m.pours.filter((p) => p.pourId === 'drip-1'));
    expect(own.reduce((s, p) => s + p.count, 0)).toBe(6);
    // The same out of a mix that is split.
    const split = computePlan(mixed(withDrip, 'split'), cards);
    expect(split.totals.balance.poured).toBeCloseTo(c.totals.balance.poured, 1);
  });

  it('is scored with its own minutes, attended or not', () => {
    const dripping = c.score.blocks.filter((b) => b.stepId === 'drip-1');
    expect(dripping.reduce((s, b) => s + b.to - b.from, 0)).toBeCloseTo(6 * 0.25, 9);
    const humming = c.score.blocks.find((b) => b.stepId === 'hum-1')!;
    expect(humming.to - humming.from).toBe(4);
    expect(humming.label).toBe('hum 4 min');
    expect(c.score.ends).toBeGreaterThan(before.score.ends + 4);
  });

  it('is listed in its own words', () => {
    expect(c.lines.find((l) => l.stepId === 'drip-1')).toMatchObject({
      line: 'drip 0.5 ml of B heron',
      act: 'Drip',
      confirm: 'Dripped'
    });
  });

  it('is run, recorded and repeated', () => {
    const frozen = freeze(withDrip, cards);
    const tasks = frozen.tasks;
    const pour = tasks.find((t) => t.id === 'pour:drip-1')!;
    expect(pour).toMatchObject({ kind: 'pour', act: 'Drip', how: 'from a pin', mlEach: 0.5, count: 6 });
    expect(tasks.find((t) => t.id === 'do:hum-1')).toMatchObject({
      attended: 4,
      act: 'Hum',
      confirm: 'Hummed'
    });
    const events = tasks.map((t, i): RunEvent => {
      const at = 1_000_000 + i * 60_000;
      const id = `toy-${String(i).padStart(6, '0')}`;
      if (t.kind === 'weigh') return { id, at, type: 'weighed', task: t.id, grams: t.grams };
      const took = t.kind === 'pour' && t.id === pour.id ? { grams: t.gramsEach * t.count * 2 } : {};
      return { id, at, type: 'done', task: t.id, ...took };
    });
    const state = foldRun(tasks, events, 0.01);
    expect(state.now).toBeUndefined();
    const fact = factsOf(frozen.computed, state).find((f) => f.id === 'pour:drip-1')!;
    expect(fact.actual! / fact.planned).toBeCloseTo(2, 6);
    expect(usesOf(state).some((u) => u.key === 'colourant:blue-paste')).toBe(true);
    const again = planFromRun(withDrip, frozen.computed, state, { id: 'again', name: 'again' });
    expect(again.steps[1]!.act).toMatchObject({ kind: 'drip', ml: 1 });
  });
});

describe('the registry', () => {
  it('refuses a definition that lacks something, and a kind that is taken', () => {
    const { words: _, ...wordless } = drip;
    expect(() => new ActRegistry().add(wordless as typeof drip)).toThrow('lacks words');
    expect(() => new ActRegistry().add(drip).add(drip)).toThrow('there already');
    expect(acts.find('drip')).toBeUndefined();
    expect(acts.find('lay')).toBe(lay);
  });

  it('says of an act that nobody knows where it stands, and plans the rest', () => {
    const plan: Plan = {
      ...rockpool,
      steps: [...rockpool.steps, step('odd', { kind: 'juggle' }, ['roundels'])]
    };
    const c = computePlan(plan, cards);
    expect(c.problems.find((p) => p.code === 'act-unknown')).toMatchObject({
      path: 'plan/steps/odd/act',
      level: 'stop'
    });
    expect(c.groups[0]!.layers).toHaveLength(4);
    expect(Plan.safeParse(plan).success).toBe(true);
  });
});

describe('every act of the registry', () => {
  it.each(acts.all().map((a) => [a.kind, a] as const))('%s begins as its own schema takes it', (_, act) => {
    const fresh = act.fresh('heron');
    expect(act.schema.safeParse(fresh).success).toBe(true);
    expect(act.cups(fresh).every((id) => id === 'heron')).toBe(true);
  });
});
