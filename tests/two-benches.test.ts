import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { isToday } from '$core/soak.testing';
import { Workshop, type Bench } from './workshop';

const PLAN = '/plans/tideline-knobs';
const RUN = 'tideline-third';

let workshop: Workshop;
beforeAll(async () => {
  workshop = await Workshop.open({ demo: true, offline: true });
});
afterAll(() => workshop.close());

const stored = async <T>(path: string) =>
  (await (await fetch(`${workshop.address}/api/v1${path}`)).json()) as T;
const storedCups = async () =>
  (await stored<{ cups: { name: string }[] }>('/plans/tideline-knobs')).cups.map((c) => c.name);
const bothAt = (path: string): Promise<[Bench, Bench]> =>
  Promise.all([workshop.device(path), workshop.device(path)]);

describe('two benches, one plan', () => {
  let a: Bench;
  let b: Bench;
  beforeAll(async () => {
    [a, b] = await bothAt(PLAN);
  });

  it('each sees what the other changes, live', async () => {
    await a.type('Name of cup A', 'silt');
    await b.holds('Name of cup A', 'silt');
    await b.type('Name of cup B', 'sky');
    await a.holds('Name of cup B', 'sky');
    expect((await storedCups()).slice(0, 2)).toEqual(['silt', 'sky']);
  });

  it('changes to different fields made while one was away merge by themselves', async () => {
    await b.page.setOfflineMode(true);
    await b.type('Name of cup C', 'spray');
    await a.type('Name of cup A', 'ooze');
    await b.page.setOfflineMode(false);
    await b.holds('Name of cup A', 'ooze');
    await a.holds('Name of cup C', 'spray');
    await expect.poll(storedCups).toEqual(['ooze', 'sky', 'spray']);
  });

  it('the same field changed twice is asked, both shown, and nothing is overwritten before', async () => {
    await b.page.setOfflineMode(true);
    await b.type('Name of cup B', 'from b');
    await a.type('Name of cup B', 'from a');
    await expect.poll(async () => (await storedCups())[1]).toBe('from a');
    await b.page.setOfflineMode(false);
    const asked = await b.says('[data-testid="clash"]', /from b[^]*from a|from a[^]*from b/);
    expect(asked).toContain('Changed on two benches at once');
    expect((await storedCups())[1]).toBe('from a');
    await b.page.locator('[data-testid="clash"] [role="radio"][aria-checked="false"]').click();
    await b.click('Keep what is chosen');
    await b.holds('Name of cup B', 'from a');
    await a.holds('Name of cup B', 'from a');
  });

  it('an undo survives a reload', async () => {
    await a.type('Name of cup A', 'mistake');
    await b.holds('Name of cup A', 'mistake');
    await a.go(PLAN);
    await a.click('Undo');
    await a.holds('Name of cup A', 'ooze');
    await b.holds('Name of cup A', 'ooze');
  });

  it('a plan that the other deletes is said, and can be kept', async () => {
    await fetch(`${workshop.address}/api/v1/plans/tideline-knobs`, { method: 'DELETE' });
    await a.says('[data-testid="clash"]', 'deleted on another bench');
    await a.click('Keep it after all');
    await expect.poll(async () => (await storedCups())[0]).toBe('ooze');
    expect(a.errors).toEqual([]);
  });
});

describe('two devices, one run', () => {
  const notes = async () =>
    (await stored<{ type: string; text?: string }[]>(`/runs/${RUN}/events`))
      .filter((e) => e.type === 'note')
      .map((e) => e.text);
  const write = async (bench: Bench, text: string) => {
    await bench.press('n');
    await bench.type('Note', text);
    await bench.click('Keep it');
    await bench.page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
  };

  it('one conducts, the other follows live, and taking over is one tap', async () => {
    const a = await workshop.device(`/run/${RUN}`);
    // Nobody else has it open, so the first takes it: only then is there something to take over.
    const device = await a.page.evaluate(() => sessionStorage.getItem('kirapen.device'));
    const conductor = async () =>
      (await stored<{ type: string; device?: string }[]>(`/runs/${RUN}/events`)).findLast(
        (e) => e.type === 'conducts'
      )?.device;
    await expect.poll(conductor).toBe(device);
    const b = await workshop.device(`/run/${RUN}`);
    await b.click('Take over');
    // A page that lies behind another is painted seldom, and looked at as seldom.
    await a.page.bringToFront();
    await a.says('[data-testid="following"]', 'Another device conducts');
    await a.click('Take over');
    await b.page.bringToFront();
    await b.says('[data-testid="following"]', 'Another device conducts');
    expect([...a.errors, ...b.errors]).toEqual([]);
  });

  it.runIf(isToday(0, 2))(
    'what two tabs and another device note while the server is away is all stored, each once',
    async () => {
      // One after the other: a tab behind another draws no frame, and may not come alive until it is looked at.
      const tabs = [await workshop.page(`/run/${RUN}`), await workshop.page(`/run/${RUN}`)];
      const other = await workshop.device(`/run/${RUN}`);
      const before = (await notes()).length;
      await workshop.stop('SIGKILL');
      for (const [i, bench] of [...tabs, other].entries()) {
        await bench.page.bringToFront();
        await write(bench, `first of ${i}`);
        await write(bench, `second of ${i}`);
      }
      await workshop.start();
      const wanted = [0, 1, 2].flatMap((i) => [`first of ${i}`, `second of ${i}`]);
      await expect
        .poll(async () => (await notes()).slice(before).sort(), { timeout: 180_000 })
        .toEqual(wanted.sort());
    }
  );

  it('an event that the server refuses is set aside with its reason, mended by hand, and holds nothing up', async () => {
    const bench = await workshop.device(`/run/${RUN}`);
    await bench.page.evaluate((run) => {
      const event = { id: 'refused-00001', at: 5, type: 'note', text: 'x'.repeat(1999) };
      localStorage.setItem(
        `kirapen.run.${run}.aside.${event.id}`,
        JSON.stringify({ event, sentence: 'Too long for the server.' })
      );
    }, RUN);
    await bench.go(`/run/${RUN}`);
    await bench.says('[data-testid="aside"]', 'Too long for the server.');
    await write(bench, 'still going');
    await expect.poll(notes).toContain('still going');
    await bench.type('Words, mended', 'short now');
    await expect.poll(notes).toContain('short now');
    await bench.page.waitForFunction(() => !document.querySelector('[data-testid="aside"]'));
  });
});
