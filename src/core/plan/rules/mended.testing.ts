import { expect } from 'vitest';
import { cards } from '../../../../demo/cards';
import { applyEdit } from '../../document/apply-edit';
import type { LearnedHistory } from '../../document';
import type { ProblemCode } from '../../problem';
import type { Shelf } from '../../shelf';
import { computePlan, Plan } from '..';

/** What a plan is worked out with in a test: the demo shelf and no history, where nothing else is told. */
export interface Told {
  shelf?: Shelf;
  learned?: LearnedHistory;
}

/** Everything that is said of a plan, or what has a code. */
export const problemsOf = (plan: Plan, { shelf = cards, learned = {} }: Told = {}, code?: string) =>
  computePlan(plan, shelf, learned).problems.filter((p) => code === undefined || p.code === code);

const named = (plan: Plan, told: Told) => problemsOf(plan, told).map((p) => `${p.code} ${p.path}`);

/** The problem is said with a mend; applied, it is gone and no warning has come. Gives the mended plan. */
export function mended(plan: Plan, code: ProblemCode, told: Told = {}): Plan {
  const [problem] = problemsOf(plan, told, code);
  expect(problem?.edit, `${code} is said, with a mend`).toBeDefined();
  const after = Plan.parse(applyEdit(plan, problem!.edit!));
  const left = named(after, told);
  const warned = problemsOf(after, told).flatMap((p) => (p.level === 'note' ? [] : [`${p.code} ${p.path}`]));
  expect(left).not.toContain(`${code} ${problem!.path}`);
  const before = named(plan, told);
  expect(warned.filter((x) => !before.includes(x))).toEqual([]);
  return after;
}
