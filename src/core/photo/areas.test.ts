import { describe, expect, it } from 'vitest';
import { areasOf, joinedAreas, partedAreas, withoutColour } from './areas';
import { painted, WHOLE } from './photos.testing';
import { photographed, QUALITIES } from './simulated';
import { uprighted } from './upright';

const THREE = ['#2d4a6b', '#c7483a', '#e8e2d0'] as const;
const bands = (side: number) => painted(side, (x) => THREE[x < 0.5 ? 0 : x < 0.8 ? 1 : 2]!);
const seen = (face: ReturnType<typeof painted>) => areasOf(uprighted(face, WHOLE, 96));
/** Shares of bands once the edge that is never measured is left out. */
const SHARES = [0.44, 0.3, 0.14].map((v) => v / 0.88);
const sharesOf = (areas: { colours: { share: number }[] }) => areas.colours.map((c) => c.share);

describe('what is seen on a piece', () => {
  it('is its colours, the most of it first, with the shares they cover', () => {
    const { colours } = seen(bands(192));
    expect(colours).toHaveLength(3);
    colours.forEach((c, i) => expect(c.share).toBeCloseTo(SHARES[i]!, 1));
    expect(colours[1]!.lab.a).toBeGreaterThan(40);
  });

  it('is one colour of a plain piece', () => {
    expect(sharesOf(seen(painted(96, () => '#5b7d95')))).toEqual([1]);
  });

  it('finds specks that are nowhere calm', () => {
    const speck = (v: number) => Math.floor(v * 48) % 8 === 3;
    const { colours } = seen(painted(192, (x, y) => (speck(x) && speck(y) ? '#1d1d1f' : '#e8e2d0')));
    expect(colours).toHaveLength(2);
    expect(colours[1]!.lab.l).toBeLessThan(45);
    expect(colours[1]!.share).toBeGreaterThan(0.008);
  });

  it.each(['fair', 'poor'] as const)('stays what it is on a %s photo', (quality) => {
    const { photo, placed } = photographed(bands(220), {
      quality: QUALITIES[quality],
      seed: 4,
      outline: 'square'
    });
    const { colours } = areasOf(uprighted(photo, placed, 96));
    const large = colours.filter((c) => c.share > 0.06);
    expect(large).toHaveLength(3);
    large.forEach((c, i) => expect(Math.abs(c.share - SHARES[i]!)).toBeLessThan(0.06));
  });

  it('has no reflection in it, nor the halo about one', () => {
    const face = painted(192, (x, y) => {
      const far = Math.hypot(x - 0.4, y - 0.6);
      const v = Math.round(Math.min(255, 90 + 400 * Math.exp(-((far / 0.05) ** 2))));
      return `#${v.toString(16).padStart(2, '0').repeat(3)}`;
    });
    expect(sharesOf(seen(face))).toEqual([1]);
  });
});

describe('something white in strong light', () => {
  it('is a colour, not a reflection: it has an edge', () => {
    const face = painted(192, (x, y) => (Math.hypot(x - 0.5, y - 0.5) < 0.1 ? '#ffffff' : '#3d4142'));
    const { colours } = seen(face);
    expect(colours).toHaveLength(2);
    expect(colours[1]!.lab.l).toBeGreaterThan(95);
    expect(colours[1]!.share).toBeCloseTo((Math.PI * 0.01) / 0.88 ** 2, 2);
  });
});

describe('what a maker says of it', () => {
  it('joins two colours: together they cover what both did', () => {
    const areas = seen(bands(192));
    const joined = joinedAreas(areas, 0, 2);
    expect(joined.colours).toHaveLength(2);
    expect(joined.colours[0]!.share).toBeCloseTo(areas.colours[0]!.share + areas.colours[2]!.share, 6);
    expect(joined.labels.filter((l) => l >= 0).length).toBe(areas.labels.filter((l) => l >= 0).length);
  });

  it('takes one apart that has two in it', () => {
    const areas = seen(bands(192));
    const again = partedAreas(joinedAreas(areas, 0, 2), 0);
    expect(again.colours).toHaveLength(3);
    again.colours.forEach((c, i) => expect(c.share).toBeCloseTo(areas.colours[i]!.share, 2));
  });

  it('gives what is gloss to what lies about it', () => {
    const face = painted(192, (x, y) =>
      Math.hypot(x - 0.25, y - 0.5) < 0.1 ? THREE[2] : x < 0.5 ? THREE[0] : THREE[1]
    );
    const areas = seen(face);
    const gloss = areas.colours.findIndex((c) => c.lab.l > 80);
    const without = withoutColour(areas, gloss);
    expect(without.colours).toHaveLength(2);
    without.colours.forEach((c) => expect(c.share).toBeCloseTo(0.5, 1));
  });
});
