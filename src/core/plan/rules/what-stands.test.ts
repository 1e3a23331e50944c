import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import * as demo from '../../../../demo/plans';
import type { Plan, Step } from '../../document';
import { cavityOf, type Embed, type EmbedLook } from '../../mould';
import { pourAlone } from '../plans.testing';
import { mended, problemsOf } from './mended.testing';

const rockpool = pourAlone(demo.rockpool);
const group = rockpool.groups[0]!.id;
const step = (id: string, act: { kind: string }): Step => ({ id, act, where: [group], gates: [] });
const kind = cards.moulds.find((m) => m.id === rockpool.groups[0]!.mouldId)!.cavities[0]!;
const [cupA, cupB] = rockpool.cups.map((c) => c.id) as [string, string];

describe('a tool and what was set in', () => {
  const stone: Embed = {
    id: 'stone',
    kind: 'object',
    name: 'pebble',
    each: 1,
    grams: 1,
    density: 2.5,
    from: 0,
    height: 4
  };
  const across = (x: number, depth = 'full') =>
    step('stroke', {
      kind: 'drag',
      tool: 'stick',
      path: {
        points: [
          { x, y: -0.8 },
          { x, y: 0.8 }
        ]
      },
      depth,
      width: 3,
      strength: 0.5,
      strokes: 1
    } as Step['act']);
  const set = step('set', {
    kind: 'place',
    embedId: 'stone',
    pieces: 1,
    at: { x: 0, y: 0 },
    pressed: 4
  } as Step['act']);
  const planned = (...more: Step[]): Plan => {
    const at = rockpool.steps.findLastIndex((s) => s.act.kind === 'puddle') + 1;
    return {
      ...rockpool,
      groups: rockpool.groups.map((g) => ({ ...g, embeds: [stone] })),
      steps: rockpool.steps.toSpliced(at, 0, ...more)
    };
  };
  const told = (plan: Plan) => problemsOf(plan, {}, 'crosses-embed');

  it('is said to take it along, with its name, and is drawn before it instead', () => {
    const plan = planned(set, across(0.02));
    expect(told(plan)[0]).toMatchObject({ stepId: 'stroke', level: 'warn' });
    expect(told(plan)[0]!.sentence).toContain('pebble');
    const after = mended(plan, 'crosses-embed');
    const order = after.steps.map((s) => s.id);
    expect(order.indexOf('stroke')).toBeLessThan(order.indexOf('set'));
  });

  it('meets it as far as it reaches: a ball of 6.9 mm, a thread of 20', () => {
    // The stroke is 3 mm wide, and the roundel 45 mm from its middle.
    const at = (mm: number, look?: EmbedLook) => {
      const plan = planned(set, across(mm / 45));
      return told({ ...plan, groups: plan.groups.map((g) => ({ ...g, embeds: [{ ...stone, look }] })) });
    };
    expect([at(8).length, at(9)]).toEqual([1, []]);
    const thread: EmbedLook = { outline: 'thread', lies: 'flat', colours: ['#e58fa5'] };
    expect([at(19, thread).length, at(24, thread)]).toEqual([1, []]);
  });

  it('is nothing beside it, over it, or before it', () => {
    expect(told(planned(set, across(0.6)))).toEqual([]);
    expect(told(planned(across(0.02), set))).toEqual([]);
    const flat: Embed = { ...stone, height: 0.5 };
    const sunk = planned(
      { ...set, act: { ...set.act, pressed: 60 } as Step['act'] },
      across(0.02, 'surface')
    );
    expect(told({ ...sunk, groups: sunk.groups.map((g) => ({ ...g, embeds: [flat] })) })).toEqual([]);
  });
});

describe('a line that parts two colours', () => {
  const area = cavityOf(kind, '').geometry.areaAt(0);
  const line = (height: number) =>
    step('line', {
      kind: 'barrier',
      of: 'clay',
      path: {
        points: [
          { x: -1, y: 0 },
          { x: 1, y: 0 }
        ]
      },
      height
    } as Step['act']);
  const beside = (id: string, cupId: string, y: number, ml: number) =>
    step(id, {
      kind: 'puddle',
      cupId,
      at: { x: 0, y },
      from: 'low',
      amount: { kind: 'volume', ml }
    } as Step['act']);
  const over = step('over', { kind: 'lay', cupId: cupA, amount: { kind: 'rim' } } as Step['act']);
  const planned = (height: number, one: number, other: number): Plan => ({
    ...rockpool,
    steps: [line(height), beside('one', cupA, 0.5, one), beside('other', cupB, -0.5, other), over]
  });
  const told = (plan: Plan) => problemsOf(plan, {}, 'barrier-overrun');
  /** ml on one side that stand so high, mm: half the ground. */
  const ml = (mm: number) => (mm * area) / 2000;

  it('is overrun by a side that stands higher than it, by its own figures', () => {
    expect(area).toBeGreaterThan(0);
    const plan = planned(3, ml(3.6), ml(2));
    expect(told(plan)).toHaveLength(1);
    expect(told(plan)[0]).toMatchObject({ stepId: 'one' });
    expect(told(plan)[0]!.sentence).toMatch(/3\.6/);
    mended(plan, 'barrier-overrun');
  });

  it('holds what stands below it, and no longer has to once both stand as high', () => {
    expect(told(planned(3, ml(2.9), ml(2.9)))).toEqual([]);
    expect(told(planned(3, ml(3), ml(3.5)))).toEqual([]);
    expect(told(planned(3, ml(1), ml(3.5)))).toHaveLength(1);
  });
});
