import { existsSync } from 'node:fs';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { cards } from '../demo/cards';
import { bollard, rockpool } from '../demo/plans';
import { DEMO_PHOTOS } from '../demo/photos';
import { demoRuns } from '../demo/runs';
import { someOf } from '../src/core/soak.testing';
import { measureFace } from '../src/core/photo';
import { cupsOnFace, pieceOf } from '../src/core/piece';
import { spreadOfShares } from '../src/core/inspect';

const made = Object.entries(DEMO_PHOTOS).flatMap(([id, photo]) => (photo ? [[id, photo] as const] : []));
const runs = demoRuns(Date.UTC(2026, 5, 1));

describe('photos of the demo workshop’s pieces', () => {
  it.each(someOf(made, 3))(
    '%s lies there, belongs to a piece that says it was made, and shows what is kept of it',
    async (id, photo) => {
      const run = runs.find((r) => r.pieces.some((p) => p.id === id))!;
      const piece = run.pieces.find((p) => p.id === id)!;
      expect(piece.note).toMatch(/made by the program/);
      expect(piece.faces.find((f) => f.face === 'open face')!.shows).toEqual(photo.shows);
      const file = `demo/photos/${photo.shows.photo}.jpg`;
      expect(existsSync(file)).toBe(true);
      const { data, info } = await sharp(file).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
      expect([info.width, info.height]).toEqual([photo.width, photo.height]);
      const plan = run.frozen.file.plan.id === rockpool.id ? rockpool : bollard;
      const { cups } = cupsOnFace(pieceOf(plan, cards, {}, {})!, { kind: 'open face' }, 96);
      const measured = measureFace(
        { width: info.width, height: info.height, rgba: data },
        photo.shows,
        cups.map((c) => ({ id: c.cupId, hex: c.hex }))
      )!;
      for (const { cupIds, measured: kept } of photo.shows.shares) {
        const share = measured.shares.find((s) => s.ids.join() === cupIds.join())?.share;
        expect(share).toBeDefined();
        expect(Math.abs(share! - kept)).toBeLessThan(0.03);
      }
    }
  );

  it('are enough to tell how far pours here vary', () => {
    const spread = spreadOfShares(runs.flatMap((r) => r.pieces))!;
    expect(spread.pieces).toBe(made.length);
    expect(spread.spread).toBeGreaterThan(0.01);
    expect(spread.spread).toBeLessThan(0.12);
  });
});
