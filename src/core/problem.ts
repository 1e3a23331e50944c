import type { Message } from './message';
import type { Level, ProblemCode } from './problem-codes';

export type { Level, ProblemCode };

/**
 * A problem is a value, not an exception: what is wrong, where, and how to mend it.
 * Only edges (routes, forms) turn problems into responses.
 */
export interface Problem extends About {
  /** One of the registry. */
  code: ProblemCode;
  level: Level;
  /** What is wrong, in plain words, with the figure. */
  sentence: Message;
  /** What to do about it, in plain words. */
  mend: Message;
  /** The mend as an edit of the plan, when one tap can do it. */
  edit?: Edit;
}

/** What a problem is about. */
export interface About {
  /** By ids from one root: `plan/steps/lay-heron/act/amount`, `shelf/moulds/…`. */
  path: string;
  /** The parts of a plan that it is about, where it is about one. */
  stepId?: string;
  gateId?: string;
  cupId?: string;
  mixId?: string;
  groupId?: string;
}

const PARTS = { steps: 'stepId', gates: 'gateId', cups: 'cupId', mixes: 'mixId', groups: 'groupId' } as const;

/**
 * Somewhere in a plan, by the keys and ids that lead there, as edits name it.
 * @example inPlan('steps', 'lay-heron', 'act') // { path: 'plan/steps/lay-heron/act', stepId: 'lay-heron' }
 */
export function inPlan(...keys: readonly (string | number)[]): About {
  const ids = keys.flatMap((key, i) =>
    typeof key === 'string' && key in PARTS && keys[i + 1] !== undefined
      ? [[PARTS[key as keyof typeof PARTS], String(keys[i + 1])]]
      : []
  );
  return { path: ['plan', ...keys].join('/'), ...Object.fromEntries(ids) };
}

/** One change of a document: set the value at a path of keys, ids and places (`undefined` removes it). */
export interface Edit {
  path: (string | number)[];
  value: unknown;
}

/** A way out that one tap can take, in words and as an edit. */
export interface Fix {
  words: Message;
  edit: Edit;
}

/**
 * A problem as a rule finds it: `mend` is what is true in any case; `fixes` are ways out that the rule believes in,
 * the least change first, and `by` how bad it is in the rule's own measure, so that no mend of another makes it worse. None of
 * them is offered before it is proved. What is costly to work out is a function: figures are asked far oftener than mends.
 */
export type Diagnostic = Problem & { fixes?: readonly Fix[] | (() => readonly Fix[]); by?: number };

/** The ways out of a problem, worked out where they were left for later. */
export const fixesOf = ({ fixes = [] }: Pick<Diagnostic, 'fixes'>): readonly Fix[] =>
  typeof fixes === 'function' ? fixes() : fixes;

/** A value or the problem that stood in its way. */
export type Result<T> = { ok: true; value: T } | { ok: false; problem: Problem };

/** Wraps a value as a good result. */
export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

/** Wraps a problem as a failed result; the level defaults to `stop`. */
export const fail = (problem: Omit<Problem, 'level'> & { level?: Problem['level'] }) =>
  ({ ok: false, problem: { level: 'stop', ...problem } }) as const;
