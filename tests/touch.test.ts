import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { isToday, someOf } from '$core/soak.testing';
import { VIEWS } from './views';
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

const as = (width: number, height: number) =>
  bench.page.setViewport({ width, height, isMobile: true, hasTouch: true });
const sideways = () => bench.page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
/** Least side of a target under a thumb, px. */
const THUMB = 44;
/** Targets that are seen and are smaller than a thumb needs; links within a sentence are read, not aimed at. */
const small = () =>
  bench.page.evaluate((least) => {
    const all = document.querySelectorAll<HTMLElement>(
      'button, [role="tab"], [role="combobox"], input, select, a.button, a.tap'
    );
    return [...all].flatMap((e) => {
      const { width, height } = e.getBoundingClientRect();
      const hidden =
        width === 0 ||
        e.closest('[aria-hidden="true"], .sr-only') ||
        (e as HTMLInputElement).type === 'range';
      return !hidden && height < least - 0.5
        ? [`${e.getAttribute('aria-label') ?? e.innerText} ${width.toFixed(0)}×${height.toFixed(0)}`]
        : [];
    });
  }, THUMB);
/** Whether something is wholly on the screen. */
const onScreen = (selector: string) =>
  bench.page.$eval(selector, (e) => {
    const r = e.getBoundingClientRect();
    return r.width > 0 && r.left >= 0 && r.right <= innerWidth && r.top >= 0 && r.bottom <= innerHeight;
  });

describe('on a tablet', () => {
  it.each(['/plans/tideline-knobs', '/', '/run/tideline-third'])('%s is worked by thumb', async (path) => {
    await as(768, 1024);
    await bench.walk(path);
    await bench.page.waitForSelector('main');
    expect(await sideways()).toBeLessThanOrEqual(0);
    expect(await small()).toEqual([]);
  });

  it.each(someOf(VIEWS, 6))('%s has its buttons and fields under a thumb', async (path) => {
    await bench.walk(path);
    await bench.page.waitForSelector('main, [data-testid="now"]');
    expect(await sideways()).toBeLessThanOrEqual(0);
    expect(await small()).toEqual([]);
  });

  it('a step opens, and is changed and moved', async () => {
    await bench.walk('/plans/rockpool-roundels');
    await bench.openStep(2);
    await bench.type('Amount of step 2', '20 ml');
    await bench.click('Move down step 2');
    await bench.says('[data-open-step="3"]', 'heron');
    expect(bench.errors).toEqual([]);
  });
});

describe('on a phone', () => {
  it.each(['/', '/plans', '/plans/tideline-knobs', '/plans/tideline-knobs/sheet', '/run/tideline-third'])(
    '%s fits',
    async (path) => {
      await as(390, 844);
      await bench.walk(path);
      await bench.page.waitForSelector('main');
      expect(await sideways()).toBeLessThanOrEqual(0);
      expect(bench.errors).toEqual([]);
    }
  );

  it('a run has its confirm, its mistakes and its undo under the thumb', async () => {
    await as(390, 844);
    await bench.walk('/run/tideline-third');
    await bench.page.waitForSelector('[data-testid="confirm"]');
    expect(await onScreen('[data-testid="confirm"]')).toBe(true);
    for (const name of ['Fix a mistake', 'Undo', 'Note']) {
      const button = `::-p-aria([name="${name}"][role="button"])`;
      const box = await (await bench.page.waitForSelector(button))!.boundingBox();
      expect(box!.x + box!.width, name).toBeLessThanOrEqual(390);
      expect(box!.y + box!.height, name).toBeLessThanOrEqual(844);
    }
  });
});

describe('by keyboard', () => {
  it.runIf(isToday(1, 2))('the rail is skipped, and the picture answers where the cursor is', async () => {
    await bench.page.setViewport({ width: 1280, height: 800 });
    await bench.go('/plans/rockpool-roundels');
    await bench.page.keyboard.press('Tab');
    expect(await bench.page.evaluate(() => document.activeElement?.textContent)).toBe('Skip to the page');
    await bench.page.keyboard.press('Enter');
    await expect.poll(() => bench.page.evaluate(() => location.hash)).toBe('#main');
    await bench.page.waitForSelector('[data-drawn="whole"]');
    await bench.page.focus('[aria-label^="What is here?"]');
    await bench.page.keyboard.press('Enter');
    await bench.says('[data-testid="told"]', 'from “');
  });
});
