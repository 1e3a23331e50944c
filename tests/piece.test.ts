import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Plan } from '../src/core/plan';
import { isToday } from '../src/core/soak.testing';
import { Workshop, type Bench } from './workshop';

let workshop: Workshop;
let bench: Bench;
beforeAll(async () => {
  workshop = await Workshop.open({ demo: true, pictures: true });
  bench = await workshop.page('/plans/rockpool-roundels');
});
afterAll(async () => {
  await workshop.close();
});

const PICTURE = '[aria-label="mould face of roundels 1–6"]';
const drawn = (label = PICTURE) => bench.page.waitForSelector(`${label}[data-drawn="whole"]`);
const api = (path: string) => fetch(`${workshop.address}/api/v1${path}`);
const plan = async (id: string) => (await (await api(`/plans/${id}`)).json()) as Plan;

/** Every pixel of the picture that is shown, as one word. */
const pixels = () =>
  bench.page.$eval('[aria-label="Piece and core"] canvas', (e) => {
    const c = e as HTMLCanvasElement;
    const { data } = c.getContext('2d')!.getImageData(0, 0, c.width, c.height);
    let hash = 0;
    for (let i = 0; i < data.length; i += 7) hash = (Math.imul(hash, 31) + data[i]!) | 0;
    return `${c.width} ${hash}`;
  });

/** What was poured of the cups is all of it, and so is what they show; each share is rounded for itself. */
async function expectWhole(): Promise<void> {
  const shows = await bench.text('[aria-label="Piece and core"]');
  const arrows = [...shows.matchAll(/(\d+) %\s*→\s*(\d+) %/g)];
  expect(arrows.length).toBeGreaterThan(1);
  for (const side of [1, 2]) {
    const sum = arrows.reduce((s, m) => s + Number(m[side]), 0);
    expect(Math.abs(sum - 100)).toBeLessThanOrEqual(arrows.length);
  }
}

describe('the drawn piece', () => {
  it('stands on the workbench, and follows an edit and its undoing', async () => {
    await drawn();
    const before = await pixels();
    await bench.type('Amount of step 2', '12 ml');
    await expect.poll(pixels).not.toBe(before);
    await drawn();
    await expectWhole();
    await bench.type('Amount of step 2', '24.2 ml');
    await expect.poll(pixels).toBe(before);
  });

  it('says of a place what it is and how it came there, by tap and by arrow keys', async () => {
    await drawn();
    const place = await bench.page.$('[aria-label^="What is here?"]');
    const box = (await place!.boundingBox())!;
    await bench.page.mouse.click(box.x + box.width / 2, box.y + 5);
    await bench.says('[data-testid="told"]', 'A foam from “pour a layer of A foam');
    // What lies farther in was pushed about by what was poured after it.
    const told = new Set<string>();
    for (let i = 1; i < 9; i++) {
      await bench.page.mouse.click(box.x + (box.width * i) / 9, box.y + box.height * 0.42);
      told.add(await bench.says('[data-testid="told"]', 'from “'));
    }
    expect([...told].join()).toMatch(/(heron|lavender) from “puddle .*moved by “/);
    await place!.focus();
    await bench.page.keyboard.press('ArrowDown');
    await bench.says('[data-testid="told"]', 'foam');
  });

  it.runIf(isToday(0, 2))('is gone through step by step, and is one of several it may come to', async () => {
    const whole = await pixels();
    const thumb = await bench.page.$('[aria-label="Steps done in the picture"]');
    await thumb!.focus();
    await bench.page.keyboard.press('Home');
    await bench.says('[data-testid="shown-until"]', 'pour a layer of A foam');
    await expect.poll(pixels).not.toBe(whole);
    await bench.page.keyboard.press('End');
    await expect.poll(pixels).toBe(whole);
    await bench.click('Variations');
    await bench.page.waitForFunction(
      () => document.querySelectorAll('[data-testid="range"] [data-drawn="whole"]').length === 4,
      { timeout: 180_000 }
    );
    await bench.click('Piece 3');
    await expect.poll(pixels).not.toBe(whole);
    await bench.click('Piece 1');
    await expect.poll(pixels).toBe(whole);
    await bench.click('Variations');
  });

  it('is cut anywhere', async () => {
    await bench.click('Cut', 'tab');
    await drawn('[aria-label="cut through roundels 1–6"]');
    const before = await pixels();
    const off = await bench.page.$('[aria-label="Off the middle"]');
    await off!.focus();
    await bench.page.keyboard.press('PageUp');
    for (let i = 0; i < 12; i++) await bench.page.keyboard.press('ArrowRight');
    await expect.poll(pixels).not.toBe(before);
    await bench.click('Mould side', 'tab');
    await drawn();
  });

  it.runIf(isToday(1, 2))('is looked at round its wall, where it is high enough to have one', async () => {
    await bench.walk('/plans/rockpool-roundels');
    await drawn();
    expect(await bench.text('[aria-label="Which face"]')).not.toContain('Wall');
    await bench.walk('/plans/night-heron');
    await bench.click('Wall', 'tab');
    await drawn('[aria-label="wall of loaf"]');
    // Round the loaf at its rim: twice its length and its width.
    const ratio = await bench.page.$eval('[data-picture] canvas', (e) => {
      const c = e as HTMLCanvasElement;
      return c.width / c.height;
    });
    expect(ratio).toBeGreaterThan(7);
  });

  it('is asked for: the pour that comes nearest is applied in one tap', async () => {
    await bench.walk('/plans/tideline-knobs');
    await drawn('[aria-label^="mould face of knobs"]');
    await expectWhole();
    const stepsNow = async () => JSON.stringify((await plan('tideline-knobs')).steps);
    const before = await stepsNow();
    await bench.click('Ask for a look');
    await bench.click('Ask for mudflat');
    await bench.type('How much mudflat shows', '30 %');
    await bench.click('Search the pour');
    await bench.page.waitForSelector('[data-testid="face-answer"]');
    await bench.says('[data-testid="face-answer"]', 'mudflat shows');
    await bench.click('Pour it so');
    await expect.poll(stepsNow).not.toBe(before);
    await bench.click('Undo');
    await expect.poll(stepsNow).toBe(before);
  });
});

describe('typing on', () => {
  it.runIf(isToday(1, 2))(
    'keeps up: nine edits one after another, and figures and picture are those of the last',
    async () => {
      await bench.walk('/plans/sluice-bookends');
      await bench.page.waitForSelector('[data-drawn="whole"]');
      for (let i = 0; i < 9; i++) await bench.type('Room temperature', `${18 + i}`);
      await bench.page.waitForSelector('[data-drawn="whole"]');
      await expect.poll(async () => (await plan('sluice-bookends')).bench.roomCelsius).toBe(26);
      expect(bench.errors).toEqual([]);
      await expectWhole();
    }
  );
});

describe('a loaf that is cut', () => {
  it.runIf(isToday(0, 2))(
    'shows every bar, where it lay and what it weighs, and changes the cut in place',
    async () => {
      const page = await workshop.page('/plans/night-heron');
      await page.page.waitForFunction(
        () => document.querySelectorAll('[data-testid="bars"] canvas').length === 10,
        {
          timeout: 180_000
        }
      );
      await page.page.$eval('[data-testid="bars"] button', (e) => (e as HTMLElement).click());
      await page.says('[data-testid="bar"]', 'bar 1');
      await page.choose('How it is cut', 'on the diagonal');
      await expect
        .poll(async () => (await plan('night-heron')).steps.find((s) => s.act.kind === 'cut')?.act.how)
        .toBe('on the diagonal');
      await page.choose('Show most of which colour', 'B sluice black');
      await page.page.waitForSelector('[data-testid="cuts"] button', { timeout: 180_000 });
    }
  );
});

describe('pictures over HTTP', () => {
  it('are of the size asked, of the face asked, and the same again', async () => {
    const one = await api('/plans/rockpool-roundels/picture?size=120&face=open%20face');
    expect(one.headers.get('content-type')).toBe('image/png');
    const bytes = Buffer.from(await one.arrayBuffer());
    const { width, height } = await sharp(bytes).metadata();
    expect([width, height]).toEqual([120, 120]);
    const again = await api('/plans/rockpool-roundels/picture?size=120&face=open%20face');
    expect(Buffer.from(await again.arrayBuffer()).equals(bytes)).toBe(true);
    const other = await api('/plans/rockpool-roundels/picture?size=120&face=mould%20face');
    expect(Buffer.from(await other.arrayBuffer()).equals(bytes)).toBe(false);
  });

  it.runIf(isToday(1, 2))('are drawn in true size, and mirrored for under the mould', async () => {
    const svg = await (await api('/plans/saltings-bars/picture?as=svg&face=mould%20face')).text();
    expect(svg).toContain('width="300mm" height="196mm"');
    expect(svg).toContain('<title>mudflat</title>');
    const template = await (await api('/plans/saltings-bars/picture?as=template&face=mould%20face')).text();
    expect(template).toContain('scale(-1 1)');
    expect(template).not.toMatch(/fill="#/);
  });

  it('say what is wrong with what was asked', async () => {
    for (const [query, status] of [
      ['size=9', 422],
      ['size=90000', 422],
      ['face=under', 422],
      ['cavities=nowhere', 404]
    ] as const) {
      const refused = await api(`/plans/rockpool-roundels/picture?${query}`);
      expect(refused.status).toBe(status);
      expect(((await refused.json()) as { problems: unknown[] }).problems).toHaveLength(1);
    }
    expect((await api('/plans/none/picture')).status).toBe(404);
    expect((await api('/runs/none/picture')).status).toBe(404);
  });

  it('stand on the plans, each its own', async () => {
    const page = await workshop.page('/plans');
    await page.page.waitForFunction(
      () => [...document.querySelectorAll('img')].filter((i) => i.complete && i.naturalWidth > 0).length >= 8,
      { timeout: 180_000 }
    );
  });
});
