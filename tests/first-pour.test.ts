import Papa from 'papaparse';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { join } from 'node:path';
import { Workshop, type Bench } from './workshop';

let workshop: Workshop;
let bench: Bench;
const main = 'main';
const get = async (path: string) => (await fetch(workshop.address + path)).json();

beforeAll(async () => {
  workshop = await Workshop.open({ demo: true });
});
afterAll(async () => {
  await workshop.close();
});

describe('the first pour, from a mould to the record', () => {
  let planId = '';
  let runId = '';

  it('plans three layers with gates, and every figure follows', async () => {
    bench = await workshop.page('/');
    await bench.says(main, 'Demould knobs 1–6');
    await bench.press('2');
    await bench.says('main h1', 'Plans');
    await bench.click('New plan', 'link');
    await bench.click('Empty plan');
    await bench.says('[aria-label="Pour"]', 'Choose a mould');
    await bench.choose('Choose a mould', 'Dome knobs');
    await bench.says('[aria-label="Piece and core"]', /10\.29 ml/);
    planId = new URL(bench.page.url()).pathname.split('/').at(-1)!;
    await bench.type('Name of the plan', 'Tideline knobs, second tray');
    await bench.choose('Material', 'Clear casting resin, quick');

    await bench.click('Cups 1', 'tab');
    await bench.type('Name of cup A', 'mudflat');
    await bench.choose('Add a colourant to cup A', 'brown oxide paste');
    await bench.type('Percent of colourant 1 in cup A', '3 %');
    await bench.click('Cup');
    await bench.type('Name of cup B', 'heron');
    await bench.choose('Add a colourant to cup B', 'blue paste');
    await bench.click('Cup');
    await bench.type('Name of cup C', 'foam');
    await bench.choose('Add a colourant to cup C', 'titanium white paste');
    await bench.type('Percent of colourant 1 in cup C', '2.4');

    await bench.click('Pour', 'tab');
    await bench.type('Amount of step 1', '4 mm');
    await bench.click('+ Wait');
    await bench.click('+ Layer');
    await bench.type('Amount of step 3', 'to 60 %');
    await bench.click('+ Wait');
    await bench.click('+ Layer');
    await bench.says('[aria-label="Pour"]', /0\.79 ml each/);
    await bench.says('[aria-label="Pour"]', /5\.39 ml each/);
    await bench.says('[aria-label="Pour"]', /4\.12 ml each/);

    const core = await bench.page.$eval('[data-testid="core"]', (e) => e.getAttribute('aria-label'));
    expect(core).toContain('A mudflat from 0.0 to 4.0 mm');
    expect(core).toContain('C foam from 12.4 to 17.0 mm');
    expect(await bench.text('[data-testid="balance"]')).toMatch(/66\.68\s+in the mould/);
  });

  it('says what the scale cannot weigh, and mends a mix too small with one tap', async () => {
    await bench.says('[aria-label="Numbers"]', /0\.21 g|not weighable|under 20 g/);
    // That a mix is small is no warning: it stands among the tips.
    await bench.page.locator('button ::-p-text(tip)').click();
    await bench.click('Mix 20 g and keep what is left');
    await bench.says('[data-testid="balance"]', /13\.\d+\s+spare/);
  });

  it('takes a change back and does it again, by button and by key', async () => {
    await bench.cups();
    await bench.says('[aria-label="Cups"]', 'at least 20 g');
    await bench.click('Undo');
    await bench.page.waitForFunction(() => !document.body.innerText.includes('at least 20 g'));
    await bench.page.keyboard.down('Control');
    await bench.page.keyboard.down('Shift');
    await bench.page.keyboard.press('z');
    await bench.page.keyboard.up('Shift');
    await bench.page.keyboard.up('Control');
    await bench.says('[aria-label="Cups"]', 'at least 20 g');
  });

  it('refuses nonsense at the field, keeps it there, and changes nothing', async () => {
    const balance = await bench.text('[data-testid="balance"]');
    await bench.type('Amount of step 3', 'to 140 %');
    await bench.says('[role="alert"]', 'more than the cavity holds');
    expect(
      await bench.page.$eval('[aria-label="Amount of step 3"]', (e) => (e as HTMLInputElement).value)
    ).toBe('to 140 %');
    expect(await bench.text('[data-testid="balance"]')).toBe(balance);
    await bench.type('Amount of step 3', 'to 60 %');
    await bench.page.waitForFunction(() => !document.querySelector('[role="alert"]'));
  });

  it('was saved without being asked', async () => {
    await bench.walk(`/plans/${planId}`);
    await bench.cups();
    await bench.says('[aria-label="Cups"]', 'at least 20 g');
    const stored = await get(`/api/v1/plans/${planId}`);
    expect(stored.name).toBe('Tideline knobs, second tray');
    expect(stored.version).toBe(2);
    const acts = stored.steps.map((s: { act: { kind: string } }) => s.act.kind);
    expect(acts).toEqual(['lay', 'wait', 'lay', 'wait', 'lay']);
  });

  it('has a mix sheet with cumulative or tared readings', async () => {
    await bench.click('Mix sheet', 'link');
    const cumulative = await bench.says('[data-testid="sheet"]', 'scale reads, g');
    expect(cumulative).toContain('hardener');
    await bench.choose('Readings', 'tared');
    await bench.says('[data-testid="sheet"]', 'tared, g');
    const pages = await bench.page.pdf({ preferCSSPageSize: true });
    expect(pages.length).toBeGreaterThan(5000);
    await bench.click('← Workbench', 'link');
    await bench.says('[aria-label="Pour"]', 'mudflat');
  });

  it('runs: an overshoot moves what follows, the clock starts when the parts meet', async () => {
    await bench.click('Start the run');
    await bench.says('[data-testid="now"]', 'Make ready');
    runId = new URL(bench.page.url()).pathname.split('/').at(-1)!;
    await bench.says(main, 'sensitiser');
    await bench.makeReady();
    await bench.says('[data-testid="now"]', 'Weigh resin into cup A');
    const aim = Number(await bench.text('[data-testid="number"]'));
    await bench.type('Grams on the scale', String((aim * 1.1).toFixed(2)));
    await bench.confirm();
    await bench.says('[data-testid="now"]', 'Weigh hardener');
    const ways = await bench.says('[data-testid="corrected"]', /1\.10\d/);
    // Each way out says what it does.
    expect(ways).toMatch(/g more in all; the ratio is kept/);
    expect(ways).toMatch(/\d\.\d % off, A : B 100 : \d+\.\d by weight/);
    expect(ways).toMatch(/\d g are lost/);
    await bench.page.locator('[data-testid="corrected"] ::-p-text(Start this cup over)').click();
    await bench.says('[data-testid="now"]', 'Weigh resin into cup A');
    await bench.type('Grams on the scale', String((aim * 1.1).toFixed(2)));
    await bench.confirm();
    await bench.says('[data-testid="now"]', 'Weigh hardener');
    const snapshot = (await get(`/api/v1/runs/${runId}`)).snapshot;
    const computed = await (
      await fetch(`${workshop.address}/api/v1/compute`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(snapshot)
      })
    ).json();
    const [a, b] = computed.cups[0].weighings;
    const reads = Number(await bench.text('[data-testid="number"]'));
    expect(reads).toBeCloseTo(Number((a.weight * 1.1).toFixed(2)) + b.weight * 1.1, 1);
    expect(await bench.page.$('[data-testid="since"]')).toBeNull();
    await bench.confirm();
    await bench.says('[data-testid="since"]', /0:0\d/);
    await bench.says('aside', 'mudflat · to pour');
  });

  it('takes the weight from the stand-in scale, and undoes', async () => {
    await bench.says('[data-testid="now"]', 'brown oxide paste');
    const grams = async () =>
      (await get(`/api/v1/runs/${runId}/events`)).filter((e: { type: string }) => e.type === 'weighed')
        .length;
    await bench.page.waitForSelector('[data-testid="stored"]');
    const before = await grams();
    await bench.click('use the scale');
    await bench.says('header', '● scale');
    await bench.click('Tare');
    await bench.click('Let the screen play the scale');
    await bench.says('[data-testid="number"]', /^0\.0\d$|^0\.[01]\d$/);
    await bench.page.waitForFunction(() => !document.querySelector('[data-testid="settling"]'));
    await bench.confirm();
    await bench.says('[data-testid="now"]', 'Stir cup A');
    await bench.page.waitForSelector('[data-testid="stored"]');
    expect(await grams()).toBe(before + 1);
    await bench.press('u');
    await bench.says('[data-testid="now"]', 'brown oxide paste');
    await bench.click('● scale');
    await bench.confirm();
    await bench.says('[data-testid="now"]', 'Stir cup A');
  });

  it('goes on where it was after the server is killed and the page reloaded', async () => {
    await bench.confirm();
    await bench.says('[data-testid="now"]', 'Pour A mudflat');
    await bench.page.waitForSelector('[data-testid="stored"]');
    await workshop.stop('SIGKILL');
    // What happens while the server is dead is kept on the device.
    await bench.press('n');
    await bench.page.waitForSelector('[role="dialog"] textarea');
    await bench.page.keyboard.type('a bubble at knob 4');
    await bench.page.keyboard.press('Enter');
    await bench.says('[data-testid="waiting"]', '1 kept here');
    await bench.confirm();
    await bench.says('[data-testid="now"]', 'Wait until');
    await workshop.start();
    await bench.page.waitForSelector('[data-testid="stored"]');
    await bench.page.reload();
    await bench.alive();
    await bench.says('[data-testid="now"]', 'Wait until');
    await bench.says(main, 'a bubble at knob 4');
    const types = (await get(`/api/v1/runs/${runId}/events`)).map((e: { type: string }) => e.type);
    expect(types.filter((t: string) => t === 'note')).toHaveLength(1);
  });

  it('holds the next layer at the gate until the state is reported', async () => {
    await bench.confirm();
    await bench.says('[role="alert"]', 'Not yet');
    await bench.press('t');
    await bench.page.locator('[role="dialog"] ::-p-text(stringy)').click();
    await bench.confirm();
    await bench.says('[data-testid="now"]', 'Wait until');
    await bench.press('t');
    await bench.page.locator('[role="dialog"] ::-p-text(gelled)').click();
    await bench.says('[data-testid="number"]', 'Open');
    await bench.confirm();
    await bench.says('[data-testid="now"]', 'into cup B');
  });

  it('finishes: the other layers, a problem noted, demoulded', async () => {
    await bench.press('p');
    await bench.page.waitForSelector('[role="dialog"] textarea');
    await bench.page.keyboard.type('dust in cup B');
    await bench.page.keyboard.press('Enter');
    await bench.says(main, 'dust in cup B');
    for (const cup of ['B', 'C']) {
      for (const put of ['resin', 'hardener', 'paste']) {
        await bench.says('[data-testid="now"]', new RegExp(`Weigh .*${put}.* into cup ${cup}`));
        await bench.confirm();
      }
      await bench.says('[data-testid="now"]', `Stir cup ${cup}`);
      await bench.confirm();
      await bench.says('[data-testid="now"]', `Pour ${cup} `);
      if (cup === 'C') await bench.type('Grams poured in all', '24.00');
      await bench.confirm();
      if (cup === 'B') {
        await bench.says('[data-testid="now"]', 'Wait until');
        await bench.press('t');
        await bench.page.locator('[role="dialog"] ::-p-text(firm)').click();
        await bench.says('[data-testid="number"]', 'Open');
        await bench.confirm();
      }
    }
    await bench.says('[data-testid="now"]', 'Demould');
    await bench.says('aside', 'until demould');
    await bench.says('aside', 'late after');
    await bench.confirm();
    await bench.says(main, 'The run is done');
    await bench.confirm();
    await bench.says(main, 'Planned beside actual');
    expect((await get(`/api/v1/runs/${runId}`)).finishedAt).toBeGreaterThan(0);
  });

  it('inspects six pieces by face, with a defect, a photo without its place, and a lesson', async () => {
    await bench.says('[aria-label="Inspect"]', '0 of 6 looked at');
    const face = '[data-face="mould face"]';
    // A defect and no grade: the piece is not good, it is ungraded.
    await bench.click('Add a defect of the mould side');
    await bench.click('bubbles on the mould face');
    await bench.says(face, 'bubbles on the mould face');
    await bench.says('[aria-label="Inspect"]', '1 of 6 looked at, 1 without a grade');
    await bench.page.locator(`${face} ::-p-text(second)`).click();
    await bench.says('[aria-label="Inspect"]', /1 of 6 looked at\s/);

    const photo = join(workshop.folder, 'knob.jpg');
    await sharp({ create: { width: 2400, height: 1800, channels: 3, background: '#667788' } })
      .withExif({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
      .jpeg()
      .toFile(photo);
    const input = await bench.page.waitForSelector('[aria-label="Photo of piece 1"]');
    await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(photo);
    const image = await bench.page.waitForSelector('[data-testid="inspect"] img');
    const kept = await fetch(await image!.evaluate((i) => (i as HTMLImageElement).src));
    const facts = await sharp(Buffer.from(await kept.arrayBuffer())).metadata();
    expect([facts.width, facts.height, facts.exif]).toEqual([1600, 1200, undefined]);

    await bench.click('Next piece');
    for (let number = 2; number <= 6; number++) {
      await bench.says('[data-testid="inspect"]', `Piece ${number}`);
      await bench.click('All good, next');
      await bench.says('[aria-label="Inspect"]', `${number} of 6 looked at`);
    }
    await bench.type('Lesson', 'Tap cavity 4 before the gel.');
    await bench.click('Keep');
    await bench.says('[aria-label="Inspect"]', 'Tap cavity 4 before the gel.');
  });

  it('stands in the record, planned beside actual, and in the CSV', async () => {
    await bench.says('[aria-label="Planned and actual"]', /foam into knobs 1–6\s+26\.67 g\s+24\.00 g/);
    await bench.click('Record', 'link');
    await bench.says(main, 'Tap cavity 4');
    const csv = await (await fetch(`${workshop.address}/api/v1/record.csv`)).text();
    const rows = csv.split('\r\n').filter((r) => r.includes(runId));
    expect(rows).toHaveLength(6);
    const { data } = Papa.parse<Record<string, string>>(csv, { header: true });
    const grades = data.filter((r) => Object.values(r).includes(runId)).map((r) => r.grade);
    expect(grades.sort()).toEqual([...Array<string>(5).fill('good'), 'second']);
    expect(rows[0]).toContain('bubbles on the mould face');
  });

  it('repeats from what was really poured', async () => {
    await bench.walk(`/record/${runId}`);
    await bench.click('Repeat the same');
    await bench.holds('Amount of step 5', '3.7 ml');
    const id = new URL(bench.page.url()).pathname.split('/').at(-1)!;
    const plan = await get(`/api/v1/plans/${id}`);
    expect(plan.steps[4].act.amount.kind).toBe('volume');
    expect(bench.errors).toEqual([]);
  });

  it('stops gracefully', async () => {
    await bench.page.close();
    expect(await workshop.stop('SIGTERM')).toBe(0);
    await workshop.start();
  });
});
