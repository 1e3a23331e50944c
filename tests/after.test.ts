import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Page } from 'puppeteer-core';
import { Workshop, type Bench } from './workshop';

let workshop: Workshop;
let bench: Bench;
const get = async (path: string) => (await fetch(workshop.address + path)).json();

beforeAll(async () => {
  workshop = await Workshop.open({ demo: true });
  bench = await workshop.page('/');
});
afterAll(async () => {
  await workshop.close();
});

it('opens with little script: what is seldom asked is fetched when it is', async () => {
  const fresh = await workshop.device('/');
  const bytes = await fresh.page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter((r) => r.name.endsWith('.js'))
      .reduce((sum, r) => sum + r.encodedBodySize, 0)
  );
  expect(bytes).toBeGreaterThan(10_000);
  expect(bytes).toBeLessThan(120_000);
  await fresh.page.close();
});

describe('what is due', () => {
  it('stands large on the bench with both edges, and is one tap from done', async () => {
    await bench.says('[data-testid="due"]', 'Demould knobs 1–6');
    const due = await bench.says('[data-testid="due"]', /from [^]*until /);
    expect(due).toContain('poured');
    await bench.click('Demoulded');
    await bench.says('[data-testid="due"]', /Trim/);
    const events = await get('/api/v1/runs/tideline-third/events');
    expect(
      events.some((e: { type: string; task?: string }) => e.type === 'done' && e.task === 'demould:knobs')
    ).toBe(true);
  });

  it('can be put off, and is then due later', async () => {
    await bench.page.locator('[aria-label^="Remind me later: Trim"]').click();
    await bench.click('tomorrow at 8');
    await bench.page.waitForFunction(() =>
      /8:00/.test(document.querySelector('[data-testid="due"]')?.textContent ?? '')
    );
    expect((await get('/api/v1/runs/tideline-third/events')).at(-1).type).toBe('postponed');
  });
});

describe('a leftover', () => {
  it('that is enough for a piece is offered, and planned with one tap', async () => {
    await bench.walk('/');
    const offer = await bench.says('[data-testid="offers"]', /terrazzo[^]*samphire offcuts/);
    const [, pieces] = /(\d+) pieces? of terrazzo/.exec(offer)!;
    await bench.click('Plan it');
    await bench.page.waitForFunction(() => location.pathname.startsWith('/plans/'));
    const id = new URL(bench.page.url()).pathname.split('/').at(-1)!;
    const plan = await get(`/api/v1/plans/${id}`);
    expect(plan.groups[0].count).toBe(Number(pieces));
    expect(plan.cups[0].fillers[0]).toMatchObject({ lotId: 'samphire-offcuts', percent: 45 });
    await fetch(`${workshop.address}/api/v1/plans/${id}`, { method: 'DELETE' });
  });
});

describe('inspection', () => {
  const grades = () =>
    bench.page.$$eval('[role="tablist"] [role="tab"]', (tabs) =>
      tabs.map((t) => (t as HTMLElement).innerText.split('\n')[1])
    );

  it('of a tray goes by keys, one by one and together', async () => {
    await bench.walk('/record/tideline-third');
    expect(await grades()).toEqual(Array(6).fill('open'));
    await bench.press('r');
    await expect.poll(grades).toEqual(['reject', ...Array(5).fill('open')]);
    await bench.press('s');
    await expect.poll(grades).toEqual(['reject', 'second', ...Array(4).fill('open')]);
    await bench.press('b');
    await bench.press('ArrowRight');
    await bench.press('b');
    await bench.says('[data-testid="bulk"]', '2 together');
    await bench.press('g');
    await expect.poll(grades).toEqual(['reject', 'second', 'good', 'good', 'open', 'open']);
    await bench.click('All 2 open are good');
    await expect.poll(grades).toEqual(['reject', 'second', 'good', 'good', 'good', 'good']);
  });

  it('places a defect on the face, calls it a feature, says where the piece goes, and measures a colour', async () => {
    await bench.page.locator('[role="tab"]:first-child').click();
    await bench.click('Add a defect of the mould side');
    await bench.click('bubbles on the mould face');
    await bench.click('Place bubbles on the mould face on the mould side');
    await bench.choose('Where piece 1 goes', 'remelt');
    await bench.says('[data-testid="inspect"]', 'bubbles on the mould face');
    const piece = async () =>
      (await get('/api/v1/runs/tideline-third/pieces')).find((p: { number: number }) => p.number === 1);
    await expect.poll(async () => (await piece()).destination).toBe('remelt');
    await expect.poll(async () => (await piece()).faces[0].marks?.length).toBe(1);
    expect((await piece()).faces[0].marks[0].x).toBeCloseTo(0.5, 1);
    await bench.click('bubbles on the mould face: a fault');
    await bench.says('[data-testid="inspect"]', 'a feature');
    // The screen shows it at once; the server is told a moment later.
    await expect
      .poll(async () =>
        (await get('/api/v1/runs/tideline-third/causes')).flatMap((c: { found: unknown[] }) => c.found)
      )
      .toEqual([]);
  });
});

describe('the record', () => {
  it('is narrowed in its address, and shows all again', async () => {
    await bench.go('/record');
    await bench.click('Narrow down');
    await bench.choose('Material', 'Plastisol, soft');
    await bench.page.waitForFunction(() => location.search.includes('material='));
    await bench.page.waitForFunction(() => document.querySelectorAll('tbody tr').length === 1);
    await bench.says('tbody', 'Fender bumpers');
    // It is the same to whoever opens the address.
    await bench.go(await bench.page.evaluate(() => location.pathname + location.search));
    await bench.says('tbody', 'Fender bumpers');
    await bench.click('Show all');
    await bench.page.waitForFunction(() => document.querySelectorAll('tbody tr').length > 5);
  });
});

describe('causes', () => {
  it('are named with their fact, and one tap changes the plan', async () => {
    await bench.walk('/record/tideline-first');
    const said = await bench.says('[data-testid="causes"]', 'colours run together');
    expect(said).toMatch(/waited 5\d min of 11\d min until gelled/i);
    const wait = async () =>
      (await get('/api/v1/plans/tideline-knobs')).steps.flatMap((s: { gates: unknown[] }) => s.gates)[0]
        .all[0].minutes;
    expect(await wait()).toBeUndefined();
    await bench.page.locator('[data-testid="causes"] ::-p-text(Change the plan)').click();
    await bench.says('[data-testid="causes"]', 'in the plan');
    expect(await wait()).toBeGreaterThanOrEqual(111);
    await bench.says('[data-testid="would-change"]', 'wait until');
    await bench.click('Undo');
    await bench.says('[data-testid="causes"]', 'Change the plan');
    await expect.poll(wait).toBeUndefined();
    await bench.page.locator('[data-testid="causes"] ::-p-text(Change the plan)').click();
    await expect.poll(wait).toBeGreaterThanOrEqual(111);
    // Once it is in the plan it is not offered again.
    await bench.go('/record/tideline-first');
    expect(await bench.says('[data-testid="causes"]', 'in the plan')).not.toContain('Change the plan');
  });

  it('two runs side by side say what differed, and that several things did', async () => {
    await bench.walk('/record/compare?a=tideline-first&b=tideline-second');
    const rows = await bench.says('[data-testid="differences"]', 'wait 1, until gelled');
    expect(rows).toContain('demould knobs 1–6');
    await bench.says('main', 'things differed at once');
  });
});

describe('the record', () => {
  const names = () =>
    bench.page.$$eval('main table tbody tr', (rows) =>
      rows.map((r) => (r as HTMLElement).innerText.split(/[\n\t]/)[0]!.trim())
    );

  /** Keeps the next request with these words in its address waiting; once it is asked, what lets it go. */
  function nextAsked(page: Page, words: string): Promise<() => void> {
    return new Promise((asked) => {
      let held = false;
      page.on('request', (request) => {
        if (held || !request.url().includes(words)) return void request.continue();
        held = true;
        asked(() => void request.continue());
      });
    });
  }

  it('is searched by name, lesson and defect, and filtered', async () => {
    await bench.walk('/record');
    const all = (await names()).length;
    expect(all).toBeGreaterThan(5);
    await bench.page.type('[aria-label="Find a run or a lesson"]', 'white took');
    await expect.poll(async () => (await names()).join()).toMatch(/^Rockpool roundels[^,]*$/);
    await bench.walk('/record');
    await bench.choose('Only', 'with rejects');
    await expect.poll(async () => (await names()).length).toBeLessThan(all);
    expect((await names()).length).toBeGreaterThan(1);
  });

  it('keeps every letter, though the answer to the first ones comes while the last are typed', async () => {
    await bench.go('/record');
    const { page } = bench;
    const field = '[aria-label="Find a run or a lesson"]';
    await page.setRequestInterception(true);
    const held = nextAsked(page, 'q=white');
    await page.type(field, 'white');
    const letGo = await held;
    await page.type(field, ' took');
    const answered = page.waitForResponse((r) => r.url().includes('q=white+took'));
    letGo();
    await answered;
    await expect.poll(async () => (await names()).join()).toMatch(/^Rockpool roundels[^,]*$/);
    expect(await page.$eval(field, (e) => (e as HTMLInputElement).value)).toBe('white took');
    page.removeAllListeners('request');
    await page.setRequestInterception(false);
  });

  it('shows rates with how many pieces tell them', async () => {
    await bench.walk('/record/charts');
    const chart = await bench.page.waitForSelector('[role="img"][aria-label^="Rejects by demoulding"]');
    expect(await chart!.evaluate((e) => e.getAttribute('aria-label'))).toMatch(/after its window \d+ % of 5/);
    await bench.page.waitForFunction(() =>
      [...document.querySelectorAll('canvas')].some((c) => c.width > 300)
    );
  });

  it('shows how far a measured colour is from plan, by how its cup was dosed', async () => {
    const [{ photos: _, ...piece }] = await get('/api/v1/runs/tideline-second/pieces');
    const put = (measured: object[]) =>
      fetch(`${workshop.address}/api/v1/runs/tideline-second/pieces`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ ...piece, measured })
      });
    expect((await put([{ cupId: 'heron', colour: '#5b6664', as: 'as finished' }])).status).toBeLessThan(300);
    await bench.walk('/record/charts');
    const dots = await bench.page.waitForSelector('[role="img"][aria-label^="Colour by its dose"]');
    expect(await dots!.evaluate((e) => e.getAttribute('aria-label'))).toMatch(/heron/);
    await put([]);
    await bench.walk('/record/charts');
    await bench.says('[data-testid="colour-by-dose"]', 'No colour was measured');
  });

  it('repeats as a family: a plan in which the colours change places from piece to piece', async () => {
    await bench.walk('/record/tideline-second');
    await bench.choose('Repeat with changes', 'as a family');
    await bench.page.waitForFunction(() => location.pathname.startsWith('/plans/'));
    const id = new URL(bench.page.url()).pathname.split('/').at(-1)!;
    const plan = await get(`/api/v1/plans/${id}`);
    expect(plan.name).toBe('Tideline knobs, a family');
    expect(plan.groups[0].variations.length).toBeGreaterThan(0);
    await fetch(`${workshop.address}/api/v1/plans/${id}`, { method: 'DELETE' });
  });

  it('repeats in another mould, and tells a buyer what will match', async () => {
    await bench.walk('/record/tideline-second');
    await bench.click('For the buyer', 'link');
    await bench.says('[data-testid="buyer"]', 'What will match');
    await bench.type('Weight within', '3');
    await bench.says('[data-testid="buyer"]', '3 % more or less');
    await bench.click('← Record', 'link');
    await bench.choose('Repeat with changes', 'in Roundel');
    await bench.says('[aria-label="Piece and core"]', 'Roundel, 90 × 9 mm');
    const id = new URL(bench.page.url()).pathname.split('/').at(-1)!;
    const plan = await get(`/api/v1/plans/${id}`);
    expect(plan.groups.map((g: { mouldId: string }) => g.mouldId)).toEqual(['roundel']);
    expect(plan.name).toContain('in Roundel');
    // The pour tells what was made from it.
    await bench.walk('/record/tideline-second');
    await bench.says('[data-testid="family"]', /Made from this pour[^]*in Roundel/);
  });

  it('brings a lesson back where its act is planned', async () => {
    await bench.walk('/record/tideline-second');
    await bench.page.type('[aria-label="Lesson"]', 'Drag with the blunt needle.');
    await bench.choose('What it is about', 'the act: comb or drag a tool');
    await bench.click('Keep');
    await bench.says('main', 'Drag with the blunt needle.');
    await bench.walk('/plans/tideline-knobs');
    await bench.says('[aria-label="Numbers"]', 'lessons from earlier runs');
    const lessons = () => bench.page.$eval('[data-testid="lessons"]', (e) => e.textContent ?? '');
    await bench.page.locator('::-p-text(from earlier runs)').click();
    await bench.says('[aria-label="Numbers"]', 'Drag with the blunt needle.');
    await bench.walk('/plans/samphire-hooks');
    await bench.says('[aria-label="Numbers"]', 'from earlier runs');
    expect(await lessons()).not.toContain('blunt needle');
  });
});

describe('finding', () => {
  it('goes anywhere by a key and a few letters, and begins what it finds', async () => {
    await bench.walk('/shelf');
    const find = async (words: string) => {
      await bench.press('/');
      await bench.page.waitForFunction(
        () => document.activeElement?.getAttribute('aria-label') === 'Find anything'
      );
      await bench.page.keyboard.type(words);
    };
    await find('roundel');
    await bench.says('[role="dialog"]', 'Rockpool roundels');
    await bench.says('[role="dialog"]', /mould\s+Roundel/);
    await bench.page.keyboard.press('Enter');
    await bench.page.waitForFunction(() => location.pathname !== '/shelf');
    await find('compare');
    await bench.says('[role="dialog"]', 'Compare two runs');
    await bench.page.keyboard.press('Escape');
    await bench.page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
    await find('samphire');
    await bench.click('Start: Samphire coat hooks');
    await bench.says('[data-testid="now"]', 'Make ready');
  });
});

describe('keeping', () => {
  it('everything goes into one archive and comes back from it', async () => {
    await bench.walk('/workshop');
    const zip = Buffer.from(await (await fetch(`${workshop.address}/api/v1/archive`)).arrayBuffer());
    const file = join(workshop.folder, 'all.zip');
    writeFileSync(file, zip);
    await fetch(`${workshop.address}/api/v1/plans/samphire-hooks`, { method: 'DELETE' });
    await bench.page.reload();
    await bench.alive();
    const field = await bench.page.$('[aria-label="Backup to restore"]');
    await (field as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(file);
    await bench.says('[role="dialog"]', 'This backup holds');
    await bench.click('Restore it');
    await bench.says('[role="status"]', 'It is restored');
    expect((await get('/api/v1/plans/samphire-hooks')).name).toBe('Samphire coat hooks');
    // A part of it is refused whole.
    const half = join(workshop.folder, 'half.zip');
    writeFileSync(half, readFileSync(file).subarray(0, zip.length / 2));
    await (field as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(half);
    await bench.says('main', 'is no ZIP, or only a part of one');
  });

  it('a lot tells every gram, its runs, and is counted anew', async () => {
    const lots = await get('/api/v1/lots');
    const lot = lots.find((l: { of: { kind: string; part?: string } }) => l.of.part === 'liquid') ?? lots[0];
    await bench.walk(`/shelf/lots/${lot.id}`);
    await bench.says('[data-testid="entries"]', 'bought');
    await bench.type('Weighed now', '500 g');
    await bench.click('Correct the stock');
    await bench.says('[data-testid="entries"]', 'counted anew');
    const left = async () =>
      (await get('/api/v1/stock')).find((s: { lot: { id: string } }) => s.lot.id === lot.id).left;
    expect(await left()).toBeCloseTo(500, 1);
    await bench.click('take back');
    await bench.page.waitForFunction(
      () => !document.querySelector('[data-testid="entries"]')?.textContent?.includes('counted anew')
    );
    expect(await left()).not.toBeCloseTo(500, 1);
  });

  it('a table is read first, its faults said by line, and comes in whole or not at all', async () => {
    await bench.walk('/shelf/import');
    await bench.page.type(
      '[aria-label="Or paste it here"]',
      'pot,kind,hex\nmarsh green,paste,#3f6b4a\nreed,paste,reddish\n'
    );
    await bench.page.keyboard.press('Tab');
    await bench.says('[data-testid="import-rows"]', 'Line 3: “reddish” is no colour.');
    const names = async () => (await get('/api/v1/colourants')).map((c: { name: string }) => c.name);
    const before = await names();
    const kept = await fetch(`${workshop.address}/api/v1/import/colourants`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ text: 'pot,kind,hex\na,paste,#3f6b4a\nb,paste,x\n', keep: true })
    });
    expect([kept.status, await names()]).toEqual([422, before]);
    await bench.walk('/shelf/import');
    await bench.page.type('[aria-label="Or paste it here"]', 'pot;kind;shade\nmarsh green;paste;#3f6b4a\n');
    await bench.page.keyboard.press('Tab');
    await bench.says('[data-testid="import-rows"]', 'colour is missing');
    await bench.choose('Column of colour, #rrggbb', 'shade');
    await bench.says('[data-testid="import-rows"]', 'ready');
    await bench.click('Put 1 on the shelf');
    await expect.poll(names, { timeout: 60_000 }).toContain('marsh green');
  });

  it('the guide is there, page by page, with its pictures', async () => {
    await bench.go('/guide');
    await bench.says('article h1', 'Your first piece');
    expect(
      await bench.page.$$eval('article img', (all) =>
        all.every((i) => (i as HTMLImageElement).src.includes('/_app/'))
      )
    ).toBe(true);
    await bench.click('The run', 'link');
    await bench.says('article h1', 'The run');
    expect(bench.errors.join(' | ')).toBe('');
  });
});
