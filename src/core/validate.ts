import type { z } from 'zod';
import type { Problem } from './problem';

/** More than this nobody reads; the rest shows once these are mended. */
const MOST_SAID = 50;

/**
 * Turns what a schema found into problems with code, path, sentence and mend. Where the document is at hand, the path
 * names elements of lists by their ids.
 */
export function problemsOf(error: z.ZodError, root = '', document?: unknown): Problem[] {
  return error.issues.slice(0, MOST_SAID).map((issue) => {
    const path = [root, ...byIds(issue.path, document)].filter(Boolean).join('/');
    const field = [...issue.path].reverse().find((p) => typeof p === 'string');
    const what = field ? words(String(field)) : 'This';
    return {
      code: `input-${issue.code.replaceAll('_', '-')}` as const,
      level: 'stop',
      path,
      sentence: `${what} ${said(issue)}.`,
      mend: mendOf(issue)
    };
  });
}

/** A path with the ids of list elements in place of their numbers, where they have one that can stand in a path. */
function byIds(path: readonly PropertyKey[], document: unknown): string[] {
  let at = document;
  return path.map((key) => {
    const inner: unknown = typeof at === 'object' && at !== null ? Reflect.get(at, key) : undefined;
    const id: unknown =
      Array.isArray(at) && typeof inner === 'object' && inner !== null ? Reflect.get(inner, 'id') : undefined;
    at = inner;
    return typeof id === 'string' && /^[\w.-]+$/.test(id) ? id : String(key);
  });
}

/** `densityA` → `Density A`, `roomCelsius` → `Room celsius`. */
function words(field: string): string {
  const spaced = field.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
  return spaced.charAt(0).toUpperCase() + spaced.slice(1);
}

function said(issue: z.core.$ZodIssue): string {
  // Messages written in the schemas are already part of a sentence: “needs a name”, “is too cold to cast”.
  if (/^(needs|must|is|cannot|leaves) /.test(issue.message)) return issue.message;
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined ? 'is missing' : `must be a ${issue.expected}`;
    case 'too_small':
      return `must be ${issue.inclusive ? 'at least' : 'more than'} ${issue.minimum}`;
    case 'too_big':
      return `must be ${issue.inclusive ? 'at most' : 'less than'} ${issue.maximum}`;
    case 'invalid_value':
      return `must be one of: ${issue.values.join(', ')}`;
    case 'invalid_union':
      return 'is not one of the kinds known here';
    case 'invalid_format':
      return 'is not written in the expected form';
    default:
      return 'is not right';
  }
}

function mendOf(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'too_small':
    case 'too_big':
      return 'Check the figure and its unit.';
    case 'invalid_value':
      return 'Choose one of those.';
    default:
      return 'Correct it and send it again; nothing was changed.';
  }
}
