import { annulus, disc, polygon, rectangle, type Section } from './shapes/section';
import { between, type Chance } from './seeded';
import type { Engine } from './engine';
import type { Spot } from './spot';

/** Footprints of every kind, one of which cannot be seen whole from any place. */
export const FOOTPRINTS: Record<string, Section> = {
  round: disc(45),
  oblong: rectangle(60, 30),
  pebble: polygon([
    [0, 0],
    [40, -8],
    [70, 6],
    [78, 34],
    [52, 60],
    [18, 55],
    [-6, 30]
  ]),
  ring: annulus(16, 44),
  corner: polygon([
    [0, 0],
    [80, 0],
    [80, 30],
    [30, 30],
    [30, 70],
    [0, 70]
  ])
};

/** A place inside a footprint. */
export function placeIn({ half, contains }: Section, chance: Chance): { x: number; y: number } {
  for (;;) {
    const at = { x: between(chance, -half.width, half.width), y: between(chance, -half.length, half.length) };
    if (contains(at.x, at.y)) return at;
  }
}

export const spotIn = (section: Section, low: number, high: number, chance: Chance): Spot => ({
  ...placeIn(section, chance),
  z: between(chance, low, high)
});

/** Share of each matter in a piece, by so many places thrown into it: an independent count of its volumes. */
export function counted(
  section: Section,
  engine: Engine,
  places: number,
  chance: Chance
): Map<number, number> {
  const shares = new Map<number, number>();
  for (let i = 0; i < places; i++) {
    const matter = engine.matterAt(spotIn(section, 0, engine.level, chance));
    shares.set(matter, (shares.get(matter) ?? 0) + 1 / places);
  }
  return shares;
}
