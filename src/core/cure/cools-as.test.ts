import { describe, expect, it } from 'vitest';
import { coolsAs } from './cools-as';

/** Twice the volume over all of the outside, mm: what a wide layer of that depth has. */
const byOutside = (volume: number, outside: number) => (2 * volume) / outside;

describe('how deep a layer is, to its heat', () => {
  it('is as deep as it is where it is wide, or one of several', () => {
    // A coaster of 96 mm, and the last third of a cube.
    expect(coolsAs(65.1, 9, 65.1)).toBe(9);
    expect(coolsAs(2.7, 6.7, 8)).toBe(6.7);
  });

  it('is what its outside makes of it where it is compact and poured at once', () => {
    // A hemisphere: 2/3 π r³ over 3 π r². Its sides are taken for a disc’s of its mean area, which is near enough.
    expect(coolsAs(10.29, 17, 10.29)).toBeCloseTo(byOutside((2 / 3) * 17, 3), 0);
    // A ball: 4/3 π r³ over 4 π r².
    expect(coolsAs(73.6, 52, 73.6)).toBeCloseTo(byOutside((4 / 3) * 26, 4), -1);
    // A rod, to the digit: π r² h over 2 π r² + 2 π r h.
    expect(coolsAs(12.0637, 60, 12.0637)).toBeCloseTo(byOutside(8 * 60, 2 * 8 + 2 * 60), 3);
  });

  it('is never more than it is, and grows with it', () => {
    let before = 0;
    for (let mm = 1; mm <= 120; mm++) {
      const ml = (96 * 80 * mm) / 1000;
      const cools = coolsAs(ml, mm, ml);
      expect(cools).toBeLessThanOrEqual(mm);
      // At the step from wide to compact it falls once.
      if (mm > 30) expect(cools).toBeGreaterThan(before);
      before = mm > 29 ? cools : 0;
    }
  });
});
