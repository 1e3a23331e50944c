import { describe, expect, it } from 'vitest';
import { FOOTPRINTS, spotIn } from '../pattern.testing';
import { chanceFrom } from '../seeded';
import { chipField } from './chips';
import { speckField } from './specks';
import { veined, type Unstirred } from './veins';

const parts = [
  { matter: 4, share: 0.9 },
  { matter: 7, share: 0.07 },
  { matter: 9, share: 0.03 }
];

describe.each(['marbled', 'speckled', 'chips'] as const)('a %s cup', (kind: Unstirred) => {
  const section = FOOTPRINTS.pebble!;
  const room = { ...section.half, low: 0, high: 12, contains: section.contains };
  const at = veined(kind, parts, room, 5);

  it('holds of each part its share, the body first', () => {
    const chance = chanceFrom(31);
    const counts = new Map<number, number>();
    for (let i = 0; i < 9000; i++) {
      const matter = at(spotIn(section, 0, 12, chance));
      counts.set(matter, (counts.get(matter) ?? 0) + 1 / 9000);
    }
    for (const { matter, share } of parts)
      expect(Math.abs((counts.get(matter) ?? 0) - share)).toBeLessThan(0.012);
    expect([...counts.keys()].sort()).toEqual([4, 7, 9]);
  });

  it('is in pieces and not in noise: what lies close by is mostly the same', () => {
    const chance = chanceFrom(8);
    let same = 0;
    for (let i = 0; i < 2000; i++) {
      const spot = spotIn(section, 0, 12, chance);
      if (at({ ...spot }) === at({ ...spot, x: spot.x + 0.2 })) same++;
    }
    expect(same / 2000).toBeGreaterThan(0.94);
  });

  it('is the same again from its seed', () => {
    const again = veined(kind, parts, room, 5);
    const chance = chanceFrom(3);
    for (let i = 0; i < 300; i++) {
      const spot = spotIn(section, 0, 12, chance);
      expect(again({ ...spot })).toBe(at({ ...spot }));
    }
  });
});

describe.each([
  ['marbled', speckField('marbled')],
  ['speckled', speckField('speckled')],
  ['broken chips', chipField]
] as const)('a field of %s', (_, fieldOf) => {
  it('is below a limit where its numbers are, also past the walls and for limits that few places meet', () => {
    for (const [seed, high] of [
      [1, 4],
      [2, 30],
      [3, 120]
    ] as const) {
      const field = fieldOf({ width: 60, length: 25, low: 2, high, contains: () => true }, seed);
      const chance = chanceFrom(seed);
      const spots = Array.from({ length: 3000 }, () => ({
        x: 150 * chance() - 75,
        y: 70 * chance() - 35,
        z: 2 + 1.2 * (high - 2) * chance()
      }));
      for (const limit of [0.1, 0.5, 1, 2, 4]) {
        const below = field.below(limit);
        expect(spots.filter((spot) => below(spot) !== field.at(spot) < limit)).toEqual([]);
      }
    }
  });
});
