import { wobble, type Casting } from '../../../pattern';
import { spotOf, type Poured } from '../../flowing';
import type { Column } from './fields';

/** Outlines of posts, as the radius over the angle. */
const POSTS = {
  round: () => 1,
  star: (a: number) => 1 + 0.36 * Math.cos(5 * (a - Math.PI / 2)),
  reed: (a: number) => 1 + 0.1 * Math.cos(9 * a)
} as const;
/** A post is so wide for the cavity where nothing says how wide: of the square root of its area. */
const WIDE = 0.1;

/** Rings spread from the post and follow its outline. */
export function flow(act: Column, casting: Casting, { mm3, content }: Poured): void {
  const radius = act.across ? act.across / 2 : WIDE * Math.sqrt(casting.section.area);
  const shape = POSTS[act.post ?? 'round'];
  casting.overPost(content(act.cupId).matter, mm3, spotOf(casting, act.at), (a) => radius * shape(a));
  casting.stir(wobble(casting.section, 0.05, casting.chance));
}
