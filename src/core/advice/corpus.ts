import { applyEdit } from '../document/apply-edit';
import { computePlan, type Plan } from '../plan';
import type { Problem, ProblemCode } from '../problem';
import type { Shelf } from '../shelf';
import { poured } from './bench-corpus';
import { MISTAKES } from './mistakes';
import type { WellMade } from './well-made';

/** What came of one case of the corpus. */
export interface Judged {
  id: string;
  material: string;
  technique: string;
  /** The mistake that was made; none in a plan that is right. */
  mistake: string | undefined;
  /** Warnings that had to come and did, that had to come and did not, and that should not have come. */
  told: ProblemCode[];
  missed: readonly ProblemCode[];
  false: string[];
  /** What is said of a plan that is right before its own mends were applied. */
  asMade: string[];
  /** Of what was told, whether a mend stands beside it. */
  mended: boolean;
  /** Mends that do not mend, or make something worse. */
  badMends: string[];
  /** Warnings that were poured past and are no cause afterwards, or whose change to try is none. */
  noCause: string[];
}

const warnings = (plan: Plan, shelf: Shelf): Problem[] =>
  computePlan(plan, shelf).problems.filter((p) => p.level !== 'note');

/** All cases of some well-made plans: each as it is, and with every mistake that can be made in it. */
export function judgedCorpus(right: readonly WellMade[]): Judged[] {
  return right.flatMap((made) => {
    const of = { material: made.material, technique: made.technique };
    const before = warnings(made.plan, made.shelf);
    const silent: Judged = {
      ...of,
      id: made.id,
      mistake: undefined,
      told: [],
      missed: [],
      false: before.map((p) => p.code),
      asMade: warnings(made.asMade, made.shelf).map((p) => p.code),
      mended: true,
      badMends: [],
      noCause: []
    };
    const wrong = MISTAKES.flatMap((mistake): Judged[] => {
      const done = mistake.make(made);
      if (!done) return [];
      const shelf = done.shelf ?? made.shelf;
      const said = warnings(done.plan, shelf);
      const own = said.filter((p) => mistake.codes.includes(p.code));
      const expected = new Set([...mistake.codes, ...(mistake.follow ?? [])]);
      return [
        {
          ...of,
          id: `${made.id}: ${mistake.id}`,
          mistake: mistake.id,
          told: own.map((p) => p.code),
          missed: own.length ? [] : mistake.codes,
          false: said.filter((p) => !expected.has(p.code)).map((p) => p.code),
          asMade: [],
          mended: own.some((p) => p.edit),
          badMends: own.flatMap((p) => badMend(done.plan, shelf, p, said)),
          noCause: own.slice(0, 1).flatMap((p) => (p.level === 'warn' ? poured(done.plan, shelf, p) : []))
        }
      ];
    });
    return [silent, ...wrong];
  });
}

/** Why a mend is no mend: its warning is still there, or another has come; nothing where it is one. */
function badMend(plan: Plan, shelf: Shelf, problem: Problem, said: readonly Problem[]): string[] {
  if (!problem.edit) return [];
  const named = (p: Problem) => `${p.code} ${p.path}`;
  const after = warnings(applyEdit(plan, problem.edit), shelf).map(named);
  const before = new Set(said.map(named));
  const bad = after.includes(named(problem)) || after.some((x) => !before.has(x));
  return bad ? [`${named(problem)}: ${String(problem.mend)}`] : [];
}

/** The figures of the whole: shares of 1. */
export interface AdviceFigures {
  cases: number;
  /** Of what had to be said, how much was. */
  recall: number;
  /** Of what was said, how much had to be. */
  precision: number;
  /** Of the plans that are right, of how many nothing was said once their own mends were applied. */
  silence: number;
  /** The same before that: what was said then may be true, or a false alarm that has a mend. */
  silenceAsMade: number;
  /** Of the warnings that had to come, beside how many a mend stands. */
  mends: number;
}

/** How far the advice can be trusted over some cases. */
export function figuresOfAdvice(cases: readonly Judged[]): AdviceFigures {
  const right = cases.filter((c) => !c.mistake);
  const wrong = cases.filter((c) => c.mistake);
  const told = wrong.filter((c) => c.told.length);
  const falses = cases.reduce((s, c) => s + c.false.length, 0);
  const share = (some: number, all: number) => (all ? some / all : 1);
  return {
    cases: cases.length,
    recall: share(told.length, wrong.length),
    precision: share(told.length, told.length + falses),
    silence: share(right.filter((c) => !c.false.length).length, right.length),
    silenceAsMade: share(right.filter((c) => !c.asMade.length).length, right.length),
    mends: share(told.filter((c) => c.mended).length, told.length)
  };
}
