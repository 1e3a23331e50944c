import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { photographed, QUALITIES, type Placed } from '../src/core/photo';
import { isToday } from '../src/core/soak.testing';
import { TECHNIQUES } from '../src/core/pour';
import { drawnPour } from '../scripts/lib/drawn-faces';
import { Workshop, type Bench } from './workshop';

let shop: Workshop;
beforeAll(async () => {
  shop = await Workshop.open({ demo: true, pictures: true });
});
afterAll(() => shop.close());

/** A face as its bytes, photographed with light and noise, as a file; and where the piece is on it. */
async function photoOf(name: string, face: Parameters<typeof photographed>[0], outline: Placed['outline']) {
  const { photo, placed } = photographed(face, { quality: QUALITIES.fair, seed: 3, outline, side: 420 });
  const { width, height, rgba } = photo;
  const file = join(shop.folder, `${name}.png`);
  const raw = { width, height, channels: 4 as const };
  writeFileSync(file, await sharp(Uint8ClampedArray.from(rgba), { raw }).png().toBuffer());
  return { file, placed };
}

/** A pour that the program has drawn itself, photographed. */
function photoOfPour(techniqueId: string, layout: number) {
  const pour = drawnPour(
    TECHNIQUES.find((t) => t.id === techniqueId)!,
    layout
  )!;
  return photoOf(techniqueId, pour, pour.outline);
}

/** A piece of a plan that came out as it was drawn, photographed. */
async function photoOfPiece(planId: string) {
  const query = new URLSearchParams({ as: 'png', face: 'mould face', size: '500' });
  const address = `${shop.address}/api/v1/plans/${planId}/picture?${query}`;
  let answer = await fetch(address);
  // A busy server says so, and is asked again.
  for (let tries = 0; !answer.ok && tries < 20; tries++) answer = await fetch(address);
  const { data, info } = await sharp(Buffer.from(await answer.arrayBuffer()))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return photoOf(planId, { width: info.width, height: info.height, rgba: data }, 'round');
}

const send = async ({ page }: Bench, selector: string, file: string): Promise<void> => {
  const input = (await page.$(selector)) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(file);
};

/** Sets the corners of the piece on the photo by dragging each there, its outline, and the white. */
async function place({ page }: Bench, { corners, outline, white }: Placed): Promise<void> {
  const photo = (await page.waitForSelector('[data-testid="photo"]'))!;
  await photo.scrollIntoView();
  const box = (await photo.boundingBox())!;
  const at = ({ x, y }: { x: number; y: number }) => [box.x + x * box.width, box.y + y * box.height] as const;
  for (const [i, handle] of (await page.$$('button[aria-label*="corner"]')).entries()) {
    const own = (await handle.boundingBox())!;
    await page.mouse.move(own.x + own.width / 2, own.y + own.height / 2);
    await page.mouse.down();
    await page.mouse.move(...at(corners[i]!), { steps: 3 });
    await page.mouse.up();
  }
  await page
    .locator(
      `[aria-label="Outline of the piece"] ::-p-text(${outline === 'round' ? 'round' : 'with corners'})`
    )
    .click();
  if (!white) return;
  await page.locator('::-p-text(Tap a white)').click();
  await page.mouse.click(...at(white));
}

describe('from a picture to a pour', () => {
  it.runIf(isToday(0, 2))(
    'says what is seen, finds the pour, and opens it as a plan with its picture beside it',
    async () => {
      const { file, placed } = await photoOfPour('dirty-cup', 51);
      const bench = await shop.page('/plans/from-picture?mould=roundel&base=clear-slow');
      const { page } = bench;
      await send(bench, 'input[type=file]', file);
      await place(bench, placed);
      await page.waitForFunction(() => document.querySelectorAll('[data-testid="seen-colour"]').length >= 2);
      await page.locator('button ::-p-text(Find a pour)').click();
      await page.waitForSelector('[data-testid="poured-like"]');
      await page.waitForFunction(
        () => ![...document.querySelectorAll('button')].some((b) => b.textContent?.startsWith('Stop'))
      );
      const shares = await page.$$eval('[data-testid="poured-like"] tbody tr', (rows) =>
        rows.map((r) => [1, 2].map((i) => Number(r.children[i]!.textContent!.replace(/[^0-9.]/g, ''))))
      );
      expect(shares.length).toBeGreaterThan(1);
      for (const [wanted, drawn] of shares) expect(Math.abs(wanted! - drawn!)).toBeLessThan(16);
      await page.locator('[data-testid="poured-like"] button.go').click();
      await page.waitForFunction(() => /\/plans\/(?!from-picture)/.test(location.pathname));
      // What stands under the picture has its place once that is drawn.
      await page.waitForSelector('[data-picture] [data-drawn]');
      await page.locator('button ::-p-text(Asked for)').click();
      await page.waitForSelector('[data-testid="aim"] canvas');
      expect(bench.errors).toEqual([]);
      await page.close();
    }
  );

  it('says of a file that is no picture what to do', async () => {
    const bench = await shop.page('/plans/from-picture');
    const file = join(shop.folder, 'words.txt');
    writeFileSync(file, 'no picture');
    await send(bench, 'input[type=file]', file);
    await bench.says('[role="alert"]', 'Choose a JPEG, PNG or WebP');
    await bench.page.close();
  });
});

describe('a finished piece', () => {
  it.runIf(isToday(1, 2))(
    'is measured by a photo: planned and measured stand side by side and are kept',
    async () => {
      const bench = await shop.page('/record/rockpool-first');
      const { page } = bench;
      const { file, placed } = await photoOfPiece('rockpool-roundels');
      await bench.says('[data-testid="inspect"]', 'Add a photo');
      // Of the fourth no photo was taken yet.
      const fourth = () => page.locator('[role="tab"]:nth-child(4)').click();
      await fourth();
      await bench.says('[data-testid="inspect"]', 'Piece 4');
      await page.locator('::-p-text(What each colour shows, by a photo)').click();
      await send(bench, '[data-testid="inspect"] input[type=file]', file);
      await page.locator('[data-testid="measured-face"] ::-p-text(photo 1)').click();
      await place(bench, placed);
      await page.locator('::-p-text(Measure the face)').click();
      await page.waitForSelector('[data-testid="measured-shares"]');
      const read = () =>
        page.$$eval('[data-testid="measured-shares"] tbody tr', (rows) =>
          rows.map((r) => [1, 2].map((i) => Number(r.children[i]!.textContent!.replace(/[^0-9]/g, ''))))
        );
      const shares = await read();
      expect(shares.length).toBeGreaterThan(1);
      for (const [planned, measured] of shares) expect(Math.abs(planned! - measured!)).toBeLessThan(8);
      const kept = async () => {
        const pieces = await (await fetch(`${shop.address}/api/v1/runs/rockpool-first/pieces`)).json();
        return JSON.stringify(pieces.find((p: { number: number }) => p.number === 4));
      };
      await expect.poll(kept, { timeout: 60_000 }).toContain('"shows"');
      await bench.go('/record/rockpool-first');
      await fourth();
      await page.locator('::-p-text(What each colour shows, by a photo)').click();
      await page.waitForSelector('[data-testid="measured-shares"]');
      expect(await read()).toEqual(shares);
      // On the sheet of the piece the three stand side by side at one size, and print so; the figures are those that were kept.
      await bench.click('Sheet of this piece', 'link');
      await page.waitForSelector('[data-testid="side-by-side"] canvas');
      const sizes = await page.$$eval('[data-testid="side-by-side"] canvas', (all) =>
        all.map((c) => c.getBoundingClientRect()).map((r) => [Math.round(r.width), Math.round(r.height)])
      );
      expect(sizes).toHaveLength(3);
      expect(new Set(sizes.map(String)).size).toBe(1);
      expect(await read()).toEqual(shares);
      await page.emulateMediaType('print');
      expect(await page.$eval('[data-testid="side-by-side"]', (e) => e.checkVisibility())).toBe(true);
      expect(await page.$eval('article input[type=range]', (e) => e.checkVisibility())).toBe(false);
      await page.emulateMediaType(undefined);
      expect(bench.errors).toEqual([]);
      await page.close();
    }
  );
});
