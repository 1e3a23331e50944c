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

/** A task of the main thread, ms: when, how long by the clock, and how long the thread itself was at work in it. */
interface Task {
  at: number;
  ms: number;
  own: number;
}

type Longest = Omit<Task, 'at'>;

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

const longest = (tasks: readonly Longest[]): Longest => ({
  ms: Math.max(0, ...tasks.map((t) => t.ms)),
  own: Math.max(0, ...tasks.map((t) => t.own))
});

/** The longest task while a plan opens, for the first time in this browser and again, and those that follow each keystroke in it. */
async function measure(page: Page, id: string): Promise<{ first: Longest; again: Longest; keys: Longest[] }> {
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

/** The demo's orders with the most on their pages. */
const largest = [...plans]
  .sort((a, b) => b.cups.length * b.steps.length - a.cups.length * a.steps.length)
  .slice(0, 3);

const said = ({ ms, own }: Longest) => `${ms.toFixed(0)} (${own.toFixed(0)})`;
const middle = (keys: readonly Longest[], of: keyof Longest) => median(keys.map((k) => k[of]));
const over = (keys: readonly Longest[], of: keyof Longest, limit: number) =>
  keys.filter((k) => k[of] > limit).length;

/**
 * Opening the largest of the demo's orders and typing in them: the longest tasks of the page's own thread, beside a
 * frame; by the clock, which also counts while other work has the machine's cores, and the thread's own time.
 */
export const benchPage = () =>
  withServer(async () => {
    const browser = await puppeteer.launch({
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run']
    });
    try {
      console.log(
        '\nthe longest task of the page’s own thread, ms by the clock (of the thread itself): a plan opened first and again; all that follows a keystroke'
      );
      const all: Longest[] = [];
      for (const { id, name } of largest) {
        // A browser that has never seen this page.
        const context = await browser.createBrowserContext();
        const page = await context.newPage();
        await page.setViewport({ width: 1280, height: 800 });
        const { first, again, keys } = await measure(page, id);
        await context.close();
        all.push(...keys);
        const usual = { ms: middle(keys, 'ms'), own: middle(keys, 'own') };
        console.log(
          `  ${name}: opened ${said(first)}, again ${said(again)}; a keystroke, median ${said(usual)}, ${((usual.own / FRAME) * 100).toFixed(0)} % of a frame, worst of ${keys.length} ${said(longest(keys))}`
        );
      }
      console.log(
        `  of ${all.length} keystrokes a task over ${FRAME} ms by the clock ${over(all, 'ms', FRAME)}, of the thread itself ${over(all, 'own', FRAME)}; over ${LONG} ms ${over(all, 'ms', LONG)} and ${over(all, 'own', LONG)}`
      );
    } finally {
      await browser.close();
    }
  });
