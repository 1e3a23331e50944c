import { describe, expect, it } from 'vitest';
import { isToday } from '../soak.testing';
import { tried } from './piece.testing';
import { cards } from '../../../demo/cards';
import { nightHeron, saltings } from '../../../demo/plans';
import { cutsFor, cutUp, barsShown } from './bars';
import { gridFor } from './cuts';
import { pieceOf } from './picture';

const slab = pieceOf(saltings, cards, {}, {})!;
const loaf = pieceOf(nightHeron, cards, {}, {})!;
const sum = (values: number[]) => values.reduce((s, v) => s + v, 0);

describe('a cut casting', () => {
  it.each(['straight', 'on the diagonal', 'into logs'] as const)(
    'comes %s to as many bars as asked, which hold all but what the blades took',
    (how) => {
      for (const [piece, pieces] of [
        [slab, 40],
        [loaf, 10]
      ] as const) {
        const { engine, prism } = piece.traced;
        const all = (engine.level * prism.shaped.section.area) / 1000;
        const clean = cutUp(piece, { pieces, how, kerf: 0 });
        expect(clean.bars).toHaveLength(pieces);
        expect(sum(clean.bars.map((b) => b.ml)) / all).toBeCloseTo(1, 2);
        const sawn = cutUp(piece, { pieces, how, kerf: 2 });
        expect(sawn.lostMl).toBeGreaterThan(0.005 * all);
        expect(sum(sawn.bars.map((b) => b.ml)) + sawn.lostMl).toBeCloseTo(
          sum(clean.bars.map((b) => b.ml)) + clean.lostMl,
          -1
        );
      }
    }
  );

  it('is sliced along a loaf and into a grid of easy bars from a slab', () => {
    const slices = cutUp(loaf, { pieces: 10, how: 'straight', kerf: 0 });
    expect(slices.blades).toHaveLength(9);
    expect(new Set(slices.bars.map((b) => b.from.y)).size).toBe(1);
    expect(gridFor(40, 300, 196)).toEqual({ across: 10, away: 4 });
    expect(Object.values(gridFor(7, 100, 100)).sort()).toEqual([1, 7]);
  });

  it('parts each block on its diagonal into two wedges of one volume together', () => {
    const { bars } = cutUp(slab, { pieces: 40, how: 'on the diagonal', kerf: 0 });
    const middle = bars.filter((b) => b.name.startsWith('8 '));
    expect(middle.map((b) => b.name)).toEqual(['8 under', '8 over']);
    expect(middle[0]!.ml / middle[1]!.ml).toBeCloseTo(1, 0.9);
    expect(middle[0]!.faces[0]).toEqual(middle[1]!.faces[0]);
  });

  it('leaves the last block whole where an odd number is cut on the diagonal', () => {
    const { bars } = cutUp(slab, { pieces: 41, how: 'on the diagonal', kerf: 0 });
    expect(bars).toHaveLength(41);
    expect(bars.filter((b) => / /.test(b.name))).toHaveLength(40);
  });

  it('gives each blade its width, and the bars the rest', () => {
    const { bars } = cutUp(slab, { pieces: 40, how: 'straight', kerf: 3 });
    const wide = bars.map((b) => b.to.x - b.from.x);
    expect(Math.min(...wide)).toBeCloseTo((300 - 9 * 3) / 10, 9);
    expect(Math.max(...wide)).toBeCloseTo((300 - 9 * 3) / 10, 9);
    expect(Math.max(...bars.map((b) => b.to.x))).toBeCloseTo(150, 9);
  });

  it('says which bar a face belongs to: a bar from the side shows what lay there', () => {
    const { bars, ...rest } = cutUp(loaf, { pieces: 10, how: 'straight', kerf: 0 });
    const [first] = barsShown(loaf, { bars: bars.slice(0, 1), ...rest }, 40);
    expect(first!.picture.shows.length).toBeGreaterThan(1);
    expect(sum(first!.picture.shows.map((s) => s.share))).toBeCloseTo(1, 6);
    // The top is foam, by the plan: nothing else reaches the rim.
    const { width, rgba } = first!.picture;
    const top = [...rgba.slice(4 * (width + Math.floor(width / 2)), 4 * (width + Math.floor(width / 2)) + 3)];
    expect(Math.min(...top)).toBeGreaterThan(190);
  });

  it.runIf(isToday(0, 2))('finds the way of cutting that shows most of a colour', () => {
    const found = cutsFor(slab, { pieces: 40, how: 'straight', kerf: 0 }, 'mudflat');
    expect(found).toHaveLength(3);
    expect(found[0]!.share).toBeGreaterThanOrEqual(found[2]!.share);
    expect(found[0]!.share).toBeGreaterThan(0.05);
  });

  it('counts embeds that a blade would meet', () => {
    const { casting } = slab.traced;
    const clear = { kind: 'ball', x: 10, y: 19, z: 5, radius: 3 } as const;
    const met = { ...clear, x: 0 };
    casting.embeds.push(clear, met);
    expect(cutUp(slab, { pieces: 40, how: 'straight', kerf: 0 }).struck).toBe(1);
    casting.embeds.length = 0;
  });
});

describe('the picture of a cut', () => {
  /** The share of a cut's columns that are of one colour from top to bottom: all of them in a drawing pulled straight down. */
  const straight = (techniqueId: string, kind: string): number => {
    const piece = pieceOf(tried(techniqueId, kind, 'slab'), cards, {}, {})!;
    const drawn = piece.face({ kind: 'cut', heading: 0, off: 3 });
    const codes = (x: number) => Array.from({ length: 24 }, (_, j) => drawn.sample(x, (j + 0.5) / 24));
    const columns = Array.from({ length: 120 }, (_, i) => codes((i + 0.5) / 120));
    return columns.filter((c) => new Set(c).size === 1).length / columns.length;
  };

  it('is no plan view pulled down: borders between chambers waver, tools lean', () => {
    expect(straight('divider-swirl', 'soap')).toBeLessThan(0.75);
    expect(straight('puddle-stack', 'resin')).toBeLessThan(0.3);
    expect(straight('dirty-cup', 'resin')).toBeLessThan(0.75);
  });
});
