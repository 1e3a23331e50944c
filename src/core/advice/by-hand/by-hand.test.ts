import { describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { applyEdit } from '../../document/apply-edit';
import { computePlan } from '../../plan';
import { metricWords } from '../../quantity';
import { MOULDS } from './builder';
import { RIGHT } from './right';
import { WRONG } from './wrong';

const shelf = { ...cards, moulds: [...MOULDS] };
const problemsOf = (plan: (typeof RIGHT)[number]) => computePlan(plan, shelf).problems;

describe('a plan written by hand that is right', () => {
  it.each(RIGHT.map((plan) => [plan.name, plan] as const))('draws no warning: %s', (_, plan) => {
    const said = problemsOf(plan).filter((p) => p.level !== 'note');
    expect(said.map((p) => `${p.code}: ${metricWords(p.sentence)}`)).toEqual([]);
  });
});

describe('a plan written by hand with one thing wrong', () => {
  it.each(WRONG.map((w) => [w.plan.name, w] as const))('is told so: %s', (_, { plan, says }) => {
    const problems = problemsOf(plan);
    const own = problems.find((p) => p.code === says);
    expect(problems.map((p) => p.code)).toContain(says);
    if (!own?.edit) return;
    // The mend mends, and brings nothing new that is as grave.
    const after = problemsOf(applyEdit(plan, own.edit));
    const grave = (p: { level: string }) => p.level !== 'note';
    expect(after.filter((p) => p.code === says && p.path === own.path)).toEqual([]);
    const before = new Set(problems.filter(grave).map((p) => p.code));
    expect(after.filter((p) => grave(p) && !before.has(p.code)).map((p) => metricWords(p.sentence))).toEqual(
      []
    );
  });
});
