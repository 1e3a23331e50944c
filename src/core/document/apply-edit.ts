import type { Edit } from '../problem';

/**
 * Applies one edit to a plain document, copying only what changes. In a list a number is a place and a word is the
 * id of an element; a word that no element bears adds the value at the end. An `undefined` value removes.
 */
export function applyEdit<T>(document: T, edit: Edit): T {
  const [key, ...rest] = edit.path;
  if (key === undefined) return edit.value as T;
  if (key === '__proto__') return document;
  const inner = (before: unknown) => applyEdit(before, { path: rest, value: edit.value });
  const removes = rest.length === 0 && edit.value === undefined;
  if (Array.isArray(document)) {
    const copy = [...(document as unknown[])];
    const at = typeof key === 'number' ? key : placeOf(copy, key);
    if (removes) copy.splice(at, 1);
    else copy[at] = inner(copy[at]);
    return copy as T;
  }
  const copy = { ...(document as Record<string, unknown>) };
  if (removes) delete copy[key];
  else copy[key] = inner(copy[key]);
  return copy as T;
}

/** Where an id stands in a list; past its end where it does not. */
function placeOf(list: readonly unknown[], id: string): number {
  const at = list.findIndex((x) => typeof x === 'object' && x !== null && 'id' in x && x.id === id);
  return at < 0 ? list.length : at;
}
