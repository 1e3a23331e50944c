import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { actStep } from './new-plan';
import { tideline } from '../../../demo/plans';
import { copiedStep, insertStep, moveStep } from './insert-step';
import { type Step } from '../document';

const step = (id: string, where: string, kind = 'lay'): Step => ({ ...actStep(id, kind, 'cup', where)!, id });
const ids = (steps: readonly Step[]) => steps.map((s) => s.id).join(' ');

describe('a step more', () => {
  const steps = [step('a', 'one'), step('b', 'two'), step('out', 'one', 'demould')];

  it('comes after what is poured there and before what is done afterwards', () => {
    expect(ids(insertStep(steps, step('new', 'one'), 'one'))).toBe('a new b out');
    expect(ids(insertStep(steps, step('new', 'one', 'sand'), 'one'))).toBe('a b out new');
    expect(ids(insertStep(steps, step('new', 'three'), 'three'))).toBe('a b new out');
    expect(ids(insertStep(steps, step('new', 'three', 'sand'), 'three'))).toBe('a b out new');
    const onlyAfter = [step('out', 'one', 'demould')];
    expect(ids(insertStep(onlyAfter, step('new', 'one'), 'one'))).toBe('new out');
  });
});

describe('a step moved', () => {
  const steps = [step('a', 'one'), step('x', 'two'), step('b', 'one'), step('c', 'one'), step('y', 'two')];

  it('changes places among its own cavities’ steps alone', () => {
    expect(ids(moveStep(steps, 'one', 0, 2))).toBe('b x c a y');
    expect(ids(moveStep(steps, 'one', 2, 0))).toBe('c x a b y');
    expect(ids(moveStep(steps, 'two', 1, 0))).toBe('a y b c x');
    expect(ids(moveStep(steps, 'one', 1, 9))).toBe('a x c b y');
    expect(ids(moveStep(steps, 'one', 1, -1))).toBe('b x a c y');
    expect(ids(moveStep(steps, 'one', 7, 0))).toBe(ids(steps));
  });

  it('loses nothing, and moved back stands as before', () => {
    const place = fc.integer({ min: 0, max: 2 });
    fc.assert(
      fc.property(place, place, (from, to) => {
        const there = moveStep(steps, 'one', from, to);
        expect(there.map((s) => s.id).sort()).toEqual(steps.map((s) => s.id).sort());
        expect(ids(moveStep(there, 'one', to, from))).toBe(ids(steps));
      })
    );
  });
});

describe('a step that is copied', () => {
  it('stands right after the first, with an id and gates of its own', () => {
    const gated = tideline.steps.findIndex((s) => s.gates.length > 0);
    const first = tideline.steps[gated]!;
    const steps = copiedStep(tideline, first);
    const again = steps[gated + 1]!;
    expect(steps).toHaveLength(tideline.steps.length + 1);
    expect(again).toMatchObject({ act: first.act, where: first.where });
    expect(again.id).not.toBe(first.id);
    expect(again.gates.map((g) => g.all)).toEqual(first.gates.map((g) => g.all));
    expect(again.gates.map((g) => g.id)).not.toEqual(first.gates.map((g) => g.id));
  });
});
