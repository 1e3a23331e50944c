import { someOf, times } from '$core/soak.testing';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { plans } from '$demo/plans';
import type { Computed, Plan } from '../src/core/plan';
import { dice } from './dice';
import { Workshop, type Bench } from './workshop';

/*
 * Reads every number that a maker sees of a plan, on every page of it, and sets them beside one another: what is shown
 * twice is the same, sums are sums, nothing is left below nothing, and nothing is no number.
 */

let workshop: Workshop;
let bench: Bench;
/** Grams of one unit of the scales: 1, or an ounce once they show ounces. */
let unit = 1;

beforeAll(async () => {
  workshop = await Workshop.open({ demo: true });
  bench = await workshop.page('/');
});
afterAll(async () => {
  await workshop.close();
});

const post = (path: string, body: unknown) =>
  fetch(workshop.address + path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body)
  });
const get = async (path: string) => (await fetch(workshop.address + path)).json();

/** A page's words, as they are seen. */
const seen = (selector = 'main') => bench.page.$eval(selector, (e) => (e as HTMLElement).innerText);

/** What no page of figures may hold: no number, no end, a weight below nothing, a rounding that lost its sign. */
const NOT_A_FIGURE =
  /\bNaN\b|Infinity|undefined|\bnull\b|\[object|±\s*∞|(?:left|poured|clings|mixed)\s+[-−]\d|[-−]0(?:\.0+)?\s*(?:g|%|ml)\b/;

const figures = (text: string): number[] => [...text.matchAll(/\d+(?:\.\d+)?/g)].map((m) => Number(m[0]));

/** The balance line: in the mould + stuck to cups + spare + taken out = mixed. */
function balanceOf(text: string): { parts: number[]; mixed: number; decimals: number } {
  const [before = '', after = ''] = text.split('=');
  const mixed = /\d+(?:\.(\d+))?/.exec(after)!;
  return { parts: figures(before), mixed: Number(mixed[0]), decimals: mixed[1]?.length ?? 0 };
}

/** Every row of a table of weights: its name, and its figures as they are written. */
const rowsOf = (selector: string) =>
  bench.page.$$eval(`${selector} tr`, (all) =>
    all.map((row) => [...row.querySelectorAll('td')].map((cell) => cell.innerText.trim()))
  );

async function checkWorkbench(plan: Plan, c: Computed): Promise<void> {
  await bench.walk(`/plans/${plan.id}`);
  await bench.page.waitForSelector('[data-testid="balance"]');
  const text = await seen();
  expect(text, plan.name).not.toMatch(NOT_A_FIGURE);
  const { parts, mixed, decimals } = balanceOf(await seen('[data-testid="balance"]'));
  // Each of them is rounded for itself.
  expect(Math.abs(parts.reduce((s, x) => s + x, 0) - mixed), plan.name).toBeLessThanOrEqual(
    (0.5 * (parts.length + 1)) / 10 ** decimals + 1e-9
  );
  expect(Math.abs(mixed - c.totals.balance.mixed / unit)).toBeLessThanOrEqual(0.5 / 10 ** decimals + 1e-9);
  // Grams in the table are those that the plan is computed to, and each column adds up to what is mixed.
  const rows = await rowsOf('[data-testid="weighings"]');
  const bodies = rows.filter((r) => r.length > 1);
  const shown = bodies.filter((r) => !/^(mixed|ratio error)/.test(r[0]!));
  const sums = bodies.find((r) => r[0] === 'mixed')!;
  for (let column = 1; column < sums.length; column++) {
    const own = shown.map((r) => r[column] ?? '').filter(Boolean);
    const sum = own.reduce((s, w) => s + (w.startsWith('−') ? 0 : Number(w.split('\n')[0])), 0);
    const digits = /\.(\d+)/.exec(sums[column]!)?.[1]?.length ?? 0;
    expect(Math.abs(sum - Number(sums[column])), `${plan.name}, column ${column}`).toBeLessThanOrEqual(
      0.5 / 10 ** digits + 1e-6
    );
    // Nothing of something is weighed only where the plan cannot be poured, and says so.
    const least = c.problems.some((p) => p.level === 'stop') ? -1e-9 : 0;
    for (const weight of own)
      expect(Number(weight.replace('−', '').split('\n')[0]), plan.name).toBeGreaterThan(least);
  }
}

/** Everything weighed on the sheet is a weight of the plan, on the scale it stands on. */
async function checkSheet(plan: Plan, c: Computed): Promise<void> {
  await bench.walk(`/plans/${plan.id}/sheet`);
  await bench.page.waitForSelector('[data-testid="sheet"]');
  expect(await seen(), `sheet of ${plan.name}`).not.toMatch(NOT_A_FIGURE);
  const mixes = [...c.common, ...c.cups.flatMap((x) => x.mixes)];
  const weights = new Set(
    mixes.flatMap((m) =>
      m.weighings.map((w) => {
        const division = w.division / unit;
        const digits = Math.max(0, Math.ceil(-Math.log10(division) - 1e-9));
        return (w.weight / unit).toFixed(digits);
      })
    )
  );
  const rows = (await rowsOf('[data-testid="sheet"] table')).filter((r) => r.length > 2);
  for (const row of rows)
    for (const cell of row.slice(1, 2)) {
      const weight = /^[−-]?(\d+(?:\.\d+)?)$/.exec(cell)?.[1];
      if (weight !== undefined) expect(weights, `${plan.name}: ${row.join(' | ')}`).toContain(weight);
    }
  // A weight is what its own scale can show.
  for (const m of mixes)
    for (const w of m.weighings)
      if (!w.counted)
        expect(Math.abs(w.weight / w.division - Math.round(w.weight / w.division))).toBeLessThan(1e-6);
}

async function check(plan: Plan, pages: readonly string[] = []): Promise<void> {
  const file = await get(`/api/v1/plans/${plan.id}/file`);
  const c = (await (await post('/api/v1/compute', file)).json()) as Computed;
  // What the record knows may change what clings; figures are set beside the page's own plan.
  const typed = { ...plan, bench: { ...plan.bench, losses: { ...plan.bench.losses, typed: true } } };
  await fetch(`${workshop.address}/api/v1/plans/${plan.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(typed)
  });
  const own = (await (await post('/api/v1/compute', { ...file, plan: typed })).json()) as Computed;
  expect(own.problems.filter((p) => p.code === 'base-missing')).toEqual([]);
  expect(c.cups.length).toBe(own.cups.length);
  await checkWorkbench(typed, own);
  await checkSheet(typed, own);
  for (const page of pages) {
    await bench.walk(`/plans/${plan.id}/${page}`);
    expect(await seen(), `${page} of ${plan.name}`).not.toMatch(NOT_A_FIGURE);
  }
  expect(bench.errors.join(' | ')).toBe('');
}

/** Screens of a run that are read before it is left: past the weighing of every demo plan's first cups. */
const SCREENS = 34;

/** Goes through a run as it is confirmed, screen by screen: every number on it is one, and what is to be weighed is there. */
async function checkRun(plan: Plan): Promise<void> {
  const id = `run-${plan.id}`;
  expect((await post('/api/v1/runs', { planId: plan.id, id })).status, plan.name).toBe(201);
  await bench.walk(`/run/${id}`);
  await bench.page.waitForSelector('[data-testid="now"]');
  const read = new Set<string>();
  // A short run is over before that.
  for (let i = 0; i < SCREENS && (await bench.page.$('[data-testid="now"]')); i++) {
    const text = await seen('body');
    expect(text, `the run of ${plan.name}`).not.toMatch(NOT_A_FIGURE);
    const title = await seen('[data-testid="now"]');
    const number = await bench.page.$('[data-testid="number"]');
    const shown = number ? await number.evaluate((e) => e.textContent ?? '') : '';
    if (/weigh|add/i.test(title)) expect(figures(shown)[0], `${title} of ${plan.name}`).toBeGreaterThan(0);
    read.add(title);
    await bench.confirm();
  }
  expect(read.size, plan.name).toBeGreaterThan(2);
  expect(bench.errors.join(' | ')).toBe('');
}

describe('every number that is shown', () => {
  it.each(someOf(plans, 6).map((p) => [p.name, p] as const))('of %s', async (_, plan) => {
    await check(plan, ['batch', 'labels']);
    await checkRun(plan);
  });

  it('of plans as chance makes them', async () => {
    const roll = dice(20261126);
    const pick = <T>(list: readonly T[]): T => list[roll(list.length)]!;
    for (let n = 0; n < times(2, 20); n++) {
      const from = pick(plans);
      const groups = from.groups.map((g) => ({ ...g, count: 1 + roll(30), variations: [] }));
      const again = roll(2) ? groups.map((g) => ({ ...g, id: `${g.id}-2`, name: `${g.name}, again` })) : [];
      const plan: Plan = {
        ...from,
        id: `chance-${n}`,
        name: `Chance ${n}, ${from.name}`.slice(0, 80),
        mixes: from.mixes.map((m) => ({ ...m, ...(roll(3) ? {} : { turns: 1 + roll(5) }) })),
        groups: [...groups, ...again],
        steps: from.steps.map((s) => ({
          ...s,
          ...(roll(3) ? {} : { gates: [] }),
          where: again.length ? s.where.flatMap((id) => [id, `${id}-2`]) : s.where
        })),
        cups: from.cups.map((cup) => ({
          ...cup,
          recipe: cup.recipe.map((line) => ({
            ...line,
            percent: Number((line.percent * (0.1 + roll(30) / 10)).toFixed(3)),
            ...(roll(4) ? {} : { letDown: pick([9, 19, 49] as const) })
          })),
          ...('mix' in cup.from && !roll(5) ? { reserve: 5 + roll(40) } : {})
        })),
        bench: {
          ...from.bench,
          roomCelsius: 17 + roll(12),
          scaleIds: pick([['fine'], ['bench'], ['middle', 'fine'], ['bench', 'fine']]).filter((id) =>
            cards.scales.some((s) => s.id === id)
          )
        }
      };
      expect((await post('/api/v1/plans', plan)).status, plan.name).toBe(201);
      await check(plan);
    }
  });

  it('of every order with every unit switched: on scales in ounces, in fluid ounces, inches and °F', async () => {
    unit = 28.349523125;
    const put = (path: string, body: unknown) =>
      fetch(workshop.address + path, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body)
      });
    const settings = (await get('/api/v1/settings')) as object;
    await put('/api/v1/settings', {
      ...settings,
      weights: 'oz',
      volumes: 'fl oz',
      lengths: 'in',
      temperatures: '°F',
      clock: '12 h'
    });
    // Steps that such scales have: 0.0005 oz, 0.005 oz, 0.05 oz.
    for (const scale of cards.scales) {
      const division = (unit * scale.division) / 20;
      await put(`/api/v1/scales/${scale.id}`, { ...scale, division, repeatability: division });
    }
    // Preferences are read when the page begins.
    await bench.go('/');
    for (const plan of someOf(plans, 6, 1)) await check(plan, ['batch', 'labels']);
  });
});
