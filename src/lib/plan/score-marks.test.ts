import { inPlan } from '$core/problem';
import { metricWords } from '$core/quantity';
import { describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { plans, rockpool, tideline } from '$demo/plans';
import { figuresOf, type Plan } from '$core/plan';
import { scoreMarks } from './score-marks';

const marksOf = (plan: Plan) => {
  const computed = figuresOf(plan, cards);
  return { computed, marks: scoreMarks(computed, computed.problems) };
};

describe('the marks of a score', () => {
  it.each(plans.map((p) => [p.name, p] as const))(
    'are everything on it, in order, each in words: %s',
    (_, plan) => {
      const { computed, marks } = marksOf(plan);
      const { blocks, gates, demould } = computed.score;
      expect(marks.length).toBe(blocks.length + gates.length + demould.length);
      expect(new Set(marks.map((m) => m.id)).size).toBe(marks.length);
      expect(marks.map((m) => m.from)).toEqual(marks.map((m) => m.from).sort((a, b) => a - b));
      for (const m of marks) expect(`${m.when} ${m.words}`).not.toMatch(/undefined|NaN|Infinity/);
    }
  );

  it('say of a pour how long its cup would last', () => {
    const { marks } = marksOf(rockpool);
    const pour = marks.find((m) => m.stepId === 'puddle-heron')!;
    expect(pour.when).toBe('16:00 to 18:24');
    expect(metricWords(pour.words)).toMatch(/^puddle B heron, 24.2 ml.* · its cup lasts \d+ min longer$/);
  });

  it('have what is wrong with their step, and nothing where nothing is', () => {
    const slow = { ...tideline.steps.find((x) => x.id === 'lay-heron')!, hands: { each: 30 } };
    const late: Plan = {
      ...tideline,
      mixes: tideline.mixes.map((m) => ({ ...m, turns: 1 })),
      steps: tideline.steps.map((x) => (x.id === slow.id ? slow : x))
    };
    const { computed, marks } = marksOf(late);
    const wrong = computed.problems.filter((p) => p.level !== 'note' && p.path.includes('/steps/'));
    expect(wrong.length).toBeGreaterThan(0);
    const marked = marks.filter((m) => m.problems.length);
    expect(marked.map((m) => m.stepId)).toContain(slow.id);
    for (const m of marked) for (const p of m.problems) expect(wrong).toContain(p);
    const worst = marked.find((m) => m.stepId === slow.id)!;
    expect(worst.problems.map((p) => p.sentence).join()).toMatch(/is pourable until/);
    expect(worst.words).toMatch(/past its window$/);
    expect(marksOf(rockpool).marks.filter((m) => m.problems.length)).toEqual([]);
  });

  it('leave what is only worth knowing to the figures', () => {
    const computed = figuresOf(rockpool, cards);
    const of = (level: 'note' | 'warn') =>
      scoreMarks(computed, [
        { code: 'settles', level, ...inPlan('steps', 'lay-foam'), sentence: 'It sinks.', mend: 'Stir.' }
      ]).filter((m) => m.problems.length);
    expect(of('note')).toEqual([]);
    expect(of('warn').map((m) => m.stepId)).toEqual(['lay-foam']);
  });

  it('have seconds under an hour, and words from there on', () => {
    const { marks } = marksOf(rockpool);
    expect(marks[0]!.when).toBe('0:00 to 1:00');
    expect(marks.find((m) => m.stepId === 'sand-roundels' && m.id.startsWith('do'))!.when).toMatch(/^3 d/);
  });
});
