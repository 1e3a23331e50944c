import sharp from 'sharp';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Workshop, type Bench } from './workshop';

let workshop: Workshop;
let bench: Bench;
const main = 'main';
const get = async (path: string) => (await fetch(workshop.address + path)).json();
const post = (path: string, body: unknown) =>
  fetch(workshop.address + path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body)
  });

beforeAll(async () => {
  workshop = await Workshop.open({ demo: true });
  bench = await workshop.page('/colours');
});
afterAll(() => workshop.close());

/** A photo with a white patch at the left and a colour at the right, under a warm lamp. */
async function photo(name: string, left: string, right: string): Promise<string> {
  const path = join(workshop.folder, name);
  const half = (background: string) =>
    sharp({ create: { width: 200, height: 200, channels: 3, background } })
      .png()
      .toBuffer();
  const both = sharp({ create: { width: 400, height: 200, channels: 3, background: '#000000' } }).composite([
    { input: await half(left), left: 0, top: 0 },
    { input: await half(right), left: 200, top: 0 }
  ]);
  writeFileSync(path, await both.png().toBuffer());
  return path;
}
async function upload(label: string, path: string) {
  const input = await bench.page.waitForSelector(`[aria-label="${label}"]`);
  await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(path);
}
async function tap(x: number, y: number) {
  const canvas = await bench.page.waitForSelector('[data-testid="photo"]', { visible: true });
  await canvas!.scrollIntoView();
  const box = (await canvas!.boundingBox())!;
  await bench.page.mouse.click(box.x + x * box.width, box.y + y * box.height);
}

describe('the shelf of colourants', () => {
  it('shows what each does in a base, with letter and hatch, strength and hiding', async () => {
    await bench.choose('Material', 'Clear casting resin, quick');
    const page = await bench.text(main);
    expect(page).toMatch(/carbon black paste/);
    expect(page).toMatch(/× [3-9]\.\d/);
    expect(page).toContain('starting value');
    const swatches = await bench.page.$$eval('table svg', (all) =>
      all.every((s) => (s.querySelector('text')?.textContent ?? '') !== '' && !!s.querySelector('pattern'))
    );
    expect(swatches).toBe(true);
  });

  it('takes a masstone and a tint, typed or picked from a photo with a white reference', async () => {
    await bench.walk('/colours/blue-paste');
    await bench.says('[data-testid="optics"]', /opaque from/);
    await bench.click('Enter a tint');
    await bench.type('Percent in white', '5 %');
    await bench.type('The tint’s colour', '9fb6cc');
    await upload('Pick the full-strength colour from a photo', await photo('pot.png', '#f2dfb8', '#2a4a5e'));
    await bench.says(main, 'First tap something white');
    await tap(0.25, 0.5);
    await bench.says(main, 'Now tap the colour');
    await tap(0.75, 0.5);
    await bench.says('[role="status"]', /#|saved/);
    await bench.page.waitForFunction(() =>
      document.querySelector('main')?.textContent?.includes('from a photo')
    );
    const card = await get('/api/v1/colourants/blue-paste');
    expect(card).toMatchObject({ colourFrom: 'photo', tint: { percent: 5, colour: '#9fb6cc' } });
    // The lamp's yellow is gone: blue has grown beside what the camera saw.
    expect(parseInt(card.colour.slice(5), 16)).toBeGreaterThan(0x5e);
    expect(bench.errors.join(' | ')).toBe('');
  });
});

describe('matching', () => {
  it('finds recipes in a worker, with grams for the batch, and shows how far it is', async () => {
    await bench.walk('/colours/match');
    await bench.choose('Material', 'Jesmonite, casting grade');
    await bench.type('Colour wanted', '7d9a5f');
    await bench.type('For a batch of', '250 g');
    await bench.page.locator('::-p-text(Find recipes)').click();
    const answers = await bench.says('[data-testid="answers"]', /ΔE/);
    expect(answers).toMatch(/green water dispersion/);
    expect(answers).toMatch(/after rounding to your scale/);
    expect(bench.errors.join(' | ')).toBe('');
  });

  it('can be stopped, and takes the colour of a cup or a card', async () => {
    await bench.choose('Material', 'Clear casting resin, quick');
    await bench.choose('At most', '4');
    await bench.choose('Colour of a trial card or a cup', 'card: sea lavender');
    const wanted = await bench.page.$eval(
      '[aria-label="Colour wanted"]',
      (e) => (e as HTMLInputElement).value
    );
    const card = (await get('/api/v1/trialcards')).find((c: { name: string }) => c.name === 'sea lavender');
    expect(wanted).toBe(card.colour);
    await bench.page.locator('::-p-text(Find recipes)').click();
    await bench.page.waitForSelector('[role="progressbar"]');
    await bench.click('Stop');
    await bench.page.waitForFunction(() => !document.querySelector('[role="progressbar"]'));
    await bench.says(main, 'Find recipes');
  });

  it('makes up for a pot that is out', async () => {
    await bench.walk('/colours/violet-paste');
    await bench.click('Out of it? Make it from others', 'link');
    await bench.says('main h1', 'Without violet paste');
    await bench.page.locator('::-p-text(Find recipes)').click();
    const answers = await bench.says('[data-testid="answers"]', /ΔE/);
    expect(answers).not.toContain('violet paste');
  });

  it('answers through the HTTP interface, and says what is wrong', async () => {
    const good = await post('/api/v1/match', {
      target: '#5b7d95',
      baseId: 'clear-quick',
      batch: 80,
      division: 0.1
    });
    const { answers } = await good.json();
    expect(answers[0].deltaE).toBeLessThan(2);
    expect(answers[0].weighed.grams[0].grams).toBeGreaterThan(0);
    const bad = await post('/api/v1/match', { target: 'blue', baseId: 'clear-quick' });
    expect(bad.status).toBe(422);
    expect((await bad.json()).problems[0]).toMatchObject({ path: 'target' });
    const gone = await post('/api/v1/match', { target: '#5b7d95', baseId: 'nowhere' });
    expect((await gone.json()).problems[0]).toMatchObject({ code: 'base-missing', path: 'baseId' });
  });
});

describe('trial cards', () => {
  it('are recorded in under a minute, with a photo', async () => {
    await bench.walk('/colours/cards');
    await bench.says('[data-testid="outlier"]', 'wrong pot?');
    const count = (await get('/api/v1/trialcards')).length;
    await bench.click('New card');
    await bench.click('Keep the card');
    await bench.says(
      '[aria-label="New trial card"] [role="alert"], [aria-label="New trial card"]',
      /colourant|measured/
    );
    expect((await get('/api/v1/trialcards')).length).toBe(count);
    await bench.type('Name of the card', 'foam on slate');
    await bench.choose('Material of the card', 'Clear casting resin, slow');
    await bench.choose('Colourant 1 of the card', 'titanium white paste');
    await bench.type('Percent 1 of the card', '2 %');
    await bench.type('Thickness', '1.5 mm');
    await bench.choose('Laid', 'over black');
    await bench.type('Colour as measured', 'b9bcbe');
    await upload('Photo to keep', await photo('smear.png', '#111111', '#c9ccce'));
    await bench.click('Keep the card');
    await bench.says(main, 'foam on slate');
    const card = (await get('/api/v1/trialcards')).find((c: { name: string }) => c.name === 'foam on slate');
    expect(card).toMatchObject({ mm: 1.5, backing: 'black', colour: '#b9bcbe', lines: [{ percent: 2 }] });
    const kept = await fetch(`${workshop.address}/api/v1/trialcards/${card.id}/photo`);
    expect(kept.headers.get('content-type')).toBe('image/jpeg');
  });

  it('correct the strengths of the pots they used', async () => {
    const before = await get('/api/v1/colourants/blue-paste');
    // With its doubt, as a range.
    await bench.says('[data-testid="correction"]', /blue paste × \d\.\d\d \(\d\.\d\d to \d\.\d\d, 2 cards/);
    await bench.click('Correct their strengths');
    await bench.page.waitForFunction(
      () => !document.querySelector('[data-testid="correction"]')?.textContent?.includes('blue paste')
    );
    const after = await get('/api/v1/colourants/blue-paste');
    expect(after.strength).not.toBe(before.strength);
    // It has a tint since: that was of the strength before.
    expect(after.tint?.at).toBe(before.strength);
    expect(after.colourFrom).toBe('cards');
  });

  it('make a ladder, and a sheet to print', async () => {
    await bench.says('[data-testid="ladder"]', /hides from \d/);
    await bench.choose('Colourant of the ladder', 'carbon black paste');
    await bench.says('[data-testid="ladder"]', /hides from 0\.\d/);
    await bench.click('Print a sheet', 'link');
    await bench.says('[data-testid="card-sheet"]', 'light');
    expect(bench.errors.join(' | ')).toBe('');
  });
});

describe('palettes', () => {
  it('come from a photo and become recipes', async () => {
    await bench.walk('/colours/palettes');
    await bench.choose('How many colours', '3');
    await upload('Colours of a photo', await photo('marsh.png', '#6f7f58', '#b9a27a'));
    await bench.says('[data-testid="palette"]', /colour 1, 5\d %/);
    await bench.click('Find recipes');
    await bench.says('[data-testid="palette"]', /ΔE \d/);
    expect(bench.errors.join(' | ')).toBe('');
  });

  it('are read from a file, or refused with the line', async () => {
    const path = join(workshop.folder, 'marsh.gpl');
    writeFileSync(path, 'GIMP Palette\nName: marsh\n#\n251 250 244\tfoam\n 44  73  90\theron\n');
    await upload('Open a palette file', path);
    await bench.says('[data-testid="palette"]', 'heron');
    writeFileSync(path, 'GIMP Palette\n251 250 900\tfoam\n');
    await upload('Open a palette file', path);
    await bench.says(main, 'Line 2 is no colour');
  });

  it('leave the shelf as text and as CSV, and come back', async () => {
    const text = await (await fetch(`${workshop.address}/api/v1/palette`)).text();
    const back = await (await post('/api/v1/palette', { text })).json();
    const shelf = await get('/api/v1/colourants');
    expect(back.swatches).toHaveLength(shelf.length);
    const csv = await (await fetch(`${workshop.address}/api/v1/palette?as=csv`)).text();
    expect((await (await post('/api/v1/palette', { text: csv })).json()).swatches).toEqual(back.swatches);
    expect((await post('/api/v1/palette', { text: 'nothing here' })).status).toBe(422);
  });
});

describe('colour in a plan', () => {
  it('says that two darks read as one, and mends it with one tap', async () => {
    await bench.walk('/plans/night-heron');
    await bench.says('[data-testid="contrast"]', 'look the same');
    await bench.says('[aria-label="Numbers"]', /will look the same/);
    await bench.page.locator('::-p-text(activated charcoal instead of)').click();
    await bench.page.waitForFunction(
      () => !document.querySelector('[data-testid="contrast"]')?.textContent?.includes('look the same')
    );
    await bench.click('Undo');
    await bench.says('[data-testid="contrast"]', 'look the same');
  });

  it('shows each cup in the cup, in the piece and finished, and as others see it', async () => {
    await bench.walk('/plans/sluice-bookends');
    await bench.cups();
    await bench.page.waitForSelector('[data-testid="looks-B"] [role="img"]');
    const looks = await bench.page.$$eval('[data-testid="looks-B"] [role="img"]', (all) =>
      all.map((e) => e.getAttribute('aria-label') ?? '')
    );
    expect(looks.map((l) => l.split(':')[0])).toEqual([
      'in the cup',
      expect.stringMatching(/mm in the piece, dry/),
      'sealed'
    ]);
    await bench.walk('/plans/samphire-hooks');
    const fill = () => bench.page.$eval('[data-testid="core"] pattern rect', (e) => e.getAttribute('fill'));
    const own = await fill();
    await bench.choose('Colour vision', 'lightness alone');
    await bench.page.waitForFunction(
      (before) =>
        document.querySelector('[data-testid="core"] pattern rect')?.getAttribute('fill') !== before,
      {},
      own
    );
    expect(await fill()).toMatch(/^#(\w\w)\1\1$/);
    expect(bench.errors.join(' | ')).toBe('');
  });
});
