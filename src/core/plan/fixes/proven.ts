import { applyEdit } from '../../document/apply-edit';
import type { Diagnostic, Fix, Problem } from '../../problem';
import { pourCount, type Plan } from '../../document';
import { Plan as Readable } from '../read';

/** Mends tried, and pours worked out to try them, in all: as many as pass between two keystrokes. */
const MOST_TRIED = 14;
const MOST_POURS_TRIED = 900;

/** What a problem is, whatever its figures: its code and its place. */
const named = (p: Problem): string => `${p.code} ${p.path}`;

/**
 * Offers with each problem the first of its mends that mends it: applied, the plan can be read, the problem is gone
 * and none has come that was not there before. Where none does, the problem keeps its general words alone. In a very
 * large plan fewer are tried, the worst problems' first; better silent than wrong.
 *
 * @param judge works a plan out and says its problems
 */
export function provenFixes(
  plan: Plan,
  found: readonly Diagnostic[],
  judge: (plan: Plan) => readonly Problem[]
): Problem[] {
  let left = Math.min(MOST_TRIED, Math.floor(MOST_POURS_TRIED / Math.max(1, pourCount(plan))));
  const before = new Set(found.map(named));
  const mends = (problem: Diagnostic, { edit }: Fix): boolean => {
    if (left-- <= 0) return false;
    const read = Readable.safeParse(applyEdit(plan, edit));
    if (!read.success) return false;
    const after = judge(read.data).map(named);
    return !after.includes(named(problem)) && after.every((p) => before.has(p));
  };
  return found.map(({ fixes = [], ...problem }) => {
    const mend = fixes.find((t) => mends({ ...problem, fixes }, t));
    return mend ? { ...problem, mend: mend.words, edit: mend.edit } : problem;
  });
}

/** Problems with their general words alone: nothing is proved, so nothing is offered. */
export const withoutFixes = (found: readonly Diagnostic[]): Problem[] =>
  found.map(({ fixes: _, ...problem }) => problem);
