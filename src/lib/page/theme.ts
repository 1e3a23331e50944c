const KEY = 'kirapen.theme';

/** Switches between the light and the dark theme and remembers the choice on this device. */
export function switchTheme(): void {
  const root = document.documentElement;
  const next = root.dataset.theme === 'dark' ? 'light' : 'dark';
  root.dataset.theme = next;
  try {
    localStorage.setItem(KEY, next);
  } catch {
    // Storage may be off; the choice then lasts for this page.
  }
}
