import type { ColumnAct } from './fields';

/** Outlines of posts, as the radius over the angle. */
const POSTS = {
  round: () => 1,
  star: (a: number) => 1 + 0.36 * Math.cos(5 * (a - Math.PI / 2)),
  reed: (a: number) => 1 + 0.1 * Math.cos(9 * a)
} as const;
/** A post is so wide for the cavity where nothing says how wide: of the square root of its area. */
const WIDE = 0.1;
/** Fine enough for any of the outlines. */
const STEPS = 360;

/** The outline of an act's post in a cavity of so many mm²: its radius, mm, over the angle. */
export function postOutline(act: ColumnAct, area: number): (angle: number) => number {
  const radius = act.across ? act.across / 2 : WIDE * Math.sqrt(area);
  const shape = POSTS[act.post ?? 'round'];
  return (a) => radius * shape(a);
}

/** What stands free of material while the post stands, mm²: ½ ∫ r² dφ. */
export function postArea(act: ColumnAct, area: number): number {
  const outline = postOutline(act, area);
  const turn = (2 * Math.PI) / STEPS;
  return Array.from({ length: STEPS }, (_, i) => (outline(i * turn) ** 2 * turn) / 2).reduce(
    (a, b) => a + b,
    0
  );
}
