import { describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { applyEdit } from '../../document/apply-edit';
import { computePlan } from '../../plan';
import { metricWords } from '../../quantity';
import { judgedRuns } from '../bench-corpus';
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

it('nothing that is said of a plan by hand holds a figure that cannot be', () => {
  const said = [...RIGHT, ...WRONG.map((w) => w.plan)].flatMap((plan) =>
    problemsOf(plan).flatMap((p) => [metricWords(p.sentence), metricWords(p.mend)])
  );
  expect(said.filter((words) => /(^|[\s(])-\d|NaN|Infinity|undefined/.test(words))).toEqual([]);
});

/** White so thin in colours that cancel is what it is, however well it was poured. */
const TRUE_OF_THE_PLAN = ['muddy blend: sums-to-grey', 'no cells: white-too-weak'];

describe('a plan written by hand, at the bench', () => {
  const runs = RIGHT.flatMap((plan) =>
    judgedRuns([{ id: plan.name, material: '', technique: '', plan, asMade: plan, shelf }])
  );

  it('names no cause where all was done as planned, for any defect', () => {
    const named = runs.filter((r) => r.slip === undefined && r.false.length);
    expect(named.map((r) => [r.id, r.false])).toEqual([['puddles slow', TRUE_OF_THE_PLAN]]);
  });

  it('names nearly every slip, and what it would change changes the plan', () => {
    const slipped = runs.filter((r) => r.slip !== undefined);
    expect(slipped.length).toBeGreaterThan(1000);
    // What is poured into the other group's cavities, water of a soap, and a shot that is firm again in minutes are no slips.
    expect(slipped.filter((r) => r.missed.length).length / slipped.length).toBeLessThan(0.004);
    expect(runs.flatMap((r) => r.badChanges)).toEqual([]);
  });
});
