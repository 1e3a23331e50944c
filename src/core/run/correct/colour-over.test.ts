import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import * as demo from '../../../../demo/plans';
import { limitOf } from '../../material';
import { pourAlone } from '../../plan/plans.testing';
import { coloursOver } from './colour-over';
import { foldRun } from '../log/fold';
import { event } from '../run.testing';
import { freeze } from '../snapshot/freeze';
import { type RunEvent } from '../log/events';

const tideline = pourAlone(demo.tideline);
const run = freeze(tideline, cards);
const target = run.tasks.find((t) => t.id === 'weigh:heron:heron-blue')!;
const aimed = target.kind === 'weigh' ? target.grams : 0;
const line = tideline.cups.find((c) => c.id === 'heron')!.recipe.find((r) => r.id === 'heron-blue')!;
const splitMix = cards.colourants.find((c) => c.id === line.colourantId)!;

/** The blue of heron weighed so many times over, all of its parts as planned. */
const after = (times: number) => {
  const events: RunEvent[] = run.tasks.flatMap((t, i) =>
    t.kind === 'weigh' && t.mixId === 'heron' && (t.part || t.key === 'heron-blue')
      ? [
          {
            id: `event-${String(i).padStart(5, '0')}`,
            at: 1000 + i,
            type: 'weighed' as const,
            task: t.id,
            grams: t.part ? t.grams : Number((t.grams * times).toFixed(4))
          }
        ]
      : []
  );
  return { events, over: coloursOver(run, foldRun(run.tasks, events, 0.01), 'heron') };
};
const overAt = (times: number) => after(times).over;

describe('a colour of which too much went in', () => {
  it('is said with the percentage it comes to, and how much more would bring it back', () => {
    const [over] = overAt(1.5);
    expect(over).toMatchObject({ name: splitMix.name, planned: line.percent });
    expect(over!.now).toBeCloseTo(line.percent * 1.5, 3);
    expect(over!.more).toBeCloseTo(0.5, 3);
    expect(over!.past).toBeUndefined();
  });

  it('is past its limit once it is, with the reason', () => {
    const { limit, reason } = limitOf(splitMix, 'resin');
    const to = limit / line.percent;
    expect(overAt(to * 0.99)[0]!.past).toBeUndefined();
    expect(overAt(to * 1.02)[0]!.past).toEqual({ limit, reason });
  });

  it('is not made much of: what a scale cannot tell, or what is less, is nothing', () => {
    expect(overAt(1)).toEqual([]);
    expect(overAt(0.6)).toEqual([]);
    expect(overAt(1 + 0.01 / aimed)).toEqual([]);
    expect(coloursOver(run, foldRun(run.tasks, [], 0.01), 'heron')).toEqual([]);
  });

  it('says what everything else would come to', () => {
    const { events, over } = after(1.5);
    const parts = events.reduce((s, e) => s + (e.type === 'weighed' ? e.grams : 0), 0);
    const others = run.tasks.reduce(
      (s, t) =>
        s + (t.kind === 'weigh' && t.mixId === 'heron' && !t.part && t.key !== 'heron-blue' ? t.grams : 0),
      0
    );
    const inAll = parts - 1.5 * aimed;
    expect(over[0]!.total).toBeCloseTo(1.5 * (inAll + aimed + others), 1);
  });

  it('is followed by everything else, part by part, until its percentage is the plan’s', () => {
    const { events } = after(1.5);
    const told = [...events, event({ type: 'overdosed', task: target.id, way: 'follow' }, 2000)];
    for (let i = 0; i < 9; i++) {
      const { topUp } = foldRun(run.tasks, told, 0.01);
      if (!topUp) break;
      told.push(event({ type: 'added', task: topUp.task.id, grams: topUp.grams }, 3000 + i));
    }
    const state = foldRun(run.tasks, told, 0.01);
    expect(state.topUp).toBeUndefined();
    for (const { task, actual } of state.tasks)
      if (task.kind === 'weigh' && task.mixId === 'heron' && task.part)
        expect(actual! / task.grams).toBeCloseTo(1.5, 2);
    expect(state.cups.get('heron')!.scale).toBeCloseTo(1.5, 2);
    expect(coloursOver(run, state, 'heron')).toEqual([]);
  });

  it('is followed by other colours as finely as their own scale reads', () => {
    const { events } = after(1.4);
    const white = run.tasks.find(
      (t) => t.kind === 'weigh' && t.mixId === 'heron' && t.key === 'heron-white'
    )!;
    if (white.kind !== 'weigh') throw new Error('no white');
    const told = [
      ...events,
      event({ type: 'weighed', task: white.id, grams: white.grams }, 1900),
      event({ type: 'overdosed', task: target.id, way: 'follow' }, 2000)
    ];
    // The bench scale reads tenths: a white that is short by less than two of them is topped up on its own.
    expect(white.grams * 0.4).toBeLessThan(0.2);
    const asked = new Set<string>();
    for (let i = 0; i < 9; i++) {
      const { topUp } = foldRun(run.tasks, told, 0.1);
      if (!topUp) break;
      asked.add(topUp.task.id);
      told.push(event({ type: 'added', task: topUp.task.id, grams: topUp.grams }, 3000 + i));
    }
    expect([...asked]).toContain(white.id);
  });

  it('is said no more once it is kept, and scales nothing', () => {
    const told = [...after(1.5).events, event({ type: 'overdosed', task: target.id, way: 'keep' }, 2000)];
    const state = foldRun(run.tasks, told, 0.01);
    expect(coloursOver(run, state, 'heron')).toEqual([]);
    expect(state.cups.get('heron')!.scale).toBeCloseTo(1, 3);
    expect(state.topUp).toBeUndefined();
  });
});
