import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Page } from 'puppeteer-core';
import { plans } from '../../demo/plans';
import { median, yard, type Figure } from './figure';
import { ADDRESS, withServer } from './server';

/** Keystrokes that are measured, and that warm up the compiler before. */
const KEYS = 6;
const WARM = 3;
/** What a keystroke sets off is over by then, ms. */
const AFTER = 250;

/** A task of the main thread, ms: when, how long by the clock, and how long the thread itself was at work in it. */
interface Task {
  at: number;
  ms: number;
  own: number;
}

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
      traceEvents: { name: string; ts: number; dur?: number; tdur?: number; pid: number; tid: number }[];
    };
    const main = traceEvents.find((e) => e.name === 'begun')!;
    const own = traceEvents.filter((e) => e.pid === main.pid && e.tid === main.tid);
    return {
      tasks: own
        .filter((e) => e.name === 'ThreadControllerImpl::RunTask' && e.dur !== undefined)
        .map((e) => ({ at: e.ts / 1000, ms: e.dur! / 1000, own: (e.tdur ?? e.dur!) / 1000 })),
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

/** The longest of some tasks by the thread's own time, ms: what else the machine does is not counted. */
const longest = (tasks: readonly Task[]): number => Math.max(0, ...tasks.map((t) => t.own));

/** The longest task while a plan opens, for the first time in this browser and again, and those that follow each keystroke in it. */
async function measure(page: Page, id: string): Promise<{ first: number; again: number; keys: number[] }> {
  const opened = async () => {
    await page.goto(ADDRESS);
    await page.waitForFunction(() => document.documentElement.dataset.alive === 'true');
    return longest((await tasksDuring(page, () => comeTo(page, id))).tasks);
  };
  const [first, again] = [await opened(), await opened()];
  for (let round = 0; round < WARM; round++) await key(page, round);
  const { tasks, marks } = await tasksDuring(page, async () => {
    for (let round = 0; round < KEYS; round++) await key(page, round + WARM);
  });
  return {
    first,
    again,
    keys: marks.map((at) => longest(tasks.filter((t) => t.at + t.ms > at && t.at < at + AFTER)))
  };
}

/** The demo's order with the most on its page. */
const largest = [...plans].sort(
  (a, b) => b.cups.length * b.steps.length - a.cups.length * a.steps.length
)[0]!;

/** Opening the largest of the demo's orders and typing in it: the longest tasks of the page's own thread. */
export const pageFigures = () =>
  withServer(async (): Promise<Figure[]> => {
    const browser = await puppeteer.launch({
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run']
    });
    try {
      const page = await browser.newPage();
      await page.setViewport({ width: 1280, height: 800 });
      const { first, again, keys } = await measure(page, largest.id);
      const over = yard();
      return [
        { name: 'longest task as the largest demo plan opens, over the yardstick', ratio: first / over },
        { name: 'longest task as it opens again, over the yardstick', ratio: again / over },
        { name: 'longest task after a keystroke in it, over the yardstick', ratio: median(keys) / over }
      ];
    } finally {
      await browser.close();
    }
  });
