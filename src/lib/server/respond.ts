import { json } from '@sveltejs/kit';
import type { z } from 'zod';
import type { Problem } from '$core/problem';
import { problemsOf } from '$core/validate';

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
        sentence: `There is no ${what} “${id}” here.`,
        mend: 'It may have been deleted; go back to the list.'
      }
    ],
    404
  );

/** Reads a JSON body against a schema: the value, or the response that says what is wrong with it. */
export async function readBody<S extends z.ZodType>(
  request: Request,
  schema: S
): Promise<{ value: z.infer<S> } | { refused: Response }> {
  let body: unknown;
  try {
    body = await request.json();
  } catch {
    return {
      refused: refuse(
        [
          {
            code: 'not-json',
            level: 'stop',
            path: '',
            sentence: 'What was sent is not JSON.',
            mend: 'Send a JSON document, with the content type application/json.'
          }
        ],
        400
      )
    };
  }
  const read = schema.safeParse(body);
  return read.success ? { value: read.data } : { refused: refuse(problemsOf(read.error)) };
}

/** What went wrong with an upload or a device, as one problem. */
export const problem = (code: string, sentence: string, mend: string): Problem => ({
  code,
  level: 'stop',
  path: '',
  sentence,
  mend
});
