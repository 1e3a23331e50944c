import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { kingfisher, rockpool, tideline } from '../../../demo/plans';
import { Plan } from '../plan';
import { pieceOf, picturing, wholePicture, type Picture } from './picture';
import { tried } from './piece.testing';
import { pixelsOf } from './pixels';
import { differOn } from './shown';

const open = { kind: 'open face' } as const;
const shareOf = (of: Picture['shows'], cupId: string) => of.find((s) => s.cupId === cupId)?.share ?? 0;

/** Everything that is offered while a face is drawn. */
function offered(plan: Plan, size: number): Picture[] {
  const steps = picturing(pieceOf(plan, cards, {}, {})!, open, { size });
  const all: Picture[] = [];
  for (;;) {
    const { value, done } = steps.next();
    all.push(typeof value === 'function' ? value() : value);
    if (done) return all;
  }
}

describe('what shows', () => {
  it('is one figure from the first to the last, and at every size', () => {
    const [first, ...rest] = offered(rockpool, 300);
    expect(first!.counted).toBe(false);
    expect(first!.shows).toEqual([]);
    for (const { counted, shows } of rest) {
      expect(counted).toBe(true);
      expect(shows).toEqual(rest[0]!.shows);
    }
    expect(offered(rockpool, 24).at(-1)!.shows).toEqual(rest[0]!.shows);
  });

  it('is what a fine picture shows, counted pixel by pixel', () => {
    for (const plan of [rockpool, tideline]) {
      const piece = pieceOf(plan, cards, {}, {})!;
      const { shows } = wholePicture(piece, open, { size: 20 });
      const face = piece.face(open);
      const counts = new Map<string, number>();
      let all = 0;
      for (let j = 0; j < 400; j++)
        for (let i = 0; i < 400; i++) {
          const code = face.sample((i + 0.5) / 400, (j + 0.5) / 400);
          if (code < 0) continue;
          all++;
          for (const { matter, share } of face.paint.seen[code]!) {
            const m = piece.traced.matters[matter]!;
            if ('cupId' in m) counts.set(m.cupId, (counts.get(m.cupId) ?? 0) + share);
          }
        }
      for (const [cupId, n] of counts) expect(Math.abs(shareOf(shows, cupId) - n / all)).toBeLessThan(0.005);
    }
  });

  it('is what lies behind a clear layer, not the clear', () => {
    const { shows } = wholePicture(pieceOf(kingfisher, cards, {}, {})!, open, { size: 30 });
    expect(shareOf(shows, 'clear')).toBeLessThan(0.03);
    expect(shareOf(shows, 'reed')).toBeGreaterThan(0.7);
    expect(shows.reduce((s, x) => s + x.share, 0)).toBeCloseTo(1, 6);
  });

  it('is shared between what tints and what is seen through it, by how deep the tint is', () => {
    const plan = tried('layers', 'resin', 'roundel');
    const [back, front] = plan.cups;
    const of = (mm: number, percent: number) => {
      const cups = [
        { ...back!, recipe: [{ id: 'w', colourantId: 'white-paste', percent: 4 }] },
        { ...front!, recipe: [{ id: 't', colourantId: 'blue-paste', percent }] }
      ];
      const lay = (cupId: string, amount: object) => ({
        id: `lay-${cupId}`,
        act: { kind: 'lay', cupId, amount },
        where: ['group-1'],
        gates: []
      });
      const steps = [lay(back!.id, { kind: 'to share', of: 0.4 }), lay(front!.id, { kind: 'deep', mm })];
      const made = Plan.parse({ ...plan, cups: [...cups, ...plan.cups.slice(2)], steps });
      return shareOf(wholePicture(pieceOf(made, cards, {}, {})!, open, { size: 16 }).shows, front!.id);
    };
    const [thin, thick, pale] = [of(1, 0.05), of(4, 0.05), of(4, 0.02)];
    expect(thin).toBeLessThan(thick);
    expect(pale).toBeLessThan(thick);
    expect(thin).toBeGreaterThan(0);
    expect(thick).toBeLessThan(1);
  });
});

describe('what is left to chance', () => {
  const differ = (plan: Plan, which: 'open face' | 'mould face') => {
    const [one, other] = ['1', '2'].map((seed) => {
      const piece = pieceOf(plan, cards, {}, { seed })!;
      return { face: piece.face({ kind: which }), matters: piece.traced.matters };
    });
    return differOn(one!, other!);
  };

  it('is seen where colours swirl, and nowhere where they lie level', () => {
    expect(differ(rockpool, 'open face')).toBe(true);
    expect(differ(tried('layers', 'resin', 'roundel'), 'open face')).toBe(false);
  });
});

describe('a border', () => {
  it('is as smooth as what it parts: a disc covers its area, whatever its pixels', () => {
    for (const size of [24, 61, 120]) {
      const { rgba, width, height } = wholePicture(
        pieceOf(tried('layers', 'resin', 'roundel'), cards, {}, {})!,
        { kind: 'mould face' },
        { size }
      );
      let covered = 0;
      for (let i = 3; i < rgba.length; i += 4) covered += rgba[i]! / 255;
      expect(covered / (width * height)).toBeCloseTo(Math.PI / 4, 2);
    }
  });

  it('mixes by light: half black and half white are lighter than their middle number', () => {
    const mixed = (...parts: [number, number, number, number]) =>
      pixelsOf(
        { width: 1, height: 1, codes: Int32Array.of(0), edges: { at: [0], parts }, taken: 5 },
        (code) => [255 * code, 255 * code, 255 * code]
      );
    // Half the light of white is 188 of 255, by the curve of sRGB: ((0.5)^(1/2.4) × 1.055 − 0.055) × 255.
    expect([...mixed(0, 0, 1, 1)]).toEqual([188, 188, 188, 255]);
    expect([...mixed(1, 1, 1, 1)]).toEqual([255, 255, 255, 255]);
    // What lies outside the piece takes of how much it covers, not of its colour.
    expect([...mixed(1, -1, -1, -1)]).toEqual([255, 255, 255, 64]);
  });
});
