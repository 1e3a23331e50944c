import { describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { saltings, tideline } from '$demo/plans';
import type { Plan } from '../../plan';
import { foldRun, freeze, type RunEvent } from '../../run';
import { isPutOnScale } from './on-scale';

/** What is weighed of a plan done in its order, and whether its vessel is put on the scale for it. */
function weighed(plan: Plan): [string, boolean][] {
  const { tasks } = freeze(plan, cards);
  return tasks.flatMap((task, n) => {
    if (task.kind !== 'weigh') return [];
    const events = tasks.slice(0, n).map((t, i): RunEvent => {
      const at = { id: `event-${String(i).padStart(3, '0')}`, at: 1000 * (i + 1), task: t.id };
      return t.kind === 'weigh' ? { ...at, type: 'weighed', grams: t.grams } : { ...at, type: 'done' };
    });
    return [[task.name, isPutOnScale(foldRun(tasks, events, 0.1), task)]];
  });
}

describe('what is put on the scale', () => {
  it('is the lye jug, then the pot, then the pot again once the lye is in it, then each cup and each dish', () => {
    const put = weighed(saltings);
    const first = (name: string) => put.find(([n]) => n.startsWith(name))?.[1];
    expect(first('water')).toBe(true);
    expect(first('sodium hydroxide')).toBe(false);
    expect(first('olive oil')).toBe(true);
    expect(first('coconut oil')).toBe(false);
    expect(first('fragrance')).toBe(true);
    expect(put.filter(([n]) => n === 'mix').every(([, p]) => p)).toBe(true);
    expect(first('titanium')).toBe(true);
  });

  it('is the pot where the lye jug stood, though nothing was done between the two', () => {
    const { tasks } = freeze(saltings, cards);
    const weighs = (name: string) => {
      const found = tasks.find((t) => t.kind === 'weigh' && t.name.startsWith(name));
      if (found?.kind !== 'weigh') throw new Error(`${name} is not weighed`);
      return found;
    };
    const water = weighs('water');
    const events: RunEvent[] = [
      { id: 'event-001', at: 1000, task: water.id, type: 'weighed', grams: water.grams }
    ];
    const run = foldRun(tasks, events, 0.1);
    expect(weighs('olive').mixId).toBe(water.mixId);
    expect(isPutOnScale(run, weighs('olive'))).toBe(true);
    expect(isPutOnScale(run, weighs('sodium'))).toBe(false);
  });

  it('is a cup once, while only it is weighed into', () => {
    const put = weighed(tideline);
    const cups = put.filter(([, p]) => p).map(([n]) => n);
    expect(cups).toEqual(['resin', 'resin', 'resin']);
  });
});
