import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { buoy } from '../../../demo/plans';
import { evenly } from '../evenly.testing';
import { geometryOf, levelAt } from '../mould';
import { computePlan } from '../plan';
import { pieceOf, wholePicture } from './picture';

const RADIUS = 26;
const ball = geometryOf({ kind: 'ball', radius: RADIUS });

describe('a ball, closed but for its hole', () => {
  it('holds what a ball holds, at any level what a cap of it holds, and back', () => {
    expect(ball.volumeAt(2 * RADIUS)).toBeCloseTo(((4 / 3) * Math.PI * RADIUS ** 3) / 1000, 9);
    fc.assert(
      fc.property(evenly(0, 2 * RADIUS), (level) => {
        // Slices of its circles, added up.
        const n = 4000;
        let sum = 0;
        for (let i = 0; i < n; i++) {
          const z = (level * (i + 0.5)) / n;
          sum += Math.PI * (RADIUS ** 2 - (z - RADIUS) ** 2) * (level / n);
        }
        expect(ball.volumeAt(level)).toBeCloseTo(sum / 1000, 4);
        expect(levelAt(ball, ball.volumeAt(level))).toBeCloseTo(level, 4);
      }),
      { numRuns: 40 }
    );
  });

  const piece = pieceOf(buoy, cards, {}, {})!;
  const cupAt = (kind: 'mould face' | 'open face', x: number, y: number) => {
    const face = piece.face({ kind });
    const matter = piece.traced.matters[face.paint.fronts[face.sample(x, y)]!];
    return matter && 'cupId' in matter ? matter.cupId : undefined;
  };

  it('is a circle when it is cut, its bands level', () => {
    const cut = piece.face({ kind: 'cut', heading: 0, off: 0 });
    expect(cut.width).toBeCloseTo(2 * RADIUS, 1);
    expect(cut.height).toBeCloseTo(2 * RADIUS, 1);
    for (const [x, y] of [
      [0.1, 0.1],
      [0.9, 0.1],
      [0.1, 0.9],
      [0.9, 0.9]
    ] as const)
      expect(cut.sample(x, y)).toBe(-1);
    const [left, right] = [cut.sample(0.3, 0.4), cut.sample(0.7, 0.4)];
    expect(left).toBe(right);
    expect(left).toBeGreaterThanOrEqual(0);
  });

  it('shows from either side the half that is turned there', () => {
    expect(cupAt('mould face', 0.5, 0.5)).toBe('white-1');
    expect(cupAt('open face', 0.5, 0.5)).toBe('heron');
    // At the rim of the picture each side shows the band that ends at its middle.
    expect(cupAt('mould face', 0.999, 0.5)).toBe('brick');
    expect(cupAt('open face', 0.999, 0.5)).toBe('ochre');
  });

  it('shows of both sides no more than there is: shares sum to one, and no layer over it', () => {
    for (const kind of ['mould face', 'open face'] as const) {
      const { shows } = wholePicture(piece, { kind }, { size: 120 });
      expect(shows.reduce((s, x) => s + x.share, 0)).toBeCloseTo(1, 2);
    }
    const { layers } = computePlan(buoy, cards).groups[0]!;
    expect(layers.reduce((s, l) => s + l.shows.mouldFace, 0)).toBeCloseTo(1, 6);
  });
});

describe.each([
  ['an egg', { kind: 'egg', radius: 22, depth: 60 }],
  ['a cut stone', { kind: 'gem', radius: 20, tableRadius: 12, depth: 26, crown: 8, sides: 8 }]
] as const)('a piece from %s', (_, shape) => {
  const moulds = cards.moulds.map((m) => {
    if (m.id !== 'buoy-balls') return m;
    return {
      ...m,
      cavities: m.cavities.map((c) => ({ ...c, shape, capacity: { from: 'dimensions' as const } }))
    };
  });
  const piece = pieceOf(buoy, { ...cards, moulds }, {}, {})!;
  const geometry = geometryOf(shape);

  it('is cut along its own true outline', () => {
    const cut = piece.face({ kind: 'cut', heading: 0, off: 0 });
    expect(cut.height).toBeCloseTo(shape.depth, 1);
    for (let i = 1; i < 20; i++) {
      const z = (shape.depth * i) / 20;
      const half = geometry.halfWidthAt(z) / cut.width;
      const at = (x: number) => cut.sample(x, 1 - i / 20);
      for (const side of [-1, 1]) {
        expect(at(0.5 + side * 0.96 * half)).toBeGreaterThanOrEqual(0);
        expect(at(0.5 + side * 1.04 * half)).toBe(-1);
      }
    }
  });

  it('holds of each colour what was poured, and shows on either side a whole', () => {
    const { held } = piece.traced;
    const whole = [...held.values()].reduce((s, ml) => s + ml, 0);
    expect(whole).toBeCloseTo(geometry.volumeAt(shape.depth), 0);
    for (const kind of ['mould face', 'open face'] as const) {
      const { shows } = wholePicture(piece, { kind }, { size: 100 });
      expect(shows.reduce((s, x) => s + x.share, 0)).toBeCloseTo(1, 2);
    }
  });
});
