import { json } from '@sveltejs/kit';
import type { z } from 'zod';
import type { Problem } from '$core/problem';
import { parseBody } from './body';
import { Fault, type BasedOn, type Written } from '../database';

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

/** Reads a JSON body against a schema: the value, or the response that says what is wrong with it. */
export async function readBody<S extends z.ZodType>(
  request: Request,
  schema: S,
  root = ''
): Promise<{ value: z.output<S> } | { refused: Response }> {
  const read = parseBody(await request.text(), schema, root);
  return 'value' in read ? read : { refused: refuse(read.problems, read.status) };
}

/**
 * What a write says it was based on: `If-Match` with the revision that was read, `If-None-Match: *` for something new;
 * without either it overwrites whatever is there, and is told only of what was deleted.
 * @throws Fault `if-match-unreadable` where the header is there and names no one revision
 */
export function basedOn(request: Request): BasedOn {
  if (request.headers.get('if-none-match') === '*') return 'new';
  const match = request.headers.get('if-match');
  if (match === null) return 'any';
  const [, revision] = /^(?:W\/)?"(\d{1,15})"$/.exec(match.trim()) ?? [];
  if (revision === undefined)
    throw new Fault(
      'if-match-unreadable',
      `“${match.slice(0, 60)}” names no revision.`,
      'Send If-Match with the ETag that was read, in its quotation marks, or leave it out.'
    );
  return Number(revision);
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

/** A PDF, to be looked at where it was asked for and kept under its name. */
export const pdfResponse = (pdf: Uint8Array, name: string): Response =>
  new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${name}.pdf"`,
      'cache-control': 'no-cache'
    }
  });
