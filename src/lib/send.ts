import type { Problem } from '$core/problem';

/** What came of a request: the answer, or the problems in words a maker can act on. */
export type Sent<T> = { ok: true; value: T } | { ok: false; problems: Problem[] };

const NO_ANSWER: Problem = {
  code: 'no-answer',
  level: 'stop',
  path: '',
  sentence: 'The server does not answer.',
  mend: 'What you typed is still here; try again in a moment.'
};

/** Sends JSON to the HTTP interface. Never throws. */
export async function send<T>(method: string, path: string, body?: unknown): Promise<Sent<T>> {
  try {
    const response = await fetch(`/api/v1${path}`, {
      method,
      ...(body === undefined
        ? {}
        : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
    });
    if (response.status === 204) return { ok: true, value: undefined as T };
    const answer = await response.json();
    return response.ok
      ? { ok: true, value: answer as T }
      : { ok: false, problems: answer.problems ?? [NO_ANSWER] };
  } catch {
    return { ok: false, problems: [NO_ANSWER] };
  }
}
