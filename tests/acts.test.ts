import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Plan } from '../src/core/plan';
import { Workshop, type Bench } from './workshop';

let workshop: Workshop;
let bench: Bench;
beforeAll(async () => {
  workshop = await Workshop.open({ demo: true, pictures: true });
  bench = await workshop.page('/plans/rockpool-roundels');
  await bench.says('[aria-label="Pour"]', '+ Layer');
});
afterAll(async () => {
  await workshop.close();
});

const plan = async (id = 'rockpool-roundels') =>
  (await (await fetch(`${workshop.address}/api/v1/plans/${id}`)).json()) as Plan;
const kinds = async (id?: string) => (await plan(id)).steps.map((s) => s.act.kind);
const steps = (id?: string) => expect.poll(() => kinds(id));
const BEFORE = ['lay', 'puddle', 'puddle', 'puddle', 'withdraw', 'demould', 'sand'];

/** Adds an act as a maker does: a few letters, and Enter. */
async function add(letters: string, name = letters) {
  const field = await bench.page.waitForSelector('[aria-label="Add a step to roundels 1–6"]');
  await field!.click();
  await field!.type(letters);
  await bench.page.waitForFunction(
    (l) => document.querySelector('[role="option"]')?.textContent?.includes(l) ?? false,
    {},
    name
  );
  await bench.page.keyboard.press('Enter');
}

describe('acts', () => {
  it('are added by a few letters, what is poured before what is done afterwards', async () => {
    expect(await kinds()).toEqual(BEFORE);
    await add('torch');
    await bench.says('[aria-label="Pour"]', 'Torch 5 s');
    await steps().toEqual([...BEFORE.slice(0, 5), 'torch', 'demould', 'sand']);
    await add('seal');
    await steps().toEqual([...BEFORE.slice(0, 5), 'torch', 'demould', 'sand', 'seal']);
  });

  it('read as one line, and are placed by typing or by the arrow keys', async () => {
    await bench.says('[aria-label="Pour"]', /Draw out 5 ml\s+in the middle/);
    await bench.openStep(5);
    await bench.type('Where of step 5, across', '20 mm');
    await bench.says('[aria-label="Pour"]', /Draw out 5 ml\s+at the right/);
    await bench.page.$eval('[aria-label^="Place 1:"]', (e) => (e as SVGElement).focus());
    for (let i = 0; i < 10; i++) await bench.page.keyboard.press('ArrowUp');
    await bench.says('[aria-label="Pour"]', /Draw out 5 ml\s+at the far right/);
    const { x, y } = (await plan()).steps[4]!.act.at as { x: number; y: number };
    expect(x).toBeCloseTo(20 / 45, 2);
    await expect.poll(async () => ((await plan()).steps[4]!.act.at as { y: number }).y).toBeCloseTo(0.2, 2);
    expect(y).toBeGreaterThanOrEqual(0);
    await bench.page.keyboard.press('Escape');
  });

  it('are left out for now, copied, moved and taken out', async () => {
    await bench.openStep(6);
    await bench.click('Leave out step 6');
    await expect.poll(async () => (await plan()).steps[5]!.muted).toBe(true);
    await bench.click('Do step 6');
    await expect.poll(async () => (await plan()).steps[5]!.muted).toBeUndefined();
    await bench.click('Copy step 6');
    await steps().toEqual([...BEFORE.slice(0, 5), 'torch', 'torch', 'demould', 'sand', 'seal']);
    await bench.openStep(7);
    await bench.click('Move up step 7');
    await bench.openStep(6);
    await bench.click('Delete step 6');
    await steps().toEqual([...BEFORE.slice(0, 5), 'torch', 'demould', 'sand', 'seal']);
    await bench.openStep(6);
    await bench.click('Move down step 6');
    await steps().toEqual([...BEFORE.slice(0, 5), 'demould', 'torch', 'sand', 'seal']);
    await bench.click('Move up step 7');
    expect(bench.errors.join(' | ')).toBe('');
  });

  it('lie within an outline that is traced over a picture, corner by corner', async () => {
    const picture = join(workshop.folder, 'leaf.png');
    await sharp({ create: { width: 300, height: 200, channels: 3, background: '#7a9a7a' } })
      .png()
      .toFile(picture);
    await add('region', 'fill an area');
    const at = (await kinds()).length;
    await expect.poll(async () => (await kinds()).includes('region')).toBe(true);
    const n = (await kinds()).indexOf('region') + 1;
    expect(n).toBeLessThan(at + 1);
    await bench.openStep(n);
    const file = (await bench.page.waitForSelector('[aria-label="A picture to trace over"]'))!;
    await (file as ElementHandle<HTMLInputElement>).uploadFile(picture);
    await bench.page.waitForSelector('[data-testid="traced-over"]');
    await expect.poll(async () => (await plan()).tracing).toMatchObject({ width: 300, height: 200, wide: 1 });

    await bench.click('Trace it again');
    const pad = (await bench.page.waitForSelector('[data-testid="place-pad"]'))!;
    await pad.scrollIntoView();
    const box = (await pad.boundingBox())!;
    const corner = (x: number, y: number) =>
      bench.page.mouse.click(box.x + box.width * x, box.y + box.height * y);
    await corner(0.4, 0.6);
    await bench.says('[data-testid="step-form"]', '2 more corners');
    await corner(0.6, 0.6);
    await corner(0.6, 0.4);
    await corner(0.4, 0.4);
    const outline = async () =>
      (await plan()).steps[n - 1]!.act.outline as { points: { x: number; y: number }[]; closed: boolean };
    await expect.poll(async () => (await outline()).points.length).toBe(4);
    const { points, closed } = await outline();
    expect(closed).toBe(true);
    // The pad is 252 px for 228 px of cavity: 0.1 of it from the middle is 25 of 114.
    expect(points[0]!.x).toBeCloseTo(-25 / 114, 1);
    expect(points[0]!.y).toBeCloseTo(-25 / 114, 1);
    expect(points[2]!.x).toBeCloseTo(25 / 114, 1);
    expect(points[2]!.y).toBeCloseTo(25 / 114, 1);

    await bench.type('Picture, turned', '30');
    await expect.poll(async () => (await plan()).tracing!.turned).toBe(30);
    await bench.page.keyboard.press('Escape');
    // The picture is kept with the plan.
    const kept = await fetch(`${workshop.address}/api/v1/photos/${(await plan()).tracing!.photo}`);
    expect([kept.status, kept.headers.get('content-type')]).toEqual([200, 'image/jpeg']);
    await bench.click(`Delete step ${n}`);
    await steps().toEqual([...BEFORE.slice(0, 5), 'torch', 'demould', 'sand', 'seal']);
    expect(bench.errors.join(' | ')).toBe('');
  });

  it('are shown on the picture where they are done, while their line is looked at', async () => {
    await bench.page.hover('[data-step="withdraw-centre"]');
    const mark = await bench.page.waitForSelector('[data-testid="marks"] circle');
    const [x, width] = await mark!.evaluate((e) => [
      Number(e.getAttribute('cx')),
      (e.ownerSVGElement as SVGSVGElement).viewBox.baseVal.width
    ]);
    // The mould face is mirrored: what lies to the right of the open face is to the left here.
    expect(x).toBeLessThan(width! / 2);
    await bench.page.hover('[data-step="lay-foam"]');
    await bench.page.waitForFunction(() => !document.querySelector('[data-testid="marks"]'));
  });

  it('say what is wrong with them, and one tap mends it', async () => {
    await add('glue');
    await steps().toContain('glue');
    await bench.openStep(10);
    await bench.click('Move up step 10');
    await bench.page.$$eval('button', (all) => all.find((b) => /warnings?$/.test(b.innerText))?.click());
    await bench.says('[aria-label="Numbers"]', 'glued before it is sealed');
    await bench.click('Seal it first');
    await bench.page.waitForFunction(() => !document.body.innerText.includes('glued before it is sealed'));
    const now = await kinds();
    expect(now.indexOf('seal')).toBeLessThan(now.indexOf('glue'));
  });
});

describe('a technique', () => {
  it('shows its steps before it fills them in, and asks what to keep', async () => {
    await bench.click('Technique');
    await bench.says('[data-testid="techniques"]', 'For this material');
    await bench.page.$$eval('[data-testid="techniques"] button', (all) =>
      (all.find((b) => b.textContent?.trim().startsWith('Hearts bloom')) as HTMLElement).click()
    );
    await bench.says('[data-testid="would"]', /drizzle|pipe|draw/);
    await bench.says('[data-testid="techniques"]', 'Keep those after the pour');
    await bench.page.$$eval('[role="radio"]', (all) => (all[1] as HTMLElement).click());
    await bench.click('Fill in these steps');
    await steps().toEqual([
      'lay',
      'ribbon',
      'ribbon',
      'ribbon',
      'wait',
      'lay',
      'demould',
      'sand',
      'seal',
      'glue'
    ]);
    await bench.click('Undo');
    await steps().toContain('puddle');
    expect(bench.errors.join(' | ')).toBe('');
  });
});

describe('a thing set into each piece', () => {
  it('has its outline, its colours and a way to lie, and is drawn by them', async () => {
    await bench.walk('/plans/samphire-hooks');
    await bench.says('[aria-label="Pour"]', '+ Layer');
    const things = async () => (await plan('samphire-hooks')).groups[0]!.embeds;
    await bench.page.locator('[aria-label="Pour"] button[aria-expanded] ::-p-text(mould)').click();
    await bench.click('+ Thing');
    await bench.choose('Outline of thing', 'flower');
    await bench.choose('How thing lies', 'on edge');
    await bench.click('+ Second colour');
    await bench.type('Colour of thing', '#e58fa5');
    await expect
      .poll(things)
      .toMatchObject([
        { name: 'thing', look: { outline: 'flower', lies: 'on edge', colours: ['#e58fa5', '#e8c55a'] } }
      ]);
    await bench.choose('Outline of thing', 'drawn or traced');
    await expect
      .poll(async () => (await things())?.[0])
      .toMatchObject({
        look: { outline: expect.arrayContaining([[1, 1]]), lies: 'on edge' }
      });
    await bench.page.waitForSelector('[aria-label^="Outline of thing, corner by corner"]');
    expect(bench.errors).toEqual([]);
  });
});

describe('some cavities of a group', () => {
  it('are done otherwise without retyping: from another cup, with another amount, or not at all', async () => {
    await bench.walk('/plans/tideline-knobs');
    await bench.says('[aria-label="Pour"]', '+ Layer');
    const variations = async () => (await plan('tideline-knobs')).groups[0]!.variations;
    const others = expect.poll(variations);
    await bench.openStep(1);
    await bench.click('Different in some cavities of knobs 1–6');
    await others.toMatchObject([{ stepId: 'lay-mudflat', cavities: [6], change: { skip: true } }]);
    await bench.type('Cavities of knobs 1–6 with step 1 otherwise, 1', '2-3, 5');
    await expect.poll(async () => (await variations())?.[0]?.cavities).toEqual([2, 3, 5]);
    await bench.choose('How step 1 is otherwise, 1', 'is from another cup');
    await bench.choose('Cup of step 1 otherwise, 1', 'C foam');
    await expect.poll(async () => (await variations())?.[0]?.change).toEqual({ cupId: 'foam' });
    await bench.choose('How step 1 is otherwise, 1', 'is another amount');
    await bench.type('Amount of step 1 otherwise, 1', '3 mm');
    await expect
      .poll(async () => (await variations())?.[0]?.change)
      .toEqual({ amount: { kind: 'deep', mm: 3 } });
    await bench.page.keyboard.press('Escape');
    // They stand as cavities of their own, each with its piece.
    await bench.choose('Which cavities', 'knobs 1–6 (2–3, 5)');
    await bench.page.waitForSelector('[aria-label="mould face of knobs 1–6 (2–3, 5)"]');
    await bench.openStep(1);
    await bench.click('Step 1 as in the others, 1');
    await expect.poll(variations).toBeUndefined();
    await bench.page.keyboard.press('Escape');
  });
});

describe('the score', () => {
  it('shows the pour, all of it, and the days', async () => {
    await bench.walk('/plans/sluice-bookends');
    const words = () => bench.page.$eval('[data-testid="score"]', (e) => e.textContent ?? '');
    await bench.click('Timeline');
    await bench.says('[aria-label="Timeline"]', /Finished after 8 d/);
    expect(await words()).not.toContain('Seal');
    await bench.choose('The timeline shows', 'all of it');
    await expect.poll(words).toContain('Seal');
    await expect.poll(words).toContain('wait 7 d');
    await bench.choose('The timeline shows', 'the days');
    await expect.poll(words).toContain('7 d');
    expect(await words()).not.toContain('wait 7 d');
  });

  it('is gone through by keys, mark by mark, down to seconds', async () => {
    await bench.walk('/plans/rockpool-roundels');
    await bench.says('[data-testid="mark"]', /Your hands: /);
    await bench.page.focus('[aria-label="Go through the timeline"]');
    expect(await bench.says('[data-testid="mark"]', '0:00 to 1:00')).toContain('weigh the mix');
    for (let i = 0; i < 10; i++) await bench.page.keyboard.press('ArrowRight');
    const pour = await bench.says('[data-testid="mark"]', /13:00 to 16:00 · pour a layer of A foam/);
    expect(pour).toMatch(/its cup lasts \d+ min longer/);
    // The line of the step is marked with it.
    const line = await bench.page.$eval('[data-step="lay-foam"]', (e) => e.className);
    expect(line).toContain('bg-sheet');
    const words = () => bench.page.$eval('[data-testid="score"]', (e) => e.textContent ?? '');
    expect(await words()).not.toContain('30 s');
    for (let i = 0; i < 3; i++) await bench.click('Timeline: zoom in, to seconds');
    await expect.poll(words).toContain('30 s');
    const inSight = await bench.page.$eval('[data-chosen]', (e) => {
      const own = e.getBoundingClientRect();
      return own.left > 60 && own.left < innerWidth;
    });
    expect(inSight).toBe(true);
    await bench.page.focus('[aria-label="Go through the timeline"]');
    await bench.page.keyboard.press('Escape');
    await bench.says('[data-testid="mark"]', /Your hands: /);
  });

  it('says a conflict with its reason, and mends it there', async () => {
    const { id: _, ...before } = await plan();
    const slow = {
      ...before,
      id: 'slow-roundels',
      mixes: before.mixes.map((m) => ({ ...m, turns: 1 })),
      steps: before.steps.map((s) => (s.id === 'puddle-heron' ? { ...s, hands: { each: 8 } } : s))
    };
    const made = await fetch(`${workshop.address}/api/v1/plans`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(slow)
    });
    expect(made.status).toBe(201);
    await bench.walk('/plans/slow-roundels');
    const score = '[aria-label="Timeline"]';
    await bench.says(score, /\d problems? here/);
    await bench.page.$$eval(`${score} button`, (all) =>
      all.find((b) => /problems? here/.test(b.innerText))!.click()
    );
    await bench.says(score, /heron is pourable until/);
    await bench.says('[data-testid="mark"]', /past its window/);
    // The mend that is proved for it is one tap away.
    const mend = await bench.page.waitForFunction(
      (s) =>
        [...document.querySelectorAll<HTMLElement>(`${s} [data-code]`)]
          .find((n) => n.innerText.includes('heron is pourable'))
          ?.querySelector('button'),
      {},
      score
    );
    await (mend as ElementHandle<HTMLButtonElement>).click();
    await bench.page.waitForFunction(
      (s) => !(document.querySelector(s) as HTMLElement).innerText.includes('heron is pourable until'),
      {},
      score
    );
  });

  it('is told on the sheet from its own zeros: nothing dries after the pour that dries after demoulding', async () => {
    await bench.walk('/plans/sluice-bookends/sheet');
    const text = await bench.says('[data-testid="sheet"]', '7 d after demoulding');
    expect(text).not.toMatch(/after demoulding, about/);
    expect(text).toMatch(/stiffening, about \d+ min after\s+the pour/);
  });

  it('says an order as a row of mixes by one pair of hands', async () => {
    await bench.walk('/plans/samphire-hooks');
    await bench.click('Batch', 'tab');
    await bench.says('[data-testid="row"]', /castings, 5 at once/);
    await bench.says('[data-testid="row"]', /6 mixes/);
  });
});
