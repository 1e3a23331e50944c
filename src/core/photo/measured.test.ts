import { describe, expect, it } from 'vitest';
import { someOf } from '../soak.testing';
import { measureFace } from './measured';
import { painted, WHOLE } from './photos.testing';
import { photographed, QUALITIES } from './simulated';

const BLUE = { id: 'blue', hex: '#2d4a6b' };
const RED = { id: 'red', hex: '#b8483a' };
const PALE = { id: 'pale', hex: '#e8e2d0' };

/** A face with blobs of red on blue, and a pale band: so much of each. */
const face = (red: number, pale: number) =>
  painted(220, (x, y) => {
    if (y > 1 - pale) return PALE.hex;
    return Math.hypot(x - 0.5, (y - (1 - pale) / 2) * 1.1) < red ? RED.hex : BLUE.hex;
  });
const sharesOf = (m: ReturnType<typeof measureFace>) =>
  new Map(m?.shares.map((s) => [s.ids.join('+'), s.share]));

describe('a finished face measured by a photo', () => {
  it.each(
    someOf(
      [
        ['fair', 0.04],
        ['poor', 0.06]
      ] as const,
      2
    )
  )(
    'shows of each colour what it shows, nineteen times of twenty as near as is told: %s',
    (quality, within) => {
      const off = Array.from({ length: 14 }, (_, i) => i + 1).flatMap((seed) => {
        const drawn = face(0.12 + (0.26 * ((seed * 7) % 24)) / 24, 0.12 + (0.23 * ((seed * 5) % 24)) / 24);
        const planned = sharesOf(measureFace(drawn, WHOLE, [BLUE, RED, PALE]));
        const { photo, placed } = photographed(drawn, {
          quality: QUALITIES[quality],
          seed,
          outline: 'square'
        });
        const measured = measureFace(photo, placed, [BLUE, RED, PALE])!;
        return [...sharesOf(measured)].map(([id, share]) => Math.abs(share - planned.get(id)!));
      });
      expect(off.filter((v) => v > within).length).toBeLessThanOrEqual(off.length / 20);
    }
  );

  it('is measured without a white too', () => {
    const drawn = face(0.3, 0.25);
    const { photo, placed } = photographed(drawn, { quality: QUALITIES.fair, seed: 9, outline: 'square' });
    const measured = sharesOf(measureFace(photo, { ...placed, white: undefined }, [BLUE, RED, PALE]));
    const planned = sharesOf(measureFace(drawn, WHOLE, [BLUE, RED, PALE]));
    for (const [id, share] of planned) expect(measured.get(id)).toBeCloseTo(share, 1);
  });

  it('says which colours it cannot tell apart', () => {
    const near = { id: 'rust', hex: '#b5523f' };
    const measured = measureFace(face(0.3, 0.25), WHOLE, [BLUE, RED, near, PALE]);
    expect(measured?.shares.map((s) => s.ids)).toEqual([['blue'], ['red', 'rust'], ['pale']]);
  });

  it('does not guess: nothing of one colour only, nor of another piece', () => {
    expect(measureFace(face(0.3, 0.2), WHOLE, [BLUE])).toBeUndefined();
    const other = painted(120, (x) => (x < 0.5 ? '#2f9e44' : '#f5d90a'));
    expect(measureFace(other, { ...WHOLE, white: undefined }, [BLUE, RED])).toBeUndefined();
  });

  it('knows a colour that came out a little otherwise for what it is', () => {
    const cured = painted(200, (x) => (x < 0.6 ? '#34527a' : '#ad4436'));
    const measured = sharesOf(measureFace(cured, WHOLE, [BLUE, RED]));
    expect(measured.get('blue')).toBeCloseTo(0.614, 2);
  });

  it('tells where each lies, and how good the photo is', () => {
    const measured = measureFace(
      painted(200, (x) => (x < 0.5 ? BLUE.hex : RED.hex)),
      WHOLE,
      [BLUE, RED]
    )!;
    expect(measured.telling).toEqual({ quality: 'fair', within: 0.04 });
    expect(measured.shares[0]!.at.x).toBeLessThan(0.3);
    expect(measured.shares[1]!.at.x).toBeGreaterThan(0.7);
  });
});
