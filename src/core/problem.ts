import type { Level, ProblemCode } from './problem-codes';

export type { Level, ProblemCode };

/**
 * A problem is a value, not an exception: what is wrong, where, and how to mend it.
 * Only edges (routes, forms) turn problems into responses.
 */
export interface Problem {
  /** One of the registry. */
  code: ProblemCode;
  level: Level;
  /** What it is about, by ids from one root: `plan/steps/lay-heron/act/amount`, `shelf/moulds/…`. */
  path: string;
  /** What is wrong, in plain words, with the figure. */
  sentence: string;
  /** What to do about it, in plain words. */
  mend: string;
  /** The mend as an edit of the plan, when one tap can do it. */
  edit?: Edit;
}

/** One change of a document: set the value at a path of keys, ids and places (`undefined` removes it). */
export interface Edit {
  path: (string | number)[];
  value: unknown;
}

/** A way out that one tap can take, in words and as an edit. */
export interface Fix {
  words: string;
  edit: Edit;
}

/**
 * A problem as a rule finds it: `mend` is what is true in any case; `tries` are ways out that the rule believes in,
 * the least change first. None of them is offered before it is proved.
 */
export type Diagnostic = Problem & { fixes?: readonly Fix[] };

/** A value or the problem that stood in its way. */
export type Result<T> = { ok: true; value: T } | { ok: false; problem: Problem };

/** Wraps a value as a good result. */
export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

/** Wraps a problem as a failed result; the level defaults to `stop`. */
export const fail = (problem: Omit<Problem, 'level'> & { level?: Problem['level'] }) =>
  ({ ok: false, problem: { level: 'stop', ...problem } }) as const;
