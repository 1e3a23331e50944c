import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { painted, WHOLE } from './photos.testing';
import { aspectOf, lensOf, uprighted, type Placed } from './upright';

const near = fc.double({ min: -0.12, max: 0.12, noNaN: true });
/** A square moved at each corner, never so far that it folds. */
const corners = fc
  .tuple(near, near, near, near, near, near, near, near)
  .map(([a, b, c, d, e, f, g, h]): Placed['corners'] => [
    { x: 0.2 + a, y: 0.2 + b },
    { x: 0.8 + c, y: 0.2 + d },
    { x: 0.8 + e, y: 0.8 + f },
    { x: 0.2 + g, y: 0.8 + h }
  ]);
const share = fc.double({ min: 0, max: 1, noNaN: true });

describe('a piece on a photo', () => {
  it('has its corners where they were set, and straight lines stay straight', () => {
    fc.assert(
      fc.property(corners, share, share, (set, u, v) => {
        const lens = lensOf(set);
        const found = [lens.at(0, 0), lens.at(1, 0), lens.at(1, 1), lens.at(0, 1)];
        found.forEach((spot, i) => {
          expect(spot.x).toBeCloseTo(set[i]!.x, 9);
          expect(spot.y).toBeCloseTo(set[i]!.y, 9);
        });
        const [p, q, r] = [lens.at(0, v), lens.at(u, v), lens.at(1, v)];
        const across = (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x);
        expect(across).toBeCloseTo(0, 9);
      })
    );
  });

  it('is found back from any place of the photo', () => {
    fc.assert(
      fc.property(corners, share, share, (set, u, v) => {
        const lens = lensOf(set);
        const { x, y } = lens.at(u, v);
        const back = lens.back(x, y);
        expect(back.x).toBeCloseTo(u, 7);
        expect(back.y).toBeCloseTo(v, 7);
      })
    );
  });

  it('is as wide as its corners say, on a photo of any shape', () => {
    const box: Placed['corners'] = [
      { x: 0.1, y: 0.2 },
      { x: 0.7, y: 0.2 },
      { x: 0.7, y: 0.6 },
      { x: 0.1, y: 0.6 }
    ];
    expect(aspectOf(box, { width: 400, height: 400 })).toBeCloseTo(1.5);
    expect(aspectOf(box, { width: 400, height: 200 })).toBeCloseTo(3);
  });

  it('is read where it is: a dark half is dark, a light half light', () => {
    const photo = painted(60, (x) => (x < 0.5 ? '#101010' : '#e0e0e0'));
    const { width, height, linear } = uprighted(photo, WHOLE, 20);
    const at = (x: number) => linear[3 * (Math.floor(height / 2) * width + x)]!;
    expect(at(3)).toBeLessThan(0.01);
    expect(at(width - 3)).toBeGreaterThan(0.7);
  });

  it('leaves its edge unmeasured, and of a round one what lies outside its circle', () => {
    const photo = painted(40, () => '#808080');
    const share = (of: Uint8Array) => of.reduce((s, v) => s + v, 0) / of.length;
    expect(share(uprighted(photo, WHOLE, 100).inside)).toBeCloseTo(0.88 ** 2, 2);
    const round = uprighted(photo, { ...WHOLE, outline: 'round' }, 100).inside;
    expect(share(round)).toBeCloseTo((Math.PI / 4) * 0.94 ** 2, 2);
  });

  it('is freed of the camera’s cast by a white in it', () => {
    const photo = painted(60, (x, y) => (x < 0.2 && y < 0.2 ? '#ffd0a0' : '#80684f'));
    const { linear } = uprighted(photo, { ...WHOLE, white: { x: 0.1, y: 0.1 } }, 20);
    const at = 3 * (10 * 20 + 10);
    expect(linear[at]! / linear[at + 1]!).toBeCloseTo(1, 1);
    expect(linear[at + 1]! / linear[at + 2]!).toBeCloseTo(1, 1);
  });
});
