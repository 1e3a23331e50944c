import { preferences } from '../preferences.svelte';

const KEY = 'kirapen.hands';

/** Whose hands this device is in, as last chosen here. */
let chosen = $state(read());

function read(): string {
  try {
    return typeof localStorage === 'undefined' ? '' : (localStorage.getItem(KEY) ?? '');
  } catch {
    return '';
  }
}

/** The maker at this device, by initials; undefined where nobody is chosen, or they no longer work here. */
export const maker = (): string | undefined => (preferences().makers.includes(chosen) ? chosen : undefined);

/** From here on what is done at this device is theirs. */
export function handOver(to: string): void {
  chosen = to;
  try {
    localStorage.setItem(KEY, to);
  } catch {
    // A device that keeps nothing asks again when it is opened anew.
  }
}
