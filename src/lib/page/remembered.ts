/** How long something is kept: on this device, or in this tab alone, across reading its page again. */
type Where = 'device' | 'tab';

/** What was kept under a key; undefined where nothing is, or where this browser keeps nothing. */
export function remembered(key: string, where: Where = 'device'): string | undefined {
  try {
    return storeOf(where)?.getItem(key) ?? undefined;
  } catch {
    return undefined;
  }
}

/** Keeps a choice; where storage is off it lasts for this page. */
export function remember(key: string, value: string, where: Where = 'device'): void {
  try {
    storeOf(where)?.setItem(key, value);
  } catch {
    // A device that keeps nothing asks again when it is opened anew.
  }
}

function storeOf(where: Where): Storage | undefined {
  if (where === 'device') return typeof localStorage === 'undefined' ? undefined : localStorage;
  return typeof sessionStorage === 'undefined' ? undefined : sessionStorage;
}
