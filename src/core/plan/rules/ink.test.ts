import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { rockpool } from '../../../../demo/plans';
import type { Cup, Plan, Step } from '../../document';
import { applyEdit } from '../../document/apply-edit';
import { metricWords } from '../../quantity';
import { computePlan } from '../compute';
import { atBench, layer } from '../plans.testing';

const ink = cards.colourants.find((c) => c.form === 'ink')!;
const white = cards.colourants.find((c) => c.id === 'white-paste')!;
const groupId = rockpool.groups[0]!.id;
const cup = (id: string, letter: string, from: Cup['from'], colourantId?: string): Cup => ({
  id,
  letter,
  hatch: letter === 'A' ? 'slant' : letter === 'B' ? 'dots' : letter === 'C' ? 'weave' : 'plain',
  name: id,
  from,
  recipe: colourantId ? [{ id: `${id}-colour`, colourantId, percent: 1, of: 'supplied' }] : []
});
const mix = { id: 'mix', baseId: 'clear-slow', feeds: 'split' as const };
const own = { mix: 'mix' };
const half = (a: string, b: string): Cup['from'] => ({
  cups: [
    { cupId: a, share: 0.5 },
    { cupId: b, share: 0.5 }
  ]
});

/** A cup with ink, straight or at the bottom of one or two cups made of cups, and a pale one. */
function inked(deep: 0 | 1 | 2, steps: (dark: string) => Step[]): Plan {
  const cups = [
    cup('inked', 'A', own, ink.id),
    cup('clear', 'B', own),
    cup('pale', 'C', own, white.id),
    ...(deep > 0 ? [cup('jug', 'D', half('inked', 'clear'))] : []),
    ...(deep > 1 ? [cup('jug-of-jugs', 'E', half('jug', 'clear'))] : [])
  ];
  const dark = (['inked', 'jug', 'jug-of-jugs'] as const)[deep];
  return atBench({ ...rockpool, order: undefined, mixes: [mix], cups, steps: steps(dark) } as Plan, {});
}
const codes = (plan: Plan, code: string) => computePlan(plan, cards).problems.filter((p) => p.code === code);
const torch: Step = { id: 'torch', act: { kind: 'torch', seconds: 3 }, where: [groupId], gates: [] };

describe.each([0, 1, 2] as const)('alcohol ink through %i cups made of cups', (deep) => {
  it('has no flame near it', () => {
    const plan = inked(deep, (dark) => [layer('pour', dark, groupId, { kind: 'rim' }), torch]);
    const [found] = codes(plan, 'flame-near-alcohol');
    expect(found).toMatchObject({ stepId: 'torch' });
    expect(codes(applyEdit(plan, found!.edit!), 'flame-near-alcohol')).toEqual([]);
  });

  it('bleeds into a lighter colour over it, until it has cured', () => {
    const pours = (dark: string) => [
      layer('dark', dark, groupId, { kind: 'to share', of: 0.5 }),
      layer('light', 'pale', groupId, { kind: 'rim' })
    ];
    const plan = inked(deep, pours);
    const [found] = codes(plan, 'ink-bleeds');
    expect(found).toMatchObject({ stepId: 'light', level: 'warn' });
    const firm = [{ id: 'g', all: [{ kind: 'state' as const, state: 'firm', of: 'layer below' as const }] }];
    const waits = inked(deep, (dark) =>
      pours(dark).map((s) => (s.id === 'light' ? { ...s, gates: firm } : s))
    );
    expect(codes(waits, 'ink-bleeds')).toEqual([]);
    // The other way about nothing bleeds up.
    const below = inked(deep, (dark) => [
      layer('light', 'pale', groupId, { kind: 'to share', of: 0.5 }),
      layer('dark', dark, groupId, { kind: 'rim' })
    ]);
    expect(codes(below, 'ink-bleeds')).toEqual([]);
  });
});

describe('what a maker notes on a step', () => {
  it('stands beside what the step warns of, never in its place', () => {
    const pressure: Step = {
      id: 'pot',
      act: { kind: 'pressure', bar: 3, minutes: 240 },
      where: [groupId],
      gates: [],
      note: 'lids on'
    };
    const plan = inked(0, (dark) => [layer('pour', dark, groupId, { kind: 'rim' }), pressure]);
    const hint = (of: Plan) =>
      metricWords(computePlan(of, cards).lines.find((l) => l.stepId === 'pot')!.hint);
    const { note: _, ...bare } = pressure;
    const without = hint({ ...plan, steps: plan.steps.map((s) => (s.id === 'pot' ? bare : s)) });
    expect(without.length).toBeGreaterThan(5);
    expect(hint(plan)).toBe(`${without} · lids on`);
  });
});
