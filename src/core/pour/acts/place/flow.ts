import { spread, type Casting } from '../../../pattern';
import { spotOf, type Poured } from '../../flowing';
import type { PlaceAct } from './fields';

/** Of the square root of the footprint's area, where nothing says how large a thing is: its radius, and how far several are spread. */
const SIZE = 0.07;
const REACH = 0.55;

/**
 * Things set in keep their place while all else moves: bodies of their own size about the place, none in another, and what is fluid
 * lies round them. What has no card is drawn as a ball that takes no room, since nothing says how much it would.
 */
export function flow(act: PlaceAct, casting: Casting, poured: Pick<Poured, 'object'>): void {
  const { section, stands } = casting;
  const scale = Math.sqrt(section.area);
  const ball = (SIZE * scale) / Math.sqrt(Math.max(1, act.pieces / 4));
  const known = poured.object(act.embedId);
  const { radius, tall, body, from, matterAt } = known ?? { radius: ball, tall: ball };
  const middle = spotOf(casting, act.at);
  const places =
    act.pieces === 1 ? [middle] : spread(casting, act.pieces, radius, { middle, reach: REACH * scale });
  // It stands on the ground at the least, and is pressed in from where it lies half sunk.
  const z = Math.max(tall, stands - act.pressed);
  places.forEach(({ x, y }, n) => {
    if (body) casting.embed({ kind: 'body', x, y, low: from ?? z - tall, ...body(n) });
    else casting.embed({ kind: 'ball', x, y, z, radius, tall, matterAt, ...(known ? {} : { loose: true }) });
  });
}
