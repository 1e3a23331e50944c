import { metricWords } from '../quantity';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { rockpool, saltings } from '../../../demo/plans';
import { actStep } from '../edit';
import { computePlan, type Plan } from '.';

const measured = (plan: Plan, stepId: string) =>
  computePlan(plan, cards).lines.find((l) => l.stepId === stepId)!.measures;
const numbers = (text: string | undefined) =>
  [...metricWords(text!).matchAll(/[\d.]+/g)].map((m) => Number(m[0]));

describe('what a step comes to', () => {
  it('is the same grams a round for each jug over a post, and what the post leaves', () => {
    const columns = saltings.steps.filter((s) => s.act.kind === 'column');
    expect(columns).toHaveLength(3);
    const { groups } = computePlan(saltings, cards);
    for (const { id, act } of columns) {
      const layers = groups[0]!.layers.filter((l) => l.stepId === id);
      const { rounds } = act as unknown as { rounds: number };
      const [times, each, left] = numbers(measured(saltings, id));
      expect(times).toBe(rounds);
      expect(each).toBeCloseTo(layers.reduce((s, l) => s + l.grams, 0) / rounds, -0.3);
      // A reed of a tenth of the square root of the area: π r² (1 + ½ · 0.1²), as high as it stands.
      const area = 300 * 196;
      const high = Math.max(...layers.map((l) => l.to));
      expect(Math.abs(left! / ((Math.PI * area * 0.01 * 1.005 * high) / 1000) - 1)).toBeLessThan(0.06);
    }
  });

  it('is the length of a piped line, its grams and how high it stands', () => {
    const step = actStep('line', 'ribbon', 'heron', rockpool.groups[0]!.id)!;
    const path = {
      points: [
        { x: -0.5, y: 0 },
        { x: 0.5, y: 0 }
      ],
      round: 3
    };
    const piped: Plan = {
      ...rockpool,
      steps: [
        {
          ...step,
          act: {
            ...step.act,
            how: 'piped',
            width: 4,
            path,
            amount: { kind: 'volume', ml: 1.8 }
          } as typeof step.act
        }
      ]
    };
    // Half the width of a roundel of 90 mm, three times; 1.8 ml over 135 mm and 4 mm wide.
    const [mm, grams, high] = numbers(measured(piped, 'line'));
    expect(mm).toBe(135);
    expect(high).toBeCloseTo(1800 / 135 / 4, 1);
    const density = computePlan(piped, cards).cups.find((c) => c.cupId === 'heron')!.density;
    expect(grams).toBeCloseTo(1.8 * density, 1);
  });

  it('is nothing for what is simply laid', () => {
    expect(computePlan(rockpool, cards).lines.filter((l) => l.act === 'Lay' && l.measures)).toEqual([]);
  });
});
