import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { rockpool } from '../../../demo/plans';
import { foldRun, tasksOf } from '../run';
import { done } from '../run/run.testing';
import type { Plan, Step } from '../document';
import { mended, problemsOf } from './rules/mended.testing';
import { computePlan } from '.';

/** Small chips of one cup, cast in the dome mould, set into a roundel that another cup fills. */
const [chip, body] = rockpool.cups.map((c) => c.id) as [string, string];
const [outer] = rockpool.groups;
const step = (id: string, act: Step['act'] | { kind: string }, where: string): Step => ({
  id,
  act: act as Step['act'],
  where: [where],
  gates: []
});
const lay = (id: string, cupId: string, where: string, amount: object) =>
  step(id, { kind: 'lay', cupId, amount } as Step['act'], where);
const place = step(
  'set-in',
  { kind: 'place', embedId: 'inner', pieces: 1, at: { x: 0, y: 0 }, pressed: 0 } as Step['act'],
  outer!.id
);
const mould = cards.moulds.find((m) => m.cavities.some((c) => c.count > 3))!;
const inlay = (over: { share?: number; demould?: boolean; count?: number } = {}): Plan => ({
  ...rockpool,
  groups: [
    {
      ...outer!,
      embeds: [
        {
          id: 'inner',
          kind: 'casting',
          name: 'chip',
          groupId: 'chips',
          share: over.share ?? 1,
          each: 1,
          from: 0
        }
      ]
    },
    {
      id: 'chips',
      name: 'chips',
      mouldId: mould.id,
      cavityId: mould.cavities[0]!.id,
      count: over.count ?? outer!.count
    }
  ],
  steps: [
    lay('cast-chips', chip, 'chips', { kind: 'volume', ml: 2 }),
    ...(over.demould === false ? [] : [step('chips-out', { kind: 'demould' }, 'chips')]),
    place,
    lay('surround', body, outer!.id, { kind: 'rim' }),
    step('out', { kind: 'demould' }, outer!.id)
  ]
});
const surround = (plan: Plan) =>
  computePlan(plan, cards)
    .groups.find((g) => g.groupId === outer!.id)!
    .layers.at(-1)!.each;

describe('a casting set into another', () => {
  it('displaces exactly its own volume, or the share of it that is set in', () => {
    const bare = surround({ ...inlay(), groups: inlay().groups.map((g) => ({ ...g, embeds: [] })) });
    expect(bare - surround(inlay())).toBeCloseTo(2, 6);
    expect(bare - surround(inlay({ share: 0.25 }))).toBeCloseTo(0.5, 6);
  });

  it('has left its mould before it is set in, on the score and in the run', () => {
    const plan = inlay();
    const c = computePlan(plan, cards);
    const at = (stepId: string) => c.score.blocks.find((b) => b.stepId === stepId)!;
    const window = c.score.demould.find((d) => d.groupId === 'chips')!;
    expect(at('set-in').from).toBeGreaterThanOrEqual(window.from - 1e-9);
    expect(at('surround').from).toBeGreaterThanOrEqual(at('set-in').from);
    const tasks = tasksOf(plan, c);
    const ids = tasks.map((t) => t.id);
    expect(ids.indexOf('demould:chips')).toBeLessThan(ids.indexOf('do:set-in'));
    // With all but its demould done, it is not what comes next.
    const upTo = tasks.slice(0, ids.indexOf('demould:chips')).map((t, i) => done(t, i * 60_000));
    expect(foldRun(tasks, upTo, 0.01).now?.task.id).toBe('demould:chips');
  });

  it('is refused before it is out, with the mend; itself, or one that is not there', () => {
    const early = inlay({ demould: false });
    expect(problemsOf(early, {}, 'casting-not-out')[0]).toMatchObject({ level: 'stop', stepId: 'set-in' });
    mended(early, 'casting-not-out');
    const itself = inlay();
    const loop: Plan = {
      ...itself,
      groups: itself.groups.map((g) => ({
        ...g,
        embeds: (g.embeds ?? []).map((e) => ({ ...e, groupId: outer!.id }) as typeof e)
      }))
    };
    expect(problemsOf(loop, {}, 'casting-of-itself')).toHaveLength(1);
  });

  it('is cast as often as it is set in, or that is said', () => {
    const few = {
      ...inlay({ count: 1 }),
      groups: inlay({ count: 1 }).groups.map((g, i) => (i ? g : { ...g, count: 3 }))
    };
    const [short] = problemsOf(few, {}, 'castings-short');
    expect(short!.sentence).toMatch(/^1 casting of chip is made, and 3 are wanted/);
    mended(few, 'castings-short');
  });

  it('is sawn into as many as come whole out of one: four quarters, but one of three fifths', () => {
    const set = (share: number, count: number) => {
      const plan = inlay({ share, count });
      return { ...plan, groups: plan.groups.map((g, i) => (i ? g : { ...g, count: 4 })) };
    };
    expect(problemsOf(set(0.25, 1), {}, 'castings-short')).toEqual([]);
    expect(problemsOf(set(0.6, 3), {}, 'castings-short')).toHaveLength(1);
    expect(problemsOf(set(0.6, 4), {}, 'castings-short')).toEqual([]);
  });
});
