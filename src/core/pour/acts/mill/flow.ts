import type { Casting } from '../../../pattern';
import type { Mill } from './fields';

/** The open face is taken down: what shows is what lay deeper. */
export function flow(act: Mill, casting: Casting): void {
  casting.milled += act.depth;
}
