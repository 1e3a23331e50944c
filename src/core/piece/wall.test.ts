import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { cavityOf, CavityKind, geometryOf, hasWall, profileOf, type Shape } from '../mould';
import { prismOf } from '../pattern/shapes/cavity-prism';
import { pieceOf, type DrawnPiece } from './picture';
import { tried } from './piece.testing';
import { unrolled } from './wall';

const kindOf = (shape: Shape) =>
  CavityKind.parse({ id: 'c', name: 'c', count: 1, shape, capacity: { from: 'dimensions' } });
const wallOf = (shape: Shape, height: number) =>
  unrolled(prismOf(kindOf(shape), cavityOf(kindOf(shape), '')), height);

describe('a wall laid out flat', () => {
  it.each([
    ['a cylinder', { kind: 'cylinder', radius: 40, depth: 90 }, 2 * Math.PI * 40],
    ['a box', { kind: 'box', length: 60, width: 30, depth: 50 }, 180],
    ['a ring, on its outside', { kind: 'ring', innerRadius: 20, outerRadius: 32, depth: 50 }, 64 * Math.PI],
    [
      'a pot that widens, at its rim',
      { kind: 'frustum', baseRadius: 20, rimRadius: 40, depth: 60 },
      80 * Math.PI
    ]
  ] as const)('is as long as the way round %s', (_, shape, mm) => {
    const wall = wallOf(shape, 50);
    expect(wall.width / mm).toBeCloseTo(1, 2);
    expect(wall.height).toBe(50);
  });

  it('has its front in the middle, its right on the right, its back at both ends', () => {
    const wall = wallOf({ kind: 'cylinder', radius: 40, depth: 90 }, 90);
    const at = (px: number) => wall.spotBehind(px, 0.5, 0)!;
    expect(at(0.5)).toMatchObject({ x: expect.closeTo(0, 1), y: expect.closeTo(-40, 1) });
    expect(at(0.75)).toMatchObject({ x: expect.closeTo(40, 1), y: expect.closeTo(0, 1) });
    expect(at(0.25)).toMatchObject({ x: expect.closeTo(-40, 1), y: expect.closeTo(0, 1) });
    for (const end of [0.001, 0.999]) expect(at(end).y).toBeGreaterThan(39);
    // Half way up a straight pot stands half of it, and what is behind lies nearer to the middle.
    expect(at(0.5).z).toBeCloseTo(45, 6);
    expect(wall.spotBehind(0.5, 0.5, 10)!.y).toBeCloseTo(-30, 1);
    expect(wall.spotBehind(0.5, 0.5, 41)).toBeUndefined();
  });

  it('is shorter where a pot is narrower: its front stays in the middle, and nothing is beside it', () => {
    const wall = wallOf({ kind: 'frustum', baseRadius: 20, rimRadius: 40, depth: 60 }, 60);
    expect(wall.spotBehind(0.2, 0.999, 0)).toBeUndefined();
    expect(wall.spotBehind(0.3, 0.999, 0)).toBeDefined();
    expect(wall.spotBehind(0.01, 0.001, 0)).toBeDefined();
  });

  it('is looked at where a piece is half as high as wide and stands on a foot: a dome has none', () => {
    const of = (shape: Shape, half: { width: number; length: number }) =>
      hasWall(half, profileOf(geometryOf(shape), 20));
    const round = { width: 40, length: 40 };
    expect(of({ kind: 'cylinder', radius: 40, depth: 40 }, round)).toBe(true);
    expect(of({ kind: 'cylinder', radius: 40, depth: 39 }, round)).toBe(false);
    expect(of({ kind: 'box', length: 250, width: 80, depth: 65 }, { width: 125, length: 40 })).toBe(true);
    expect(of({ kind: 'hemisphere', radius: 40 }, round)).toBe(false);
    expect(of({ kind: 'frustum', baseRadius: 20, rimRadius: 40, depth: 60 }, round)).toBe(true);
    expect(of({ kind: 'frustum', baseRadius: 19, rimRadius: 40, depth: 60 }, round)).toBe(false);
  });
});

describe('the wall of a piece', () => {
  const cupAt = ({ traced, face }: DrawnPiece, x: number, y: number) => {
    const drawn = face({ kind: 'wall' });
    const matter = traced.matters[drawn.paint.fronts[drawn.sample(x, y)]!];
    return matter && 'cupId' in matter ? matter.cupId : undefined;
  };

  it('shows layers as bands, each as high as it was poured', () => {
    const plan = tried('layers', 'resin', 'small-cubes');
    const piece = pieceOf(plan, cards, {}, {})!;
    const up = Array.from({ length: 200 }, (_, i) => cupAt(piece, 0.5, 1 - (i + 0.5) / 200));
    const whole = [...piece.traced.held.values()].reduce((s, ml) => s + ml, 0);
    for (const [matter, ml] of piece.traced.held) {
      const own = piece.traced.matters[matter]!;
      const share = up.filter((id) => 'cupId' in own && id === own.cupId).length / 200;
      expect(Math.abs(share - ml / whole)).toBeLessThan(0.02);
    }
    expect(new Set(up).size).toBe(piece.traced.held.size);
  });

  it('has the left chamber on the left and the right one on the right', () => {
    const piece = pieceOf(tried('divider-swirl', 'soap', 'loaf'), cards, {}, {})!;
    const [left, right] = [0.25, 0.75].map((x) => cupAt(piece, x, 0.6));
    expect(left).toBeDefined();
    expect(right).toBeDefined();
    expect(left).not.toBe(right);
  });
});
