import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { someOf } from '$core/soak.testing';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { VIEWS } from './views';
import { notSaid } from './words';
import { Workshop, type Bench } from './workshop';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
let workshop: Workshop;
let bench: Bench;

beforeAll(async () => {
  workshop = await Workshop.open({ demo: true, pictures: true });
  bench = await workshop.page('/guide', 'light');
  // Colours are judged as they come to rest.
  await bench.page.addStyleTag({ content: '* { transition: none !important; animation: none !important }' });
  await bench.page.evaluate(axe);
});
afterAll(async () => {
  await workshop.close();
});

/** What axe finds wrong on a page as it stands, by its rules or by some of them. */
const faultsOn = (bench: Bench, only: 'all' | 'colours') =>
  bench.page.evaluate(async (only) => {
    const { axe } = window as unknown as {
      axe: { run(o: object): Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> };
    };
    const rules =
      only === 'all' ? ['wcag2a', 'wcag2aa'] : { type: 'rule' as const, values: ['color-contrast'] };
    const { violations } = await axe.run({
      runOnly: rules,
      rules: { 'label-content-name-mismatch': { enabled: only === 'all' } },
      resultTypes: ['violations']
    });
    return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`);
  }, only);

describe('every view', () => {
  it.each(someOf(VIEWS, 4))('%s is readable by everyone in both themes and fits the page', async (path) => {
    await bench.page.evaluate(() => (document.documentElement.dataset.theme = 'light'));
    await bench.walk(path);
    await bench.page.waitForSelector('main, [data-testid="now"]');
    expect(await faultsOn(bench, 'all')).toEqual([]);
    // The other theme has the same parts in other colours.
    await bench.page.evaluate(() => (document.documentElement.dataset.theme = 'dark'));
    expect(await faultsOn(bench, 'colours')).toEqual([]);
    const sideways = await bench.page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(sideways).toBeLessThanOrEqual(0);
    expect(await bench.notInWords()).toEqual([]);
    expect(await notSaid(bench)).toEqual([]);
    expect(await bench.page.$$eval('h1', (all) => all.length)).toBe(1);
    expect(bench.errors).toEqual([]);
  });
});

describe('the list of plans', () => {
  it('says of each plan what its workbench says', async () => {
    await bench.walk('/plans');
    const tiles = await bench.page.$$eval('li a[href^="/plans/"]', (all) =>
      all.map((a) => ({ href: a.getAttribute('href')!, text: (a as HTMLElement).innerText }))
    );
    expect(tiles.length).toBeGreaterThan(8);
    for (const { href, text } of someOf(tiles, 3)) {
      await bench.walk(href);
      const balance = await bench.says('[data-testid="balance"]', /[\d.]+ g mixed/);
      const mixed = /([\d.]+) g mixed/.exec(balance)![1]!;
      const [, figure, kg] = /([\d.]+) (k?)g to mix/.exec(text)!;
      const times = kg ? 1000 : 1;
      // Each is rounded to its own last digit, and they may differ by no more than that.
      const half = (figure: string) => 0.5 * 10 ** -(figure.split('.')[1]?.length ?? 0);
      expect(Math.abs(Number(figure) * times - Number(mixed)), href).toBeLessThanOrEqual(
        half(figure!) * times + half(mixed) + 1e-9
      );
      const toMend = /(\d+) (?:warning|problem)/.exec(text)?.[1] ?? '0';
      const mends = await bench.page.$eval(
        'header',
        (e) => /(\d+) (?:warning|problem)/.exec((e as HTMLElement).innerText)?.[1] ?? '0'
      );
      expect([href, toMend]).toEqual([href, mends]);
    }
  });
});
