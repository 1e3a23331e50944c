import type { Problem } from '$core/problem';

/** What came of a request: the answer, or the problems in words a maker can act on. */
export type Sent<T> =
  { ok: true; value: T; revision: number | undefined } | { ok: false; problems: Problem[]; status: number };

const NO_ANSWER: Problem = {
  code: 'no-answer',
  level: 'stop',
  path: '',
  sentence: 'The server does not answer.',
  mend: 'What you typed is still here; try again in a moment.'
};

/** What a write was based on: the revision that was read, or nothing (it is new). */
export type Based = { revision: number } | 'new' | undefined;

const conditions = (based: Based): Record<string, string> => {
  if (based === undefined) return {};
  return based === 'new' ? { 'if-none-match': '*' } : { 'if-match': `"${based.revision}"` };
};

/** Sends JSON to the HTTP interface. Never throws; status 0 is no answer at all. */
export async function send<T>(method: string, path: string, body?: unknown, based?: Based): Promise<Sent<T>> {
  try {
    const response = await fetch(`/api/v1${path}`, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...conditions(based)
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) })
    });
    const tag = response.headers.get('etag');
    const revision = tag === null ? undefined : Number(tag.replaceAll('"', ''));
    if (response.status === 204) return { ok: true, value: undefined as T, revision };
    const answer = await response.json();
    return response.ok
      ? { ok: true, value: answer as T, revision }
      : { ok: false, problems: answer.problems ?? [NO_ANSWER], status: response.status };
  } catch {
    return { ok: false, problems: [NO_ANSWER], status: 0 };
  }
}
