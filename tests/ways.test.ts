import { someOf } from '$core/soak.testing';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { plans } from '$demo/plans';
import { demoLots } from '$demo/lots';
import { demoRuns } from '$demo/runs';
import { USUAL_PREFERENCES, type Preferences } from '../src/core/preferences';
import { Workshop, type Bench } from './workshop';

/** Everything the other way round than usual. */
const OTHER: Preferences = {
  ...USUAL_PREFERENCES,
  weights: 'oz',
  volumes: 'fl oz',
  lengths: 'in',
  temperatures: '°F',
  currency: 'USD',
  paper: 'Letter',
  clock: '12 h',
  weekStarts: 0,
  makers: ['R.', 'T.']
};
const OUNCE = 28.349523125;

describe('an empty bench', () => {
  it('asks once how figures should read, as the browser’s language suggests', async () => {
    const workshop = await Workshop.open({ demo: false });
    try {
      const bench = await workshop.page('/');
      await bench.page.setExtraHTTPHeaders({ 'accept-language': 'en-US,en;q=0.8' });
      await bench.go('/');
      await bench.says('[data-testid="ask-ways"]', 'ounces and inches');
      // Nothing is in ounces before someone has said so.
      expect(await (await fetch(`${workshop.address}/api/v1/settings`)).json()).toEqual(USUAL_PREFERENCES);
      await bench.click('Ounces and inches');
      await bench.page.waitForFunction(() => !document.querySelector('[data-testid="ask-ways"]'));
      expect(await (await fetch(`${workshop.address}/api/v1/settings`)).json()).toMatchObject({
        weights: 'oz',
        paper: 'Letter',
        currency: 'USD'
      });
      await bench.walk('/');
      expect(await bench.page.$('[data-testid="ask-ways"]')).toBeNull();
      expect(bench.errors.join(' | ')).toBe('');
    } finally {
      await workshop.close();
    }
  });
});

describe('a workshop’s own ways', () => {
  let workshop: Workshop;
  let bench: Bench;
  beforeAll(async () => {
    workshop = await Workshop.open({ demo: true });
    bench = await workshop.page('/workshop');
  });
  afterAll(async () => {
    await workshop.close();
  });

  const put = (path: string, body: unknown) =>
    fetch(workshop.address + path, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body)
    });
  const kept = async (): Promise<Preferences> =>
    (await (await fetch(`${workshop.address}/api/v1/settings`)).json()) as Preferences;
  /** What is kept, once it is so. */
  const becomes = async (what: Partial<Preferences>): Promise<void> => {
    await expect.poll(kept).toMatchObject(what);
  };
  const seen = () => bench.page.$eval('main', (e) => (e as HTMLElement).innerText);

  it('are kept one by one as they are chosen', async () => {
    await bench.choose('Lengths', 'inches');
    await becomes({ lengths: 'in', weights: 'g' });
    await bench.choose('Temperatures', '°F');
    await becomes({ temperatures: '°F' });
    await bench.type('Makers', 'R., T.');
    await becomes({ makers: ['R.', 'T.'] });
    await bench.type('To', '5:30 pm');
    await becomes({ hours: { from: 480, to: 1050 } });
    await bench.click('Fri', 'checkbox');
    await becomes({ daysOff: [0, 5, 6] });
    await bench.type('Currency', '£');
    await bench.says('[aria-label="Ways"]', 'three capital letters');
    expect((await kept()).currency).toBeUndefined();
  });

  it('refuse what makes no sense, with a reason, over the interface too', async () => {
    const refused = await put('/api/v1/settings', { ...USUAL_PREFERENCES, hours: { from: 600, to: 500 } });
    expect(refused.status).toBe(422);
    expect(JSON.stringify(await refused.json())).toContain('must end after they begin');
  });

  it('are followed on every screen and sheet: no metric figure is left but what a scale shows', async () => {
    expect((await put('/api/v1/settings', OTHER)).status).toBe(200);
    // Makers give their things names with figures in them; those stay as they were typed.
    const names = [
      ...plans.flatMap((p) => [p.name, p.notes, ...p.steps.flatMap((s) => s.note ?? [])]),
      ...demoRuns(0).flatMap((r) => r.lesson ?? []),
      ...demoLots(0).map((l) => l.name),
      ...cards.moulds.map((m) => m.name),
      ...cards.vessels.map((v) => v.name),
      ...cards.scales.map((s) => s.name),
      ...cards.colourants.map((c) => c.name)
    ].filter((n) => /\d/.test(n));
    const pages = ['', '/sheet', '/batch', '/labels'];
    const paths = [
      '/',
      '/plans',
      '/shelf',
      '/colours',
      ...someOf(plans, 5).flatMap((p) => pages.map((page) => `/plans/${p.id}${page}`))
    ];
    const left: string[] = [];
    // Preferences are read when the page begins.
    await bench.go('/workshop');
    for (const path of paths) {
      await bench.walk(path);
      let text = await seen();
      for (const name of names) text = text.replaceAll(name, '');
      const metric = text.match(/.*\d\s?(?:ml|mm|cm|kg|°C)(?![\w²³/]).*/g) ?? [];
      left.push(...metric.filter((line) => !/g\/ml/.test(line)).map((line) => `${path}: ${line}`));
    }
    expect(left).toEqual([]);
    expect(bench.errors.join(' | ')).toBe('');
  });

  it('leave a scale its own unit, and every weight on it is one it can show', async () => {
    for (const scale of cards.scales)
      await put(`/api/v1/scales/${scale.id}`, {
        ...scale,
        division: scale.division * OUNCE * (scale.division < 0.1 ? 0.1 : 0.05),
        repeatability: scale.division,
        capacity: scale.capacity
      });
    const plan = plans.find((p) => p.id === 'saltings-bars')!;
    await bench.walk(`/plans/${plan.id}/sheet`);
    const text = await seen();
    expect(text).toMatch(/weighs, oz/);
    const cells = await bench.page.$$eval('[data-testid="sheet"] td.num', (all) =>
      all.map((c) => (c as HTMLElement).innerText.trim())
    );
    const weights = cells.filter((c) => /^\d+\.\d+$/.test(c));
    expect(weights.length).toBeGreaterThan(5);
    const file = (await (await fetch(`${workshop.address}/api/v1/plans/${plan.id}/file`)).json()) as object;
    const computed = (await (
      await fetch(`${workshop.address}/api/v1/compute`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(file)
      })
    ).json()) as { cups: { weighings: { weight: number; division: number }[] }[] };
    for (const { weight, division } of computed.cups.flatMap((c) => c.weighings)) {
      const steps = weight / division;
      expect(Math.abs(steps - Math.round(steps))).toBeLessThan(1e-6);
    }
  });

  it('understand what is typed in another unit, and documents stay metric', async () => {
    await bench.walk('/plans/tideline-knobs');
    await bench.type('Amount of step 1', '5 mm');
    await bench.holds('Amount of step 1', '0.20 in');
    await bench.type('Room temperature', '70');
    await expect
      .poll(async () => {
        const plan = (await (
          await fetch(`${workshop.address}/api/v1/plans/tideline-knobs`)
        ).json()) as (typeof plans)[0];
        return [plan.steps[0]!.act, plan.bench.roomCelsius];
      })
      .toEqual([expect.objectContaining({ amount: { kind: 'deep', mm: 5 } }), 21.1]);
  });

  it('say whose hands weighed', async () => {
    await put('/api/v1/settings', { ...USUAL_PREFERENCES, makers: ['R.', 'T.'] });
    const run = (await (
      await fetch(`${workshop.address}/api/v1/runs`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ planId: 'rockpool-roundels' })
      })
    ).json()) as { id: string };
    await bench.walk(`/run/${run.id}`);
    await bench.choose('Who is pouring', 'T.');
    await bench.press('Space');
    await bench.says('[data-testid="stored"]', 'stored');
    await expect
      .poll(async () => (await fetch(`${workshop.address}/api/v1/runs/${run.id}/events`)).json(), {})
      // That this device conducts is told as soon as it is known that no other does: before the tick or after it.
      .toEqual(
        expect.toSatisfy(
          (told: { type: string; by?: string }[]) =>
            told.length === 2 &&
            told.some((e) => e.type === 'conducts') &&
            told.some((e) => e.type === 'ticked' && e.by === 'T.')
        )
      );
    expect(bench.errors.join(' | ')).toBe('');
  });
});
