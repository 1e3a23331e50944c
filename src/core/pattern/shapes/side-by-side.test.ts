import { describe, expect, it } from 'vitest';
import { sideBySide } from './side-by-side';
import { FOOTPRINTS, placeIn } from '../pattern.testing';
import { chanceFrom } from '../seeded';

const share = (section: (typeof FOOTPRINTS)[string], whose: (x: number, y: number) => number, i: number) => {
  const chance = chanceFrom(5);
  let own = 0;
  for (let n = 0; n < 20_000; n++) {
    const { x, y } = placeIn(section, chance);
    if (whose(x, y) === i) own++;
  }
  return own / 20_000;
};

describe('pours side by side on bare ground', () => {
  it.each(Object.keys(FOOTPRINTS))(
    'have ground by their volumes in a %s, each about its own place',
    (name) => {
      const section = FOOTPRINTS[name]!;
      const { width, length } = section.half;
      const sides = [
        { matter: 0, mm3: 5, way: [[-0.7 * width, -0.6 * length]] },
        {
          matter: 1,
          mm3: 3,
          way: [
            [-0.5 * width, 0.7 * length],
            [0.2 * width, 0.5 * length]
          ]
        },
        { matter: 2, mm3: 2, way: [[0.7 * width, -0.7 * length]] }
      ] as const;
      const whose = sideBySide(section, sides);
      for (const { matter, mm3 } of sides)
        expect(Math.abs(share(section, whose, matter) - mm3 / 10)).toBeLessThan(0.03);
      expect(whose(-0.7 * width, -0.6 * length)).toBe(0);
    }
  );

  it('meet along a line that is laid between them, moved by what one has more than the other', () => {
    const section = FOOTPRINTS.oblong!;
    const line = [
      [-60, 0],
      [60, 0]
    ] as const;
    const sides = [
      { matter: 0, mm3: 2, way: [[0, 15]] },
      { matter: 1, mm3: 1, way: [[0, -15]] }
    ] as const;
    const whose = sideBySide(section, sides, line);
    expect(share(section, whose, 0)).toBeCloseTo(2 / 3, 1.7);
    // Two thirds of a length of 60: the border is 10 mm below the middle all along.
    for (const x of [-50, 0, 50]) expect([whose(x, -9.4), whose(x, -10.6)]).toEqual([0, 1]);
  });
});
