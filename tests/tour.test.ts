import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { isToday } from '$core/soak.testing';
import { Workshop, type Bench } from './workshop';

let workshop: Workshop;
let bench: Bench;
beforeAll(async () => {
  workshop = await Workshop.open({ demo: true, pictures: true });
  bench = await workshop.page('/guide/first-piece');
});
afterAll(async () => {
  await workshop.close();
});

const TOUR = '[data-testid="tour"]';
const ringed = () =>
  bench.page.$eval('[data-toured]', (e) => e.getAttribute('aria-label') ?? e.getAttribute('data-testid'));
/** Waits until the tour sees by itself that its stop is done, and goes on. */
const seenDone = async () => {
  await bench.says(TOUR, 'Done.');
  await bench.click('Next');
};

describe.runIf(isToday(1, 2))('the tour of the first piece', () => {
  it('goes from a change in the plan to a poured layer on the real screens, and sees what is done', async () => {
    await bench.click('Take the tour', 'link');
    await bench.says(TOUR, 'Change one thing');
    await expect.poll(ringed).toBe('Amount of step 1');
    await bench.type('Amount of step 1', '5 mm');
    await seenDone();
    await bench.says(TOUR, 'Take it back');
    await bench.click('Undo');
    await seenDone();
    await bench.says(TOUR, 'Ask the piece');
    await bench.page.locator('button[aria-label^="What is here?"]').click();
    await seenDone();
    await bench.says(TOUR, 'Read the timeline');
    await expect.poll(ringed).toBe('Timeline');
    await bench.click('Next');
    await bench.says(TOUR, 'Or ask by a picture');
    await expect.poll(ringed).toBe('made-picture');
    await bench.click('Next');
    await bench.says(TOUR, 'Rehearse it');
    await bench.click('Begin without mishaps');
    await seenDone();
    await bench.says(TOUR, 'Confirm with Space');
    await bench.makeReady();
    for (let i = 0; i < 12 && !/^Wait/.test(await bench.text('[data-testid="now"]')); i++) {
      const before = await bench.text('[data-testid="now"]');
      await bench.confirm();
      await expect.poll(() => bench.text('[data-testid="now"]')).not.toBe(before);
    }
    await seenDone();
    await bench.says(TOUR, 'Say what you feel');
    await bench.press('t');
    await bench.page.locator('[role="dialog"] ::-p-text(gelled)').click();
    await bench.says('[data-testid="number"]', 'Open');
    await bench.confirm();
    await seenDone();
    await bench.says(TOUR, 'Too much went in');
    const asked = Number((await bench.text('[data-testid="number"]')).trim());
    await bench.type('Grams on the scale', (asked * 1.2).toFixed(2));
    await bench.confirm();
    await bench.says('[data-testid="consequence"]', /The rest × 1\.\d/);
    await seenDone();
    await bench.says(TOUR, 'After the pour');
    await expect.poll(ringed).toBe('Due');
  });

  it('goes on where it was after a reload, leads back from elsewhere, and ends', async () => {
    await bench.go('/shelf');
    await bench.says(TOUR, 'After the pour');
    await bench.click('Go there');
    await expect.poll(ringed).toBe('Due');
    await bench.click('Next');
    await bench.says(TOUR, 'Look at the pieces');
    await expect.poll(ringed).toBe('inspect');
    await bench.click('Next');
    await bench.says(TOUR, 'Make it again');
    await expect.poll(ringed).toBe('repeat');
    await bench.click('Next');
    await bench.says(TOUR, '13 of 13');
    await bench.click('End');
    await bench.page.waitForFunction(() => !document.querySelector('[data-testid="tour"]'));
    await bench.go('/');
    expect(await bench.page.$(TOUR)).toBeNull();
    expect(bench.errors).toEqual([]);
  });
});

describe('a sheet as PDF', () => {
  it('is one tap from the sheet, on the paper chosen there', async () => {
    await bench.go('/plans/tideline-knobs/sheet');
    await bench.choose('Paper', 'Letter');
    const href = await bench.page.$eval('a[href*=".pdf"]', (e) => (e as HTMLAnchorElement).href);
    const answer = await fetch(href);
    expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'application/pdf']);
    expect(Buffer.from(await answer.arrayBuffer()).toString('latin1')).toContain('/MediaBox [0 0 612 792]');
    expect((await fetch(`${workshop.address}/api/v1/plans/gone/labels.pdf`)).status).toBe(404);
    expect((await fetch(`${workshop.address}/api/v1/plans/tideline-knobs/other.pdf`)).status).toBe(404);
  });
});
