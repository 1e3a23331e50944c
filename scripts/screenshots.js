// npm run screenshots: one picture of each main view, from the demo data, into docs/screenshots/.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawn } from 'node:child_process';
import puppeteer from 'puppeteer-core';
import { build, install, ROOT } from './lib/shell.js';

install();
build();

const PORT = 5177;
const folder = mkdtempSync(join(tmpdir(), 'kirapen-screenshots-'));
const server = spawn('node', ['server.js'], {
  cwd: ROOT,
  env: {
    ...process.env,
    PORT: String(PORT),
    KIRAPEN_DEMO: '1',
    KIRAPEN_DB: join(folder, 'demo.db'),
    KIRAPEN_LOG: 'error'
  }
});
await new Promise((ready) =>
  server.stdout.on('data', (text) => String(text).includes('Kirapen is at') && ready(0))
);
const browser = await puppeteer.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking'
  ]
});
const address = `http://127.0.0.1:${PORT}`;

/** Takes one picture, once the page is alive and its fonts are there. */
async function picture(name, path, { theme = 'light', width = 1280, height = 800, before } = {}) {
  const page = await browser.newPage();
  await page.setViewport({ width, height });
  await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: theme }]);
  await page.goto(address + path, { waitUntil: 'load' });
  await page.waitForFunction(
    () => document.documentElement.dataset.alive === 'true' && document.fonts.status === 'loaded'
  );
  if (before) await before(page);
  // Pictures that the server draws, and the piece that a worker draws, have come.
  await page.waitForFunction(
    () =>
      [...document.images].every((i) => i.complete || i.getBoundingClientRect().top > innerHeight) &&
      document.querySelector('[data-drawn="coarse"]') === null,
    { timeout: 60_000 }
  );
  await page.screenshot({ path: join(ROOT, 'docs/screenshots', `${name}.png`) });
  await page.close();
}

/** Ticks every check before the first drop, and says that all is ready. */
async function makeReady(page) {
  const open = () => page.$$eval('[data-testid="preflight"] [aria-checked="false"]', (all) => all.length);
  for (let left = await open(); left; left = await open()) {
    await page.keyboard.press('Space');
    await page.waitForFunction(
      (before) =>
        document.querySelectorAll('[data-testid="preflight"] [aria-checked="false"]').length < before,
      {},
      left
    );
  }
}

/** Confirms what is in hand, and says that it is so where it is asked about: a script is quicker than hands. */
async function confirm(page) {
  await page.locator('[data-testid="confirm"]').click();
  const anyway = await page.$('[data-testid="doubt"] button:last-of-type');
  await anyway?.click();
}

const run = await (
  await fetch(`${address}/api/v1/runs`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ planId: 'tideline-knobs' })
  })
).json();

/** The piece is drawn, and what can be mended in one tap has been found. */
const settled = async (page) => {
  await page.waitForSelector('[data-drawn="whole"]');
  await page.waitForSelector('[data-testid="warnings"] [data-code] button');
};
await picture('workbench', '/plans/tideline-knobs', { before: settled });
await picture('workbench-dark', '/plans/tideline-knobs', { theme: 'dark', before: settled });
await picture('mix-sheet', '/plans/tideline-knobs/sheet');
await picture('run-ready', `/run/${run.id}`, {
  async before(page) {
    for (let i = 0; i < 2; i++) await page.keyboard.press('Space');
    await page.waitForFunction(() => document.querySelectorAll('[aria-checked="true"]').length === 2);
  }
});
await picture('run', `/run/${run.id}`, {
  theme: 'dark',
  async before(page) {
    await makeReady(page);
    for (const words of ['Weigh resin', 'Weigh hardener', 'Weigh brown', 'Weigh carbon', 'Stir', 'Pour']) {
      await confirm(page);
      await page.waitForFunction(
        (w) => document.querySelector('[data-testid="now"]')?.textContent?.includes(w),
        {},
        words
      );
    }
    // What the pour leaves is drawn.
    await page.waitForSelector('[data-testid="leaves"] [data-drawn="whole"], [data-testid="leaves"] canvas');
  }
});
await picture('run-gate', `/run/${run.id}`, {
  async before(page) {
    await confirm(page);
    await page.waitForFunction(() =>
      document.querySelector('[data-testid="now"]')?.textContent?.includes('Wait')
    );
  }
});
await picture('bench', '/');
await picture('begin', '/plans/new?mould=roundel', {
  async before(page) {
    await page.locator('[aria-label="Material"]').click();
    await page.locator('[role="option"] ::-p-text(Clear casting resin, slow)').click();
    await page.locator('[data-technique="puddle-stack"]').click();
    await page.waitForFunction(
      () => document.querySelectorAll('[data-technique] [data-drawn="whole"]').length >= 10
    );
  }
});
await picture('from-picture', '/plans/from-picture?mould=roundel&base=clear-slow', {
  height: 1240,
  async before(page) {
    await page.locator('::-p-text(Try it with a picture)').click();
    await page.waitForSelector('[data-testid="seen-colour"]');
    await page.locator('button ::-p-text(Find a pour)').click();
    await page.waitForSelector('[data-testid="poured-like"] [data-drawn="whole"]');
    await page.waitForFunction(
      () => ![...document.querySelectorAll('button')].some((b) => b.textContent?.startsWith('Stop')),
      { timeout: 60_000 }
    );
    await page.waitForSelector('[data-testid="poured-like"] [data-drawn="whole"]');
  }
});
await picture('colours', '/colours');
await picture('shelf', '/shelf');
await picture('mould', '/shelf/moulds/dome-knobs');
await picture('days', '/days');
await picture('batch', '/plans/rockpool-roundels/batch');
await picture('match', '/colours/match', {
  async before(page) {
    await page.locator('::-p-text(Find recipes)').click();
    await page.waitForSelector('[data-testid="answers"] li');
  }
});
await picture('record', '/record');
await picture('inspect', '/record/tideline-first', {
  height: 1240,
  before: (page) => page.waitForSelector('[data-testid="inspect"] [data-drawn="whole"]')
});
await picture('charts', '/record/charts', {
  before: (page) =>
    page.waitForFunction(() => [...document.querySelectorAll('canvas')].every((c) => c.width > 300))
});

await browser.close();
server.kill('SIGTERM');
rmSync(folder, { recursive: true, force: true });
