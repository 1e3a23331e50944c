import type { z } from 'zod';
import type { Problem, ProblemCode } from '$core/problem';
import { problemsOf } from '$core/validate';

/** What went wrong with a request, an upload or a device, as one problem. */
export const problem = (code: ProblemCode, sentence: string, mend: string): Problem => ({
  code,
  level: 'stop',
  path: '',
  sentence,
  mend
});

/** Deepest nesting that any document here has need of. */
const DEEPEST = 32;

/** Largest document in letters: the largest plan with its whole shelf is well under it. */
const MOST_LETTERS = 8_000_000;

/** Whether JSON is nested deeper than anything here: counted over the text, before it is taken apart. */
function tooDeep(text: string): boolean {
  let depth = 0;
  let inText = false;
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (inText) {
      if (c === 92) i++;
      else if (c === 34) inText = false;
    } else if (c === 34) inText = true;
    else if (c === 123 || c === 91) {
      if (++depth > DEEPEST) return true;
    } else if (c === 125 || c === 93) depth--;
  }
  return false;
}

/** Whether any text holds half of a letter; only an escape can have brought one, so most bodies are not looked through. */
function brokenLetters(text: string, body: unknown): boolean {
  if (!/\\u[dD][89a-fA-F]/.test(text)) return false;
  const isBroken = (value: unknown): boolean => {
    if (typeof value === 'string') return !value.isWellFormed();
    if (typeof value !== 'object' || value === null) return false;
    return Object.entries(value).some(([key, inner]) => isBroken(key) || isBroken(inner));
  };
  return isBroken(body);
}

/** What came of reading a body: its value, or what is wrong with it and the status that says so. */
export type BodyRead<T> = { value: T } | { problems: Problem[]; status: number };

/**
 * Reads a body's text against a schema. It needs no request, so that a thread can do it for a large one.
 * @param root what the paths of problems begin with
 */
export function parseBody<S extends z.ZodType>(text: string, schema: S, root = ''): BodyRead<z.output<S>> {
  const refuse = (status: number, ...said: Parameters<typeof problem>) => ({
    problems: [problem(...said)],
    status
  });
  if (text.length > MOST_LETTERS)
    return refuse(413, 'too-large', 'That is larger than anything here.', 'Send it in parts.');
  if (tooDeep(text))
    return refuse(
      422,
      'not-json',
      'What was sent is nested deeper than any document here.',
      'Send a plainer one.'
    );
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    const mend = 'Send a JSON document, with the content type application/json.';
    return refuse(400, 'not-json', 'What was sent is not JSON.', mend);
  }
  if (brokenLetters(text, body))
    return refuse(
      422,
      'not-json',
      'What was sent holds half of a letter (a lone surrogate), which no text has.',
      'Send whole letters.'
    );
  const read = schema.safeParse(body);
  return read.success ? { value: read.data } : { problems: problemsOf(read.error, root, body), status: 422 };
}
