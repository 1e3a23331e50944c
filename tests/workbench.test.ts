import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { someOf } from '$core/soak.testing';
import { plans } from '$demo/plans';
import { Workshop, type Bench } from './workshop';

let workshop: Workshop;
let bench: Bench;
beforeAll(async () => {
  workshop = await Workshop.open({ demo: true, pictures: true });
  bench = await workshop.page('/plans');
});
afterAll(async () => {
  await workshop.close();
});

/** Acts that are to be in sight at least, and how high their lines may be, px; and the least picture. */
const [ACTS, LINE, PICTURE] = [8, 52, 400];
/** Least size of a text, px. */
const SMALL = 12;

/** What can be measured of the workbench as it stands. */
const measured = () =>
  bench.page.evaluate((small) => {
    const strip = document.querySelector('[data-score-strip]')!.getBoundingClientRect();
    const inSight = (e: Element | null) => {
      if (!e) return false;
      const r = e.getBoundingClientRect();
      return r.width > 0 && r.top >= 0 && r.left >= 0 && r.right <= innerWidth && r.bottom <= strip.top + 1;
    };
    const lines = [...document.querySelectorAll('[data-step]')];
    /** A text's size as it is seen: a drawing may be scaled. */
    const sizeOf = (e: Element) => {
      const size = parseFloat(getComputedStyle(e).fontSize);
      const svg = e.closest('svg');
      const wide = svg?.viewBox.baseVal?.width;
      return wide && e !== svg ? (size * svg.getBoundingClientRect().width) / wide : size;
    };
    const texts = [...document.querySelectorAll('main *, nav *')].filter(
      (e) =>
        e.getClientRects().length > 0 &&
        !e.closest('.sr-only') &&
        [...e.childNodes].some((n) => n.nodeType === Node.TEXT_NODE && n.textContent!.trim() !== '')
    );
    const picture = document.querySelector('[data-picture]')!.getBoundingClientRect();
    const drawn = document.querySelector('[data-picture] canvas')!.getBoundingClientRect();
    return {
      lines: lines.length,
      inSight: lines.filter(inSight).length,
      highest: Math.max(0, ...lines.map((e) => e.getBoundingClientRect().height)),
      picture: picture.width,
      drawn: Math.round(Math.max(drawn.width, drawn.height)),
      cut: inSight(document.querySelector('[data-cut] svg')),
      controls: inSight(document.querySelector('[data-picture-controls]')),
      strip: strip.height,
      sideways: document.documentElement.scrollWidth - innerWidth,
      down: document.documentElement.scrollHeight - innerHeight,
      hiding: [...document.querySelectorAll<HTMLElement>('button, [role="button"], a')]
        .map((b) => b.innerText.trim())
        .filter((t) => /(…|\.\.\.)$/.test(t)),
      tiny: texts.filter((e) => sizeOf(e) < small - 0.05).map((e) => e.textContent!.trim().slice(0, 30))
    };
  }, SMALL);

describe.each([
  [1280, 800, 0],
  [1440, 900, 1]
])('the workbench at %i × %i', (width, height, from) => {
  it.each(someOf(plans, 3, from).map((p) => [p.name, p.id] as const))(
    'shows what decides of %s',
    async (_, id) => {
      await bench.page.setViewport({ width, height });
      await bench.walk(`/plans/${id}`);
      // Where things stand does not wait for the last pixel.
      await bench.page.waitForSelector('[data-picture] [data-drawn]');
      await bench.page.waitForSelector('[data-cut] svg');
      const m = await measured();
      expect(m.inSight).toBeGreaterThanOrEqual(Math.min(ACTS, m.lines));
      expect(m.highest).toBeLessThanOrEqual(LINE);
      expect([m.picture, m.drawn].every((px) => px >= PICTURE)).toBe(true);
      expect([m.cut, m.controls]).toEqual([true, true]);
      expect(m.strip).toBeLessThanOrEqual(90);
      expect([m.sideways, m.down]).toEqual([0, 0]);
      expect(m.hiding).toEqual([]);
      expect(m.tiny).toEqual([]);
      expect(bench.errors).toEqual([]);
    }
  );
});

describe('the workbench', () => {
  it('keeps its place: nothing shifts when a form or a list opens', async () => {
    await bench.page.setViewport({ width: 1280, height: 800 });
    await bench.walk('/plans/saltings-bars');
    await bench.page.waitForSelector('[data-picture] [data-drawn="whole"]');
    const where = () =>
      bench.page.evaluate(() =>
        ['[data-step]', '[data-picture]', '[data-testid="weighings"]'].map(
          (s) => document.querySelector(s)!.getBoundingClientRect().left
        )
      );
    const before = await where();
    for (const n of [8, 1]) await bench.openStep(n);
    expect(await where()).toEqual(before);
    await bench.page.locator('[aria-label="Add a step to slab"]').click();
    await bench.page.waitForSelector('[role="listbox"]');
    expect(await where()).toEqual(before);
    expect(await bench.page.evaluate(() => document.documentElement.scrollHeight - innerHeight)).toBe(0);
    await bench.page.keyboard.press('Escape');
  });

  it('sets a step’s place with a tap on the picture', async () => {
    await bench.walk('/plans/rockpool-roundels');
    await bench.page.waitForSelector('[data-picture] [data-drawn="whole"]');
    await bench.click('Poured side', 'tab');
    await bench.page.waitForSelector('[aria-label="open face of roundels 1–6"][data-drawn="whole"]');
    await bench.openStep(3);
    await bench.says('[data-testid="told"]', 'Tap the picture where this step is to be');
    const box = await (await bench.page.$('[data-picture] canvas'))!.boundingBox();
    await bench.page.mouse.click(box!.x + box!.width * 0.75, box!.y + box!.height * 0.5);
    await bench.says('[data-open-step="3"]', 'at the right');
    await bench.click('Undo');
    await bench.says('[data-open-step="3"]', 'in the middle');
  });

  it('opens its timeline over the lower half, then the whole page, and remembers', async () => {
    const top = () =>
      bench.page.$eval('section[aria-label="Timeline"]', (e) => e.getBoundingClientRect().top / innerHeight);
    await bench.click('Timeline');
    await bench.page.waitForSelector('[data-testid="score"]');
    expect(await top()).toBeGreaterThan(0.3);
    await bench.click('Whole page');
    await expect.poll(top).toBe(0);
    await bench.walk('/plans/eel-cords');
    await bench.page.waitForSelector('[data-testid="score"]');
    await expect.poll(top).toBe(0);
    await bench.click('Hide');
    await bench.page.waitForSelector('[data-score-strip]');
  });
});
