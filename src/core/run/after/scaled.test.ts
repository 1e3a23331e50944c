import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { rockpool, tideline } from '../../../../demo/plans';
import { computePlan, type Plan } from '../../plan';
import { scaledTo } from './scaled';

const roundel = { mouldId: 'roundel', cavityId: 'roundel', name: 'roundel', count: 3 };
const scaled = (plan: Plan, to = roundel) => scaledTo(plan, computePlan(plan, cards), to);
/** Shares of one cavity, layer by layer. */
const shares = (plan: Plan) => {
  const [group] = computePlan(plan, cards).groups;
  return group!.layers.map((l) => l.each / group!.capacity);
};

describe('a repeat in another mould', () => {
  it('fills every cavity in the same shares', () => {
    const after = scaled(tideline);
    expect(after.groups).toMatchObject([{ mouldId: 'roundel', count: 3 }]);
    expect(computePlan(after, cards).problems.filter((p) => p.level === 'stop')).toEqual([]);
    shares(after).forEach((share, i) => expect(share).toBeCloseTo(shares(tideline)[i]!, 2));
  });

  it('keeps recipes, gates and the order of its steps', () => {
    const after = scaled(rockpool, { mouldId: 'dome-knobs', cavityId: 'dome', name: 'knob', count: 6 });
    expect(after.cups).toEqual(rockpool.cups);
    expect(after.steps.map((s) => [s.id, s.gates])).toEqual(rockpool.steps.map((s) => [s.id, s.gates]));
    expect(computePlan(after, cards).totals.pieces).toBe(6);
  });
});
