import { describe, expect, it } from 'vitest';
import { ownSpread, plannedAndMeasured, sharesBy, shownOtherwise, spreadOfShares } from './measured-shares';
import { Piece } from './piece';

const corners = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 }
];
/** A piece whose cup a was planned for 40 % of its face, as measured. */
const piece = (measured: number, within = 0.04): Piece =>
  Piece.parse({
    id: 'p1',
    groupId: 'g',
    number: 1,
    faces: [
      {
        face: 'open face',
        defects: [],
        shows: {
          photo: 'ph1',
          corners,
          outline: 'round',
          quality: 'fair',
          within,
          shares: [
            { cupIds: ['a'], planned: 0.4, measured },
            { cupIds: ['b', 'c'], planned: 0.6, measured: 1 - measured }
          ]
        }
      }
    ]
  });

describe('what a piece really shows', () => {
  it('differs only by more than measuring errs', () => {
    expect(shownOtherwise(piece(0.43))).toEqual([]);
    expect(shownOtherwise(piece(0.61)).map((s) => [s.cupIds, s.measured, s.limit])).toEqual([
      [['a'], 0.61, 0.04],
      [['b', 'c'], 0.39, 0.04]
    ]);
  });

  it('differs only by more than the maker’s own pours vary, once that is known', () => {
    const four = [0.3, 0.5, 0.46, 0.34].map((m) => piece(m));
    expect(spreadOfShares(four)).toBeUndefined();
    const own = spreadOfShares([...four, piece(0.4)])!;
    // Of two shares each: 0.1², 0.1², 0.06², 0.06², 0.
    expect(own.pieces).toBe(5);
    expect(own.spread).toBeCloseTo(Math.sqrt((0.01 + 0.01 + 0.0036 + 0.0036) / 5), 9);
    expect(shownOtherwise(piece(0.52), own)).toEqual([]);
    expect(shownOtherwise(piece(0.58), own)).toHaveLength(2);
  });

  it('is counted by whose hands poured it and what was done, and a maker’s own spread goes before everybody’s', () => {
    const by = (hands: string[], acts: string[], measured: number) => ({ ...piece(measured), hands, acts });
    const steady = [0.4, 0.41, 0.39, 0.4, 0.4].map((m) => by(['A'], ['lay'], m));
    const wild = [0.2, 0.6, 0.3, 0.5, 0.55].map((m) => by(['B'], ['lay', 'drag'], m));
    const few = [by(['C'], ['drag'], 0.1)];
    const all = [...steady, ...wild, ...few];
    const hands = sharesBy(all, 'hands');
    expect(hands.map((h) => [h.name, h.points.length, h.own?.pieces])).toEqual([
      ['A', 10, 5],
      ['B', 10, 5],
      ['C', 2, undefined]
    ]);
    expect(hands[0]!.own!.spread).toBeLessThan(hands[1]!.own!.spread / 5);
    expect(sharesBy(all, 'acts').map((a) => [a.name, a.own?.pieces])).toEqual([
      ['lay', 10],
      ['drag', 6]
    ]);
    expect(ownSpread(all, ['A'])).toEqual(spreadOfShares(steady));
    expect(ownSpread(all, ['C'])).toEqual(spreadOfShares(all));
    expect(ownSpread(few, ['C'])).toBeUndefined();
  });

  it('stands beside what was planned, by the cups that are told together', () => {
    const face = (shares: [string[], number][]) => ({
      width: 1,
      height: 1,
      labels: new Int8Array(1),
      telling: { quality: 'fair' as const, within: 0.04 },
      shares: shares.map(([ids, share]) => ({ ids, share, at: { x: 0.5, y: 0.5 } }))
    });
    const measured = face([
      [['b', 'c'], 0.7],
      [['a'], 0.3]
    ]);
    const planned = face([
      [['a'], 0.4],
      [['b', 'c'], 0.6]
    ]);
    expect(plannedAndMeasured(measured, planned)).toEqual([
      { cupIds: ['b', 'c'], planned: 0.6, measured: 0.7 },
      { cupIds: ['a'], planned: 0.4, measured: 0.3 }
    ]);
  });
});
