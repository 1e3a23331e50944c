import { json } from '@sveltejs/kit';
import type { z } from 'zod';
import type { Problem, ProblemCode } from '$core/problem';
import { problemsOf } from '$core/validate';
import type { BasedOn, Written } from './database';

/** Answers with problems: what is wrong, where, how to mend it. 422 unless said otherwise. */
export const refuse = (problems: Problem[], status = 422): Response => json({ problems }, { status });

/** Answers that a thing is not here. */
export const notHere = (what: string, id: string): Response =>
  refuse(
    [
      {
        code: 'not-found',
        level: 'stop',
        path: '',
        sentence: `There is no ${what} “${id.slice(0, 80)}” here.`,
        mend: 'It may have been deleted; go back to the list.'
      }
    ],
    404
  );

/** Answers that an id is taken by something else. */
export const taken = (what: string, id: string): Response =>
  refuse(
    [
      {
        code: 'id-taken',
        level: 'stop',
        path: 'id',
        sentence: `There is another ${what} with the id “${id}”.`,
        mend: 'Give it an id of its own.'
      }
    ],
    409
  );

/** Deepest nesting that any document here has need of. */
const DEEPEST = 32;

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

/** Largest document in letters: the largest plan with its whole shelf is well under it. */
const MOST_LETTERS = 8_000_000;

/** Reads a JSON body against a schema: the value, or the response that says what is wrong with it. */
export async function readBody<S extends z.ZodType>(
  request: Request,
  schema: S,
  root = ''
): Promise<{ value: z.output<S> } | { refused: Response }> {
  const text = await request.text();
  if (text.length > MOST_LETTERS)
    return {
      refused: refuse([problem('too-large', 'That is larger than anything here.', 'Send it in parts.')], 413)
    };
  if (tooDeep(text))
    return {
      refused: refuse([
        problem('not-json', 'What was sent is nested deeper than any document here.', 'Send a plainer one.')
      ])
    };
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    return {
      refused: refuse(
        [
          problem(
            'not-json',
            'What was sent is not JSON.',
            'Send a JSON document, with the content type application/json.'
          )
        ],
        400
      )
    };
  }
  const read = schema.safeParse(body);
  return read.success ? { value: read.data } : { refused: refuse(problemsOf(read.error, root, body)) };
}

/** What went wrong with an upload or a device, as one problem. */
export const problem = (code: ProblemCode, sentence: string, mend: string): Problem => ({
  code,
  level: 'stop',
  path: '',
  sentence,
  mend
});

/**
 * What a write says it was based on: `If-Match` with the revision that was read, `If-None-Match: *` for something new;
 * without either it overwrites whatever is there, and is told only of what was deleted.
 */
export function basedOn(request: Request): BasedOn {
  if (request.headers.get('if-none-match') === '*') return 'new';
  const match = request.headers.get('if-match');
  const revision = Number(match?.replaceAll('"', ''));
  return match && Number.isInteger(revision) ? revision : 'any';
}

/** A document with the revision it is at. */
export const document = (value: unknown, revision: number, status = 200): Response =>
  json(value, { status, headers: { etag: `"${revision}"` } });

/** Answers what came of a write: the document with its new revision, or what stands in its way and is there now. */
export function answerWrite(what: string, value: { id: string }, done: Written, status = 200): Response {
  if (done.ok) return document(value, done.revision, status);
  if (done.why === 'taken') return withCurrent(taken(what, value.id), done);
  if (done.why === 'deleted')
    return refuse(
      [
        {
          code: 'was-deleted',
          level: 'stop',
          path: '',
          sentence: `This ${what} was deleted meanwhile.`,
          mend: 'Keep yours as a new one, or let it go.'
        }
      ],
      410
    );
  return withCurrent(
    refuse(
      [
        {
          code: 'changed-meanwhile',
          level: 'stop',
          path: '',
          sentence: `Someone changed this ${what} since you read it.`,
          mend: 'Read it again and set your change beside theirs.'
        }
      ],
      409
    ),
    done
  );
}

/** A refusal with what is there now, so that both can be set side by side. */
function withCurrent(response: Response, done: Extract<Written, { ok: false }>): Response {
  if (done.current) response.headers.set('etag', `"${done.current.revision}"`);
  return response;
}
