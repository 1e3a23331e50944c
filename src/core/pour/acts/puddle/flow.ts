import { tumbling, wobble, type Casting } from '../../../pattern';
import { spotOf, type Poured } from '../../flowing';
import type { Puddle } from './fields';

/** Nearer to the middle than this share of the way a puddle on bare ground takes all of it. */
const MIDDLE = 0.12;

/** How much a fall stirs about. */
const FALLS = { low: 0.17, high: 0.24 } as const;

/** It pushes what is fluid outward; on bare ground it stands on its own side. */
export function flow(act: Puddle, casting: Casting, { mm3, content }: Poured): void {
  const at = spotOf(casting, act.at);
  if (casting.bare && Math.hypot(act.at.x, act.at.y) > MIDDLE) {
    casting.beside(content(act.cupId).matter, mm3, [[at.x, at.y]]);
    return;
  }
  const own = content(act.cupId);
  casting.puddle(own, mm3, at, { from: act.from });
  const { section, chance, still, level } = casting;
  // What was left in veins is bent as it runs out; a clean colour only at its border.
  const much = own.unstirred ? 0.9 : FALLS[act.from];
  casting.stir(wobble(section, much, chance));
  casting.tumble(tumbling(section, { low: still, high: level }, { count: 10, turn: 0.22 }, chance));
}
