import { remember } from './remembered';

const KEY = 'kirapen.theme';
let theme = $state(typeof document === 'undefined' ? '' : (document.documentElement.dataset.theme ?? ''));

/** The theme as it stands; read where a drawing takes its colours from it, so that it follows. */
export const themeNow = (): string => theme;

/** Switches between the light and the dark theme and remembers the choice on this device. */
export function switchTheme(): void {
  const root = document.documentElement;
  theme = root.dataset.theme === 'dark' ? 'light' : 'dark';
  root.dataset.theme = theme;
  remember(KEY, theme);
}
