/** What was kept on this device under a key; undefined where nothing is, or where it keeps nothing. */
export function remembered(key: string): string | undefined {
  try {
    return typeof localStorage === 'undefined' ? undefined : (localStorage.getItem(key) ?? undefined);
  } catch {
    return undefined;
  }
}

/** Keeps a choice on this device; where storage is off it lasts for this page. */
export function remember(key: string, value: string): void {
  try {
    localStorage.setItem(key, value);
  } catch {
    // A device that keeps nothing asks again when it is opened anew.
  }
}
