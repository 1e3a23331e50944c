import { between, type Casting } from '../../../pattern';
import { spotOf } from '../../flowing';
import type { Place } from './fields';

/** Things set in keep their place while all else moves: round bodies about the place, none in another. */
export function flow(act: Place, casting: Casting): void {
  const { section, chance, level } = casting;
  const scale = Math.sqrt(section.area);
  const radius = (SIZE * scale) / Math.sqrt(Math.max(1, act.pieces / 4));
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
  for (const { x, y } of set)
    casting.embed({ kind: 'ball', x, y, z: Math.max(radius * 0.5, level - act.pressed), radius });
}

/** Of the square root of the footprint's area, where nothing says how large a thing is. */
const SIZE = 0.07;
