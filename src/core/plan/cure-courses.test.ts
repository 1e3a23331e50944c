import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { rockpool, samphire, tideline } from '../../../demo/plans';
import { atBench } from './plans.testing';
import { computePlan, cureCourses, type Plan } from '.';

const courses = (plan: Plan) => cureCourses(plan, computePlan(plan, cards), cards);

describe('how a cup cures', () => {
  it('is told of every resin cup, in its cup and in the piece', () => {
    const found = courses(tideline);
    expect(found.map((c) => `${c.cupId} ${c.of}`)).toEqual([
      'mudflat cup',
      'mudflat layer',
      'heron cup',
      'heron layer',
      'foam cup',
      'foam layer'
    ]);
    expect(courses(samphire)).toEqual([]);
  });

  it('agrees with the windows of the score, and with its own states', () => {
    const { score } = computePlan(tideline, cards);
    for (const c of courses(tideline).filter((x) => x.of === 'cup')) {
      const window = score.windows.find((w) => w.cupId === c.cupId)!;
      const line = c.states.find((s) => s.state === 'holds a line')!.minute;
      expect(window.to - window.zero).toBeCloseTo(line, 6);
      expect(c.states.map((s) => s.minute)).toEqual([...c.states.map((s) => s.minute)].sort((a, b) => a - b));
      expect(Math.max(...c.points.map((p) => p.celsius))).toBeLessThanOrEqual(c.peak.celsius + 1e-9);
      expect(c.points.length).toBeLessThanOrEqual(162);
      expect(c.points[0]).toMatchObject({ minute: 0, celsius: 21 });
      for (const [i, p] of c.points.entries())
        if (i) expect(p.cured).toBeGreaterThanOrEqual(c.points[i - 1]!.cured);
    }
  });

  it('runs ahead in a warmer room, and hotter in a fuller cup', () => {
    const gel = (plan: Plan) => courses(plan)[0]!.states.find((s) => s.state === 'gelled')!.minute;
    expect(gel(atBench(rockpool, { roomCelsius: 27 }))).toBeLessThan(gel(rockpool));
    const once = (count: number): Plan => ({
      ...rockpool,
      mixes: rockpool.mixes.map((m) => ({ ...m, turns: 1 })),
      groups: rockpool.groups.map((g) => ({ ...g, count }))
    });
    expect(courses(once(8))[0]!.peak.celsius).toBeGreaterThan(courses(once(3))[0]!.peak.celsius);
  });

  it('goes by the pot where cups are split from one, as their windows do', () => {
    const { score } = computePlan(rockpool, cards);
    const [foam] = courses(rockpool);
    const window = score.windows.find((w) => w.cupId === foam!.cupId)!;
    expect(foam!.name).toContain('in its pot');
    expect(window.to - window.zero).toBeCloseTo(
      foam!.states.find((s) => s.state === 'holds a line')!.minute,
      6
    );
  });
});
