import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { rockpool, sluice, tideline } from '../../../demo/plans';
import { applyEdit } from '../document/apply-edit';
import { computePlan, type Computed, type Plan } from '.';
import { type Amount, type LearnedHistory } from '../document';
import { layer } from './plans.testing';

const of = (plan: Plan, learned: LearnedHistory = {}, shelf = cards): Computed =>
  computePlan(plan, shelf, learned);
const sum = (xs: number[]) => xs.reduce((s, x) => s + x, 0);

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
