import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { rockpool, tideline } from '../../../demo/plans';
import type { Plan } from '../plan';
import { metricWords } from '../quantity';
import { planDifferences } from './plan-differences';

const differ = (before: Plan, after: Plan) =>
  planDifferences(before, after, cards).map((d) => [d.what, metricWords(d.before), metricWords(d.after)]);

describe('what is otherwise in a plan', () => {
  it('is nothing in the same', () => expect(differ(tideline, { ...tideline })).toEqual([]));

  it('is the room, a percentage and a number of cavities, each before and after', () => {
    const [cup, ...cups] = tideline.cups;
    const [line, ...lines] = cup!.recipe;
    const after: Plan = {
      ...tideline,
      bench: { ...tideline.bench, roomCelsius: 15 },
      cups: [{ ...cup!, recipe: [{ ...line!, percent: line!.percent * 2 }, ...lines] }, ...cups],
      groups: tideline.groups.map((g) => ({ ...g, count: 3 }))
    };
    const found = differ(tideline, after);
    expect(found).toContainEqual(['room', '21 °C', '15 °C']);
    expect(found.find(([what]) => what === cup!.name)![1]).toContain(`${line!.percent} %`);
    expect(found.find(([what]) => what === cup!.name)![2]).toContain(`${line!.percent * 2} %`);
    expect(found.some(([, before, now]) => before!.startsWith('6 ×') && now!.startsWith('3 ×'))).toBe(true);
  });

  it('is the order of steps, from the first to the last that moved', () => {
    const steps = [...rockpool.steps];
    const [a, b, c] = [steps[1]!, steps[2]!, steps[3]!];
    const after: Plan = { ...rockpool, steps: steps.toSpliced(1, 3, c, a, b) };
    const [order] = differ(rockpool, after).filter(([what]) => what === 'order');
    expect(order![1]!.split(', then ')).toHaveLength(3);
    expect(order![2]!.split(', then ')).toHaveLength(3);
    expect(order![1]!.split(', then ').toSorted()).toEqual(order![2]!.split(', then ').toSorted());
    expect(order![1]).not.toBe(order![2]);
  });

  it('is a step that is left out, and one that is gone', () => {
    const muted: Plan = {
      ...rockpool,
      steps: rockpool.steps.map((s, i) => (i === 1 ? { ...s, muted: true as const } : s))
    };
    expect(differ(rockpool, muted)).toEqual([
      [`step 2`, expect.any(String), expect.stringContaining('(left out)')]
    ]);
    const fewer: Plan = { ...rockpool, steps: rockpool.steps.slice(0, -1) };
    expect(differ(rockpool, fewer).some(([, , now]) => now === '')).toBe(true);
  });
});
