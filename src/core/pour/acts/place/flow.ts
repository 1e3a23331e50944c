import { between, type Casting } from '../../../pattern';
import { spotOf, type Poured } from '../../flowing';
import type { PlaceAct } from './fields';

/**
 * Things set in keep their place while all else moves: bodies of their own size about the place, none in another. What has no card
 * is drawn as a ball.
 */
export function flow(act: PlaceAct, casting: Casting, poured: Pick<Poured, 'object'>): void {
  const { section, chance, level } = casting;
  const scale = Math.sqrt(section.area);
  const ball = (SIZE * scale) / Math.sqrt(Math.max(1, act.pieces / 4));
  const { radius, tall, casting: own } = poured.object(act.embedId) ?? { radius: ball, tall: ball };
  const middle = spotOf(casting, act.at);
  const set: { x: number; y: number }[] = [];
  for (let tries = 0; set.length < act.pieces && tries < 200 * act.pieces; tries++) {
    const spread = act.pieces === 1 ? 0 : scale * 0.55;
    const at = {
      x: middle.x + between(chance, -spread, spread),
      y: middle.y + between(chance, -spread, spread)
    };
    const clear = set.every((s) => Math.hypot(s.x - at.x, s.y - at.y) > 2 * radius);
    if (clear && (section.wall(at.x, at.y) > radius || act.pieces === 1)) set.push(at);
  }
  if (own) {
    const { from, high, ...inside } = own;
    for (const { x, y } of set)
      casting.embed({ kind: 'casting', x, y, low: from, high: from + high, ...inside });
    return;
  }
  // It stands on the ground at the least, and is pressed in from where it lies half sunk.
  const z = Math.max(tall, level - act.pressed);
  for (const { x, y } of set) casting.embed({ kind: 'ball', x, y, z, radius, tall });
}

/** Of the square root of the footprint's area, where nothing says how large a thing is. */
const SIZE = 0.07;
