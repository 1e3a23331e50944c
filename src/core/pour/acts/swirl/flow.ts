import { dirtyPour, swirledThrough, wobble, type Casting } from '../../../pattern';
import { waysOf, type Poured } from '../../flowing';
import type { Swirl } from './fields';

/** A jug of several colours poured along a way, or a stacked cup in one place; a cup of one colour is a puddle. */
export function flow(act: Swirl, casting: Casting, { mm3, content }: Poured): void {
  const own = content(act.cupId);
  const ways = waysOf(casting, act.path);
  if (own.parts.length < 2) return casting.lay(own, mm3);
  casting.settle();
  for (const way of ways) {
    if (way.length > 1) swirledThrough(casting, own.parts, mm3 / ways.length, way);
    else dirtyPour(casting, own.parts, mm3 / ways.length, way[0]!);
  }
  casting.stir(wobble(casting.section, act.from === 'high' ? 0.2 : 0.1, casting.chance));
}
