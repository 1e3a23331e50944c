import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { tideline } from '$demo/plans';
import { shelfOf } from '../src/core/document';
import { Workshop, type Bench } from './workshop';

let workshop: Workshop;
let bench: Bench;
const main = 'main';
const get = async (path: string) => (await fetch(workshop.address + path)).json();
const file = { format: 'kirapen.plan', version: 2, plan: tideline, shelf: shelfOf(tideline, cards) };

beforeAll(async () => {
  workshop = await Workshop.open({ demo: false });
});
afterAll(async () => {
  await workshop.close();
});

describe('an empty bench', () => {
  it('offers three steps to a first batch: a mould measured with water', async () => {
    bench = await workshop.page('/');
    await bench.says(main, 'An empty bench.');
    await bench.click('Measure a mould', 'link');
    await bench.type('Name', 'Knob mould');
    await bench.choose('Shape', 'half ball');
    await bench.type('How many cavities', '6');
    await bench.choose('Capacity known from', 'a water fill');
    await bench.type('Mould empty', '212.4 g');
    await bench.type('Filled with water', '331.1');
    await bench.type('Water is at', '21 C');
    await bench.says('[data-testid="capacity"]', '118.94 ml each');
    await bench.says(main, 'was one cavity filled');
    await bench.type('Filled with water', '222.7 g');
    await bench.says('[data-testid="working"]', '(222.7 − 212.4) g');
    await bench.type('Level', '4 mm');
    expect(
      Number.parseFloat(
        await bench.page.$eval('[aria-label="Volume below it"]', (e) => (e as HTMLInputElement).value)
      )
    ).toBeCloseTo(0.79, 2);
    await bench.click('Save');
    await bench.says(main, '1 on the shelf');
    await bench.walk('/shelf');
    await bench.says(main, '6 × 10.32 ml');
  });

  it('a shelf of generic cards', async () => {
    await bench.walk('/');
    await bench.click('Add the starter set');
    await bench.says(main, 'See the shelf');
    expect((await get('/api/v1/bases')).length).toBeGreaterThan(0);
  });

  it('a plan file, which brings its cards along and comes out again the same', async () => {
    const path = join(workshop.folder, 'tideline.kirapen.json');
    writeFileSync(path, JSON.stringify(file));
    await bench.walk('/');
    const input = await bench.page.waitForSelector('[aria-label="Plan file to import"]');
    await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(path);
    await bench.says('[aria-label="Pour"]', 'heron');
    expect(await get(`/api/v1/plans/${tideline.id}/file`)).toEqual(JSON.parse(JSON.stringify(file)));
  });

  it('says what is wrong with a file that is none', async () => {
    const path = join(workshop.folder, 'broken.json');
    writeFileSync(
      path,
      JSON.stringify({ ...file, plan: { ...tideline, bench: { ...tideline.bench, roomCelsius: 400 } } })
    );
    await bench.walk('/plans');
    const input = await bench.page.waitForSelector('[aria-label="Plan file to import"]');
    await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(path);
    await bench.says(main, 'Room celsius is too hot to cast');
    expect(await get('/api/v1/plans')).toHaveLength(1);
  });

  it('brings a deleted plan back', async () => {
    await bench.walk(`/plans/${tideline.id}`);
    await bench.click('Export, copy or delete this plan');
    await bench.click('Delete the plan', 'menuitem');
    await bench.says(main, 'The plan is deleted.');
    expect(await get('/api/v1/plans')).toHaveLength(0);
    await bench.click('Bring it back');
    await bench.says('[aria-label="Pour"]', 'heron');
    expect(bench.errors).toEqual([]);
  });
});

describe('the HTTP interface', () => {
  const post = (path: string, body: unknown) =>
    fetch(workshop.address + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body)
    });

  it('computes a plan without storing it', async () => {
    const before = await get('/api/v1/plans');
    const answer = await post('/api/v1/compute', { plan: { ...tideline, id: 'never' }, shelf: file.shelf });
    expect(answer.status).toBe(200);
    const computed = await answer.json();
    expect(computed.groups[0].layers[0].each).toBeCloseTo(0.787, 3);
    expect(await get('/api/v1/plans')).toEqual(before);
  });

  it('answers a bad plan with code, path, sentence and mend', async () => {
    const answer = await post('/api/v1/compute', {
      plan: { ...tideline, groups: [{ ...tideline.groups[0], count: -6 }] },
      shelf: file.shelf
    });
    expect(answer.status).toBe(422);
    const { problems } = await answer.json();
    expect(problems[0]).toMatchObject({ code: 'input-too-small', path: 'plan/groups/knobs/count' });
    expect(problems[0].sentence.length).toBeGreaterThan(10);
    expect(problems[0].mend.length).toBeGreaterThan(5);
  });

  it('refuses what is not JSON, and what is not here', async () => {
    const text = await fetch(`${workshop.address}/api/v1/compute`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: 'no'
    });
    expect(text.status).toBe(400);
    expect((await fetch(`${workshop.address}/api/v1/plans/nowhere`)).status).toBe(404);
  });

  it('describes itself', async () => {
    const api = await get('/api/v1/openapi.json');
    expect(api.openapi).toBe('3.1.0');
    for (const path of Object.keys(api.paths)) {
      for (const reference of JSON.stringify(api.paths[path]).matchAll(/#\/components\/schemas\/(\w+)/g))
        expect(api.components.schemas).toHaveProperty(reference[1]!);
    }
  });

  it('refuses a foreign origin', async () => {
    const answer = await fetch(`${workshop.address}/api/v1/library`, {
      method: 'POST',
      headers: { origin: 'http://elsewhere.example', 'content-type': 'application/x-www-form-urlencoded' }
    });
    expect(answer.status).toBe(403);
  });
});
