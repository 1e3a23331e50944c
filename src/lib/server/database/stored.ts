import type { z } from 'zod';
import type { Problem } from '$core/problem';
import { problemsOf } from '$core/validate';

/** The kinds of document that are stored by an id of their own. */
export type StoredKind =
  'plans' | 'moulds' | 'bases' | 'colourants' | 'scales' | 'vessels' | 'lots' | 'trialcards' | 'runs';

/** Something stored that cannot be read: where it is, what it was called, and what is wrong with it. */
export interface Broken {
  kind: StoredKind;
  id: string;
  name: string;
  problems: Problem[];
}

/** What came of reading something stored. */
export type Read<T> = { ok: true; value: T } | { ok: false; broken: Broken };

/** Where a stored text came from. */
export interface StoredAt {
  kind: StoredKind;
  id: string;
  name: string;
}

/** Reads a stored document: parsed, migrated, checked. Never throws; what cannot be read says why. */
export function readStored<S extends z.ZodType>(at: StoredAt, text: string, schema: S): Read<z.output<S>> {
  const broken = (problems: Problem[]): Read<z.output<S>> => ({ ok: false, broken: { ...at, problems } });
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return broken([
      {
        code: 'not-readable',
        level: 'stop',
        path: '',
        sentence: `“${at.name}” is not written as a document any more.`,
        mend: 'Mend its text, bring it back from a backup, or delete it.'
      }
    ]);
  }
  const read = schema.safeParse(raw);
  if (!read.success) return broken(problemsOf(read.error, '', raw));
  const id = idOf(read.data);
  return id === undefined || id === at.id || at.kind === 'runs'
    ? { ok: true, value: read.data }
    : broken([
        {
          code: 'id-differs',
          level: 'stop',
          path: 'id',
          sentence: `“${at.name}” is kept as “${at.id}” but calls itself “${id}”.`,
          mend: 'Give it one id, or delete it.'
        }
      ]);
}

const idOf = (value: unknown): string | undefined =>
  typeof value === 'object' && value !== null && 'id' in value && typeof value.id === 'string'
    ? value.id
    : undefined;

/** Splits what was read into what can be used and what is broken. */
export function sorted<T>(reads: readonly Read<T>[]): { good: T[]; broken: Broken[] } {
  return {
    good: reads.flatMap((r) => (r.ok ? [r.value] : [])),
    broken: reads.flatMap((r) => (r.ok ? [] : [r.broken]))
  };
}
