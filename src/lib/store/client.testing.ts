import { vi } from 'vitest';

/** Storage of a browser, for tests; returns what is kept in it. */
export function storageStub(name: 'localStorage' | 'sessionStorage'): Map<string, string> {
  const kept = new Map<string, string>();
  vi.stubGlobal(name, {
    get length() {
      return kept.size;
    },
    key: (i: number) => [...kept.keys()][i] ?? null,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key)
  });
  return kept;
}

/** An answer of the HTTP interface that refuses with one problem. */
export const refusal = (status: number, sentence = 'It is wrong.'): Response =>
  Response.json(
    { problems: [{ code: 'input-wrong', level: 'stop', path: '', sentence, mend: 'Mend it.' }] },
    { status }
  );
