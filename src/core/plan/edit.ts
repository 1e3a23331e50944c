import type { Edit } from '../problem';

/** Applies one edit to a plain document, copying only what changes. An `undefined` value removes the key. */
export function applyEdit<T>(document: T, edit: Edit): T {
  const [key, ...rest] = edit.path;
  if (key === undefined) return edit.value as T;
  if (Array.isArray(document)) {
    const copy = [...(document as unknown[])];
    if (rest.length === 0 && edit.value === undefined) copy.splice(Number(key), 1);
    else copy[Number(key)] = applyEdit(copy[Number(key)], { path: rest, value: edit.value });
    return copy as T;
  }
  const copy = { ...(document as Record<string, unknown>) };
  if (rest.length === 0 && edit.value === undefined) delete copy[String(key)];
  else copy[String(key)] = applyEdit(copy[String(key)], { path: rest, value: edit.value });
  return copy as T;
}
