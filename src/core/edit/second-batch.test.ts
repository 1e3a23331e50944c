import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { shingle, tideline } from '../../../demo/plans';
import { applyEdit } from '../document/apply-edit';
import { TECHNIQUES } from '../pour';
import { applyTechnique } from './apply-technique';
import { computePlan, type Plan } from '../plan';
import { newPlan } from './new-plan';
import { splitAll } from '../document/mixing';
import { withNewCup } from './add-cup';
import { withSecondBatch } from './second-batch';

/** Four cups of one split mix, poured by a technique into one mould. */
function tried(techniqueId: string, kind: string, mouldId = 'roundel'): Plan {
  const base = cards.bases.find((b) => b.kind === kind)!;
  let plan: Plan = { ...newPlan('trial', 'Trial', cards, mouldId), steps: [] };
  plan = { ...plan, mixes: plan.mixes.map((m) => ({ ...m, baseId: base.id })) };
  for (let i = 1; i < 4; i++) plan = withNewCup(plan);
  return applyTechnique(splitAll(plan, base.id), cards, { techniqueId, groupId: 'group-1', keep: 'nothing' });
}
const late = (plan: Plan) => computePlan(plan, cards).problems.filter((p) => p.code === 'past-window');
const byId = (plan: Plan, id: string) => plan.cups.find((c) => c.id === id)!;

describe('a second batch', () => {
  const plan = tried('banded-stones', 'gypsum');
  const poured = plan.steps.filter((s) => s.act.kind === 'lay');
  const second = withSecondBatch(plan, new Set([poured[4]!.id]))!;
  const cupOf = (p: Plan, i: number) =>
    byId(p, (p.steps.find((s) => s.id === poured[i]!.id)!.act as unknown as { cupId: string }).cupId);

  it('is the same cup once more, from a mix of its own, for those steps alone', () => {
    expect(cupOf(second, 0)).toEqual(cupOf(plan, 0));
    const again = cupOf(second, 4);
    const before = cupOf(plan, 4);
    expect(again.id).not.toBe(before.id);
    expect(again).toMatchObject({ recipe: before.recipe, name: `${before.name} 2` });
    expect(new Set(second.cups.map((c) => c.letter)).size).toBe(plan.cups.length + 1);
    expect(second.mixes).toHaveLength(2);
    expect(second.mixes[1]).toMatchObject({ baseId: plan.mixes[0]!.baseId, feeds: 'one cup' });
    expect(again.from).toEqual({ mix: second.mixes[1]!.id });
  });

  it('keeps nothing back of it, and mixes no more of it than is poured', () => {
    const kept: Plan = { ...plan, cups: plan.cups.map((c) => ({ ...c, reserve: 20, atLeast: 300 })) };
    const again = withSecondBatch(kept, new Set([poured[4]!.id]))!.cups.at(-1)!;
    expect([again.reserve, again.atLeast]).toEqual([undefined, undefined]);
  });

  it('takes over a cup that nothing else pours', () => {
    const layers = tried('layers', 'resin');
    const last = layers.steps.findLast((s) => s.act.kind === 'lay')!;
    const own = withSecondBatch(layers, new Set([last.id]))!;
    expect(own.cups.map((c) => c.letter)).toEqual(layers.cups.map((c) => c.letter));
    expect(own.mixes).toHaveLength(2);
    // And is nothing new where that cup is mixed by itself already.
    expect(withSecondBatch(own, new Set([last.id]))).toBeUndefined();
  });

  it('brings the cups that a jug is poured together from', () => {
    const swirled = tried('cup-swirl', 'resin');
    const step = swirled.steps.find((s) => s.act.kind === 'swirl')!;
    const also: Plan = { ...swirled, steps: [...swirled.steps, { ...step, id: 'again' }] };
    const made = withSecondBatch(also, new Set(['again']))!;
    const jug = byId(made, (made.steps.at(-1)!.act as unknown as { cupId: string }).cupId);
    const first = byId(made, (step.act as unknown as { cupId: string }).cupId);
    expect('cups' in jug.from && jug.from.cups.map((p) => p.share)).toEqual(
      'cups' in first.from && first.from.cups.map((p) => p.share)
    );
    const ids = (c: typeof jug) => ('cups' in c.from ? c.from.cups.map((p) => p.cupId) : []);
    expect(ids(jug).some((id) => ids(first).includes(id))).toBe(false);
    // One mix for all of them, split as the first is.
    expect(new Set(ids(jug).map((id) => JSON.stringify(byId(made, id).from))).size).toBe(1);
    expect(made.mixes.at(-1)!.feeds).toBe('split');
  });

  it('is nothing where no letter is left', () => {
    let full = plan;
    while (full.cups.length < 26) full = withNewCup(full);
    expect(withSecondBatch(full, new Set([poured[4]!.id]))).toBeUndefined();
  });

  it('mends a pour past its window, once for each', () => {
    // Six stones, so that no mix comes to less than can be stirred.
    let mended: Plan = { ...plan, groups: plan.groups.map((g) => ({ ...g, count: 6 })) };
    expect(late(mended).length).toBeGreaterThanOrEqual(3);
    for (let before = Infinity; late(mended).length;) {
      const [problem, ...others] = late(mended);
      expect(others.length + 1).toBeLessThan(before);
      before = others.length + 1;
      expect(problem!.edit, problem!.path).toBeDefined();
      mended = applyEdit(mended, problem!.edit!);
    }
    expect(late(mended)).toEqual([]);
  });
});

describe('a technique that goes on the next day', () => {
  it.each(
    TECHNIQUES.flatMap((t) =>
      [
        'hearts-bloom',
        'drizzle-and-brush',
        'suspended-inclusions',
        'region-inlay-crisp',
        'embeds-and-piped-top'
      ].includes(t.id)
        ? [t.id]
        : []
    )
  )('%s pours what comes later from a batch of its own, inside its window', (id) => {
    const plan = tried(id, id === 'embeds-and-piped-top' ? 'soap' : 'resin');
    expect(plan.mixes.length).toBeGreaterThan(1);
    expect(late(plan)).toEqual([]);
  });
});

it('layers days apart in one casting are no clash of its demoulding', () => {
  const plan = tried('region-inlay-crisp', 'resin');
  const { problems, score } = computePlan(plan, cards);
  expect(problems.map((p) => p.code)).not.toContain('demould-clash');
  expect(score.demould[0]!.lastPour).toBeGreaterThan(3 * 24 * 60);
});

it('a region is milled once the one before it has cured, not only the ground under both', () => {
  const plan = tried('region-inlay-crisp', 'resin');
  const soft = (p: Plan) =>
    computePlan(p, cards).problems.flatMap((x) => (x.code === 'refilled-soft' ? [x.path] : []));
  expect(soft(plan)).toEqual([]);
  const regions = plan.steps.filter((s) => s.act.kind === 'region');
  const hurried: Plan = {
    ...plan,
    steps: plan.steps.map((s) =>
      s.id === regions[1]!.id
        ? {
            ...s,
            gates: s.gates.map((g) => ({
              ...g,
              all: g.all.map((c) => (c.kind === 'since' ? { ...c, minutes: 30 } : c))
            }))
          }
        : s
    )
  };
  expect(soft(hurried)).toEqual([`plan/steps/${regions[1]!.id}`]);
});

it('a pour too slow for its cup is offered in more mixes, as many as it takes and no more', () => {
  const slow: Plan = {
    ...shingle,
    mixes: shingle.mixes.map((m) => ({ ...m, turns: 1 })),
    steps: shingle.steps.map((s) => (s.id === 'lay-shingle' ? { ...s, hands: { each: 4 } } : s))
  };
  const [problem] = late(slow);
  expect(problem!.mend).toBe('Make it in 4 mixes, for fewer cavities each');
  const turns = (n: number) => applyEdit(slow, { ...problem!.edit!, value: n });
  expect(late(turns(3)).length).toBeGreaterThan(0);
  const mended = applyEdit(slow, problem!.edit!);
  expect(late(mended)).toEqual([]);
  const twice: Plan = {
    ...tideline,
    mixes: tideline.mixes.map((m) => ({ ...m, turns: 1 })),
    steps: tideline.steps.map((s) => (s.id === 'lay-mudflat' ? { ...s, hands: { each: 8 } } : s))
  };
  // Half of it each time is less to weigh: what that brings is mended with it.
  expect(late(twice)[0]!.mend).toMatch(/^Make it in 2 mixes, for fewer cavities each/);
  const kinds = (p: Plan) => new Set(computePlan(p, cards).problems.map((x) => x.code));
  for (const code of kinds(mended)) expect(kinds(slow)).toContain(code);
});
