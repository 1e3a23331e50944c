import type { Areas } from '../areas';
import { bandsOf } from './bands';
import { bordersOf } from './borders';
import { centreOf } from './centre';
import { distancesOf } from './distances';
import { gridOf } from './grid';
import { partsOf } from './parts';

/**
 * What a face is like, as numbers none of which knows a colour's hue: how colours change with distance, what their parts
 * and borders are like, rings, rays and bands, and how much each colour covers.
 */
export function traitsOf(areas: Pick<Areas, 'width' | 'height' | 'labels' | 'colours'>): number[] {
  const grid = gridOf(areas);
  const [first = 0, second = 0, third = 0] = grid.shares;
  return [
    ...distancesOf(grid),
    ...partsOf(grid),
    ...bordersOf(grid),
    ...centreOf(grid),
    ...bandsOf(grid),
    Math.log(Math.max(1, grid.shares.length)),
    grid.mixed,
    first,
    second,
    third
  ];
}
