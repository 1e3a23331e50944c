import { remember, remembered } from '../page/remembered';
import { preferences } from '../preferences.svelte';

const KEY = 'kirapen.hands';

/** Whose hands this device is in, as last chosen here. */
let chosen = $state(remembered(KEY) ?? '');

/** The maker at this device, by initials; undefined where nobody is chosen, or they no longer work here. */
export const maker = (): string | undefined => (preferences().makers.includes(chosen) ? chosen : undefined);

/** From here on what is done at this device is theirs. */
export function handOver(to: string): void {
  chosen = to;
  remember(KEY, to);
}
