import type { Casting } from '../../../pattern';
import type { Torch } from './fields';

/** The warmth thins the surface: a heavy colour sinks through and stands as lace. */
export function flow(_: Torch, casting: Casting): void {
  casting.settle();
}
