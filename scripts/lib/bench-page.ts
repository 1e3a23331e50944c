import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Page } from 'puppeteer-core';
import { plans } from '../../demo/plans';
import { ADDRESS, withServer } from './bench-server';

/** Keystrokes that are measured, and that warm up the compiler before. */
const KEYS = 8;
const WARM = 4;
/** A task of a frame, and one that holds up the hand, ms. */
const FRAME = 16;
const LONG = 50;
/** What a keystroke sets off is over by then, ms. */
const AFTER = 250;

interface Task {
  at: number;
  ms: number;
}

const sorted = (xs: readonly number[]) => [...xs].sort((a, b) => a - b);
const median = (xs: readonly number[]) => sorted(xs)[Math.floor(xs.length / 2)] ?? 0;

/** Tasks of the page's main thread and the moments marked in it, ms, while something is done. */
async function tasksDuring(
  page: Page,
  work: () => Promise<void>
): Promise<{ tasks: Task[]; marks: number[] }> {
  const folder = mkdtempSync(join(tmpdir(), 'kirapen-trace-'));
  const path = join(folder, 'trace.json');
  try {
    await page.tracing.start({
      path,
      categories: ['toplevel', 'blink.user_timing', 'disabled-by-default-devtools.timeline']
    });
    await page.evaluate(() => performance.mark('begun'));
    await work();
    await page.evaluate(() => performance.mark('begun'));
    await page.tracing.stop();
    const { traceEvents } = JSON.parse(readFileSync(path, 'utf8')) as {
      traceEvents: { name: string; ph: string; ts: number; dur?: number; pid: number; tid: number }[];
    };
    const main = traceEvents.find((e) => e.name === 'begun')!;
    const own = traceEvents.filter((e) => e.pid === main.pid && e.tid === main.tid);
    return {
      tasks: own
        .filter((e) => e.name === 'ThreadControllerImpl::RunTask' && e.dur !== undefined)
        .map((e) => ({ at: e.ts / 1000, ms: e.dur! / 1000 })),
      marks: own.filter((e) => e.name === 'key').map((e) => e.ts / 1000)
    };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const drawn = (page: Page) =>
  page.waitForFunction(
    () =>
      document.documentElement.dataset.alive === 'true' && !!document.querySelector('[data-drawn="whole"]')
  );

/** Another temperature is typed, and all that follows is waited for. */
async function key(page: Page, round: number): Promise<void> {
  await page.evaluate(
    (celsius) => {
      const field = document.querySelector<HTMLInputElement>('[aria-label="Room temperature"]')!;
      performance.mark('key');
      field.value = celsius;
      field.dispatchEvent(new Event('input', { bubbles: true }));
    },
    String(17 + (round % 10))
  );
  await page.evaluate((ms) => new Promise((done) => setTimeout(done, ms)), AFTER);
  await drawn(page);
}

/** Comes to a plan from the bench, as a maker does. */
async function comeTo(page: Page, id: string): Promise<void> {
  await page.evaluate((to) => {
    const link = document.createElement('a');
    link.href = `/plans/${to}`;
    document.body.append(link);
    link.click();
  }, id);
  await page.waitForFunction((to) => location.pathname.endsWith(to), {}, id);
  await drawn(page);
}

/** The longest task while a plan opens in a browser that knows it, and those that follow each keystroke in it, ms. */
async function measure(page: Page, id: string): Promise<{ opening: number; keys: number[] }> {
  for (let time = 0; time < 2; time++) {
    await page.goto(ADDRESS);
    if (!time) await comeTo(page, id);
  }
  const opened = await tasksDuring(page, () => comeTo(page, id));
  for (let round = 0; round < WARM; round++) await key(page, round);
  const { tasks, marks } = await tasksDuring(page, async () => {
    for (let round = 0; round < KEYS; round++) await key(page, round + WARM);
  });
  return {
    opening: Math.max(...opened.tasks.map((t) => t.ms)),
    keys: marks.map((at) =>
      Math.max(0, ...tasks.filter((t) => t.at + t.ms > at && t.at < at + AFTER).map((t) => t.ms))
    )
  };
}

/** The demo's orders with the most on their pages. */
const largest = [...plans]
  .sort((a, b) => b.cups.length * b.steps.length - a.cups.length * a.steps.length)
  .slice(0, 3);

/** Opening the largest of the demo's orders and typing in them: the longest tasks of the page's own thread, beside a frame. */
export const benchPage = () =>
  withServer(async () => {
    const browser = await puppeteer.launch({
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run']
    });
    try {
      const page = await browser.newPage();
      await page.setViewport({ width: 1280, height: 800 });
      console.log(
        '\nthe longest task of the page’s own thread, ms: opening a plan; and all that follows a keystroke in it'
      );
      const all: number[] = [];
      for (const { id, name } of largest) {
        const { opening, keys } = await measure(page, id);
        all.push(...keys);
        console.log(
          `  ${name}: opening ${opening.toFixed(0)}; a keystroke, median ${median(keys).toFixed(1)} (${((median(keys) / FRAME) * 100).toFixed(0)} % of a frame), worst of ${keys.length} ${Math.max(...keys).toFixed(1)}`
        );
      }
      console.log(
        `  of ${all.length} keystrokes ${all.filter((ms) => ms > FRAME).length} set off a task over ${FRAME} ms, ${all.filter((ms) => ms > LONG).length} one over ${LONG} ms`
      );
    } finally {
      await browser.close();
    }
  });
