import sharp from 'sharp';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { someOf } from '$core/soak.testing';
import { plans } from '$demo/plans';
import { Workshop, type Bench } from './workshop';

const main = 'main';
/** Pages of a PDF, by its own page objects. */
const pagesOf = (pdf: Uint8Array) =>
  (
    Buffer.from(pdf)
      .toString('latin1')
      .match(/\/Type\s*\/Page\b/g) ?? []
  ).length;

describe('a first batch from an empty bench', () => {
  let workshop: Workshop;
  let bench: Bench;
  const get = async (path: string) => (await fetch(workshop.address + path)).json();
  beforeAll(async () => {
    workshop = await Workshop.open({ demo: false });
  });
  afterAll(() => workshop.close());

  it('is eleven concrete roundels in a mould measured with water', async () => {
    bench = await workshop.page('/');
    await bench.click('Measure a mould', 'link');
    await bench.type('Name', 'Roundel');
    await bench.choose('Capacity known from', 'a water fill');
    await bench.type('Mould empty', '118.2 g');
    await bench.type('Filled with water', '173.1');
    await bench.type('Water is at', '21 C');
    // How deep it is has to be said; the rest of the drawing follows the water.
    await bench.click('Save');
    await bench.says('[aria-label="Cavity piece"]', /Depth.*(needs|missing|number)/i);
    await bench.type('Depth', '9 mm');
    await bench.says('[data-testid="capacity"]', '55.01 ml each');
    expect(await bench.text('[aria-label="Cavity piece"]')).not.toContain('Check how many cavities');
    await bench.click('Save');
    await bench.says(main, '1 on the shelf');
    await bench.click('Add the starter set');
    await bench.says(main, 'See the shelf');
    await bench.click('Choose a look', 'link');
    await bench.click('Empty plan');
    await bench.says('[aria-label="Piece and core"]', '55.01 ml');
    await bench.choose('Material', 'Fine casting concrete');
    await bench.type('How many cavities of piece', '11');
    await bench.click('Batch', 'tab');
    await bench.says('[data-testid="facts"]', /water \/ cement/);

    const plan = (await get('/api/v1/plans'))[0];
    const file = await get(`/api/v1/plans/${plan.id}/file`);
    const computed = await (
      await fetch(`${workshop.address}/api/v1/compute`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(file)
      })
    ).json();
    // 11 × 55.009 ml × 2.203 g/ml, 3 % clinging and 6 g in its bucket.
    expect(computed.totals.balance.mixed).toBeCloseTo(11 * 55.0108 * 2.2031 * 1.03 + 6, -0.5);
    expect(computed.problems.filter((p: { level: string }) => p.level === 'stop')).toEqual([]);
    const grams = Object.fromEntries(
      computed.totals.parts.map((p: { key: string; grams: number }) => [p.key, p.grams])
    );
    expect(grams.water / grams.cement).toBeCloseTo(0.38, 2);
    expect(grams.sand / grams.cement).toBeCloseTo(1.5, 1);
    await bench.click('Weigh', 'tab');
    await bench.says('[data-testid="weighings"]', grams.cement.toFixed(1));
    expect(bench.errors).toEqual([]);
  });
});

describe('the workshop’s batches', () => {
  let workshop: Workshop;
  let bench: Bench;
  const get = async (path: string) => (await fetch(workshop.address + path)).json();
  beforeAll(async () => {
    workshop = await Workshop.open({ demo: true });
    bench = await workshop.page('/plans');
  });
  afterAll(() => workshop.close());

  it.each(someOf(plans, 4).map((p) => [p.name, p.id]))(
    '%s stands on one page, and its batch on one sheet',
    async (_, id) => {
      await bench.walk(`/plans/${id}`);
      await bench.says('[aria-label="Numbers"]', 'mixed');
      const size = await bench.page.evaluate(() => [
        document.documentElement.scrollWidth - innerWidth,
        document.documentElement.scrollHeight - innerHeight
      ]);
      expect(size).toEqual([0, 0]);
      await bench.walk(`/plans/${id}/batch`);
      await bench.says('[data-testid="batch"]', 'g in all');
      expect(pagesOf(await bench.page.pdf({ preferCSSPageSize: true }))).toBe(1);
      expect(bench.errors).toEqual([]);
    }
  );

  it('prints labels with letter, recipe and date', async () => {
    await bench.walk('/plans/rockpool-roundels/labels');
    const labels = await bench.says('[data-testid="labels"]', 'sea lavender');
    expect(labels).toMatch(/violet paste 0\.9 %/);
    expect(labels).toContain(String(new Date().getFullYear()));
    expect(await bench.page.$$eval('[data-testid="labels"] li', (l) => l.length)).toBe(4);
  });

  it('changes with how it is mixed, what stands in it, and how it is dosed', async () => {
    await bench.walk('/plans/rockpool-roundels');
    await bench.says('[data-testid="weighings"]', 'of the mix');
    await bench.choose('How the cups are mixed', 'each mixed');
    await bench.page.waitForFunction(
      () => !document.querySelector('[data-testid="weighings"]')?.textContent?.includes('of the mix')
    );
    await bench.click('6 moulds');
    await bench.click('+ Thing');
    await bench.type('thing: One weighs', '2.4 g');
    await bench.says('[aria-label="Piece and core"]', /53\.01 ml/);
    await bench.cups();
    await bench.click('how, colourant 1 of cup A');
    await bench.choose('Percent of', 'the finished mix');
    await bench.says('[data-cup="A"]', 'of the finished mix');
    await bench.page.keyboard.press('Escape');
    await bench.click('mixes, cup, chips, cup A');
    await bench.type('Take out uncoloured first', '25 g');
    await bench.says('[data-testid="balance"]', /25\.0\s+taken out/);
    await bench.page.keyboard.press('Escape');
    await bench.type('How many good pieces are wanted', '22');
    await bench.click('Batch', 'tab');
    await bench.type('Share rejected', '8 %');
    await bench.says('[data-testid="order"]', 'cast 26');
  });

  it('shows every mix’s own grams where they differ, as the sheet does', async () => {
    const plan = await get('/api/v1/plans/tideline-knobs');
    const mixes = plan.mixes.map((m: { id: string }) => (m.id === 'mix-heron' ? { ...m, turns: 4 } : m));
    await fetch(`${workshop.address}/api/v1/plans/several`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...plan, id: 'several', name: 'Several mixes', mixes })
    });
    await bench.walk('/plans/several');
    const shown = await bench.says('[data-testid="weighings"]', /mix 1, 2[^]*mix 3, 4/);
    const row = /\bresin\s+([\d.]+)\s+([\d.]+)\s+([\d.]+)\s+([\d.]+)/.exec(shown)!;
    expect(Number(row[2])).toBeGreaterThan(Number(row[3]));
    await bench.walk('/plans/several/sheet');
    const sheet = await bench.says('main', /heron/);
    for (const grams of row.slice(1)) expect(sheet).toContain(grams);
  });

  it('runs split: the mix, then each cup’s share, then its colour; short of one, it says what to mix', async () => {
    await bench.walk('/plans/saltings-bars');
    await bench.cups();
    await bench.click('how, colourant 1 of cup B');
    await bench.page
      .locator('::-p-aria([name="Add it by eye, a little at a time"][role="checkbox"])')
      .click();
    await bench.says('[data-cup="B"]', 'start with 50 %');
    await bench.page.keyboard.press('Escape');
    await bench.click('Start the run');
    await bench.makeReady();
    // Lye into the water, and cool; oils melted meanwhile; then the lye into the oils.
    for (const words of [
      'into the lye jug',
      'sodium hydroxide',
      'the lye until it is clear',
      'olive oil into the mixing pot',
      'coconut',
      'rice bran',
      'castor',
      'as warm as each other',
      'the lye into the oils',
      'fragrance',
      'Stir the mixing pot'
    ]) {
      await bench.says('[data-testid="now"]', words);
      await bench.confirm();
    }
    await bench.says('[data-testid="now"]', 'mix into cup A');
    await bench.press('s');
    await bench.says('[role="dialog"]', 'its own clock');
    await bench.type('Missing', '60 ml');
    await bench.says('[data-testid="top-up"]', 'olive oil');
    await bench.click('Mixed and poured in');
    await bench.says(main, 'cup A topped up with');
    for (const words of ['mix into cup A', 'titanium white powder', 'Stir cup A', 'mix into cup B']) {
      await bench.says('[data-testid="now"]', words);
      await bench.confirm();
    }
    await bench.says('[data-testid="now"]', 'chrome-oxide green powder into cup B');
    await bench.confirm();
    await bench.says('[data-testid="now"]', 'by eye');
    await bench.press('e');
    await bench.says('[data-testid="now"]', 'Stir cup B');
    const [{ id }] = await get('/api/v1/runs');
    // The screen shows a key at once; the server is told a moment later.
    await expect
      .poll(async () =>
        (await get(`/api/v1/runs/${id}/events`)).filter((e: { type: string }) => e.type === 'skipped')
      )
      .toHaveLength(1);
    expect(bench.errors).toEqual([]);
  });

  it('learns a cavity from what it really took, and keeps its history', async () => {
    await bench.walk('/shelf/moulds/coat-hooks');
    await bench.says('[data-testid="history"]', /samphire/);
    await bench.says('[data-testid="history"]', /64\.77 ml each/);
    await bench.click('use that');
    await bench.says('[data-testid="working"]', 'a past pour took 64.77 ml');
    await bench.page.waitForFunction(() =>
      document.querySelector('[role="status"]')?.textContent?.includes('saved')
    );
    const mould = await get('/api/v1/moulds/coat-hooks');
    expect(mould.cavities[0].capacity).toMatchObject({ from: 'pour', ml: 64.768 });
  });

  it('asks what the water stood in, and shows both answers', async () => {
    await bench.walk('/shelf/moulds/dome-knobs');
    await bench.choose('Capacity known from', 'a water fill');
    await bench.type('Mould empty', '212.4 g');
    await bench.type('Filled with water', '274.0 g');
    await bench.says('[aria-label="Cavity knob"]', /one cavity:\s+61\.7/);
    await bench.says('[aria-label="Cavity knob"]', /all 6 of them:\s+10\.2/);
    await bench.page.locator('::-p-text(all 6 of them)').click();
    await bench.says('[data-testid="capacity"]', /10\.28|10\.29/);
    await bench.click('+ Detail');
    await bench.says('[aria-label="Cavity knob"]', /ml between its heights/);
    await bench.choose('Dividers', 'into 2 chambers');
    await bench.type('Share of chamber 1', '70 %');
    await bench.says('[aria-label="Cavity knob"]', 'add up to 120.0 %');
    await bench.click('+ Another kind of cavity');
    await bench.says(main, 'take out piece 2');
  });

  it('traces an outline over a photo', async () => {
    const photo = join(workshop.folder, 'tray.png');
    writeFileSync(
      photo,
      await sharp({ create: { width: 600, height: 400, channels: 3, background: '#cbb' } })
        .png()
        .toBuffer()
    );
    await bench.walk('/shelf/moulds/new');
    await bench.choose('Shape', 'any outline');
    const input = await bench.page.waitForSelector('[aria-label="Photo to trace over"]');
    await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(photo);
    const svg = await bench.page.waitForSelector('[data-testid="trace"]');
    await svg!.scrollIntoView();
    const box = (await svg!.boundingBox())!;
    const tap = (x: number, y: number) =>
      bench.page.mouse.click(box.x + (x / 600) * box.width, box.y + (y / 400) * box.height);
    for (const [x, y] of [
      [50, 380],
      [350, 380],
      [100, 50],
      [400, 50],
      [400, 200],
      [100, 200]
    ] as const)
      await tap(x, y);
    await bench.type('Known length', '100 mm');
    await bench.says(main, /Use the outline, 50\.\d cm²|Use the outline, 49\.\d cm²/);
    await bench.page.locator('::-p-text(Use the outline)').click();
    await bench.says('[data-testid="working"]', /outline (50|49)\.\d+ cm²/);
    expect(bench.errors).toEqual([]);
  });

  it('says which line of a table is not two numbers, and loses nothing', async () => {
    await bench.walk('/shelf/moulds/new');
    await bench.choose('Shape', 'measured depths');
    await bench.type('Corners or depths', '0 0\nten 20\n20 50');
    await bench.says(main, 'Line 2');
    expect(
      await bench.page.$eval('[aria-label="Corners or depths"]', (e) => (e as HTMLTextAreaElement).value)
    ).toContain('ten 20');
  });

  it('makes a mould, a paste and a drop', async () => {
    await bench.walk('/shelf/make-mould');
    await bench.says('[data-testid="rubber"]', '369');
    await bench.page.locator('::-p-aria([name="two halves with keys"][role="checkbox"])').click();
    await bench.says('[aria-label="Rubber needed"]', 'second half');
    await bench.click('Plan the pour');
    await bench.says('[aria-label="Pour"]', 'first half');
    await bench.says('[aria-label="Pour"]', 'press 4 keys');

    await bench.walk('/colours/paste');
    await bench.choose('Dry pigment', 'titanium white powder');
    await bench.type('Make', '50 g');
    await bench.says('[data-testid="paste"]', '30.00');
    await bench.click('Save');
    await bench.says(main, 'Full-strength colour');
    const pastes = (await get('/api/v1/colourants')).filter((c: { name: string }) =>
      c.name.includes('white paste in')
    );
    expect(pastes[0]).toMatchObject({ carrier: 'part B', pigmentFraction: 0.6, shelfMonths: 12 });
    expect((await get('/api/v1/lots')).some((l: { name: string }) => l.name === pastes[0].name)).toBe(true);

    await bench.walk('/colours/drops');
    await bench.choose('Colourant', 'magenta alcohol ink');
    await bench.says('[data-testid="drop"]', '0.0420');
    await bench.click('Save for this bottle');
    await bench.says('[role="status"]', 'knows its drop');
    expect((await get('/api/v1/colourants/magenta-ink')).drop.grams).toBeCloseTo(0.042, 9);
    expect(bench.errors).toEqual([]);
  });

  it('keeps lots, and takes from them what runs weigh', async () => {
    const stock = await get('/api/v1/stock');
    const powder = stock.find((s: { lot: { id: string } }) => s.lot.id === 'gypsum-powder');
    expect(powder.left).toBeLessThan(powder.lot.grams);
    await bench.walk('/shelf/lots/new');
    await bench
      .choose('A lot of', 'gypsum powder')
      .catch(() => bench.choose('A lot of', 'powder, Jesmonite'));
    await bench.type('Full weight', '12.5 kg');
    await bench.type('Price', '30');
    await bench.says(main, /2\.40/);
    await bench.click('Save');
    await bench.says('[data-testid="lots"]', '12500 g');
  });

  it('learns what clings from what is left in three cups', async () => {
    await bench.walk('/record/tideline-first');
    for (const cup of ['A', 'B', 'C']) await bench.type(`Left in cup ${cup}`, '0.4 g');
    await bench.click('Keep the weights');
    await bench.page.waitForFunction(() =>
      [...document.querySelectorAll('button')].some(
        (b) => b.textContent?.trim() === 'Keep the weights' && b.disabled
      )
    );
    await bench.walk('/plans/tideline-knobs');
    await bench.click('losses, spare, cups at hand');
    await bench.says('body', /from \d past cups/);
  });
});

describe('bad batches through the HTTP interface', () => {
  let workshop: Workshop;
  beforeAll(async () => {
    workshop = await Workshop.open({ demo: true });
  });
  afterAll(() => workshop.close());
  const file = async (id: string) => (await fetch(`${workshop.address}/api/v1/plans/${id}/file`)).json();
  const compute = async (body: unknown) => {
    const answer = await fetch(`${workshop.address}/api/v1/compute`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body)
    });
    return { status: answer.status, ...(await answer.json()) };
  };
  type Any = Record<string, never>;

  it.each([
    [
      'a negative embed',
      'night-heron',
      (f: Any) => set(f, 'plan.groups.0.embeds.0.grams', -2),
      422,
      'plan/groups/loaf/embeds/seeds/grams'
    ],
    [
      'no cavities',
      'tideline-knobs',
      (f: Any) => set(f, 'plan.groups.0.count', 0),
      422,
      'plan/groups/knobs/count'
    ],
    [
      'a percentage over 100',
      'tideline-knobs',
      (f: Any) => set(f, 'plan.cups.0.recipe.0.percent', 140),
      422,
      'plan/cups/mudflat/recipe/mudflat-brown/percent'
    ],
    [
      'chips that leave no body',
      'shingle-dishes',
      (f: Any) => set(f, 'plan.cups.0.fillers.0.percent', 95),
      422,
      'plan/cups/shingle/fillers/chips/percent'
    ],
    [
      'lye purer than pure',
      'saltings-bars',
      (f: Any) => set(f, 'shelf.bases.0.lyePurity', 1.2),
      422,
      'shelf/bases/bar-soap/lyePurity'
    ],
    [
      'a volume ratio without densities',
      'tideline-knobs',
      (f: Any) => set(f, 'shelf.bases.0.densityA', undefined),
      200,
      'shelf/bases/clear-quick/densityA'
    ],
    [
      'a knob of forty litres',
      'tideline-knobs',
      (f: Any) => set(f, 'shelf.moulds.0.cavities.0.shape.radius', 2673),
      200,
      'shelf/moulds/dome-knobs/cavities/dome/capacity'
    ],
    [
      'a layer deeper than the resin takes',
      'rockpool-roundels',
      (f: Any) => set(f, 'shelf.bases.0.depthLimit', 2),
      200,
      'plan/steps/lay-foam/act/amount'
    ],
    [
      'a percentage over the limit',
      'tideline-knobs',
      (f: Any) => set(f, 'plan.cups.0.recipe.0.percent', 9),
      200,
      'plan/cups/mudflat/recipe/mudflat-brown/percent'
    ],
    [
      'chambers that are not the whole',
      'rockpool-roundels',
      (f: Any) => set(f, 'shelf.moulds.0.cavities.0.chambers', [{ id: 'a', name: 'a', share: 0.5 }]),
      200,
      'shelf/moulds/roundel/cavities/roundel/chambers'
    ]
  ] as const)('%s gets a code, a path, a sentence and a mend', async (_, id, spoil, status, path) => {
    const answer = await compute(spoil(await file(id)));
    expect(answer.status).toBe(status);
    const problem = answer.problems.find((p: { path: string }) => p.path === path);
    expect(problem?.code).toMatch(/^[a-z-]+$/);
    expect(problem.sentence.length).toBeGreaterThan(10);
    expect(problem.mend.length).toBeGreaterThan(5);
  });
});

/** A copy with one value set at a dotted path. */
function set<T>(document: T, path: string, value: unknown): T {
  const copy = structuredClone(document) as unknown;
  const keys = path.split('.');
  let at = copy as Record<string, unknown>;
  for (const key of keys.slice(0, -1)) at = at[key] as Record<string, unknown>;
  at[keys.at(-1)!] = value;
  return copy as T;
}
