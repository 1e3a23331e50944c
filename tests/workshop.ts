import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { metricWords } from '$core/quantity';
import puppeteer, { type Browser, type Page } from 'puppeteer-core';

const BROWSER = process.env.CHROMIUM ?? '/usr/bin/chromium';
const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync'
];

/** A port that nobody listens on. */
export async function freePort(): Promise<number> {
  return new Promise((done, failed) => {
    const probe = createServer();
    probe.once('error', failed);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() =>
        address && typeof address === 'object' ? done(address.port) : failed(new Error('no port'))
      );
    });
  });
}

/** What a test needs of a workshop; what it does not need is not paid for. */
interface Needs {
  /** The demo workshop's shelf, plans and runs. */
  demo: boolean;
  /** Pieces are drawn. They take most of a core for as long as a page is open, so a test of words and figures goes without. */
  pictures?: boolean;
  /** Pages are kept for when the network is gone. */
  offline?: boolean;
  /** Open to the network, for whoever knows it. */
  passphrase?: string;
  /** A database elsewhere, in place of a file of its own. */
  database?: string;
}

/** In a page: the worker that draws pieces never answers. */
function drawNothing(): void {
  window.Worker = new Proxy(Worker, {
    construct(Real, [url, options]: [string | URL, WorkerOptions]) {
      if (!String(url).includes('pattern.worker')) return new Real(url, options);
      const idle = { postMessage: () => undefined, terminate: () => undefined };
      return Object.assign(new EventTarget(), idle);
    }
  });
}

/** In a page: nothing is kept for when the network is gone. */
function keepNothing(): void {
  navigator.serviceWorker.register = () => new Promise(() => undefined);
}

/** The browser of this test process, begun with its first page: beginning one costs as much as several pages. It ends with the process. */
let browser: Promise<Browser> | undefined;

function oneBrowser(): Promise<Browser> {
  return (browser ??= puppeteer.launch({
    executablePath: BROWSER,
    headless: true,
    args: FLAGS,
    userDataDir: mkdtempSync(join(process.env.KIRAPEN_BROWSERS ?? tmpdir(), 'kirapen-browser-'))
  }));
}

/** The built application on its own database, seen through the test process's browser. */
export class Workshop {
  readonly address: string;
  readonly folder = mkdtempSync(join(tmpdir(), 'kirapen-browser-'));
  readonly database: string;
  #server: ChildProcess | undefined;
  readonly #pages: Page[] = [];
  readonly #port: number;
  readonly #needs: Needs;

  private constructor(port: number, needs: Needs) {
    this.#port = port;
    this.#needs = needs;
    this.address = `http://127.0.0.1:${port}`;
    this.database = needs.database ?? join(this.folder, 'workshop.db');
  }

  /** A server without a browser. */
  static async serve(needs: Needs): Promise<Workshop> {
    const workshop = new Workshop(await freePort(), needs);
    await workshop.start();
    return workshop;
  }

  static async open(needs: Needs): Promise<Workshop> {
    const [workshop] = await Promise.all([Workshop.serve(needs), oneBrowser()]);
    return workshop;
  }

  /** Starts the server and waits until it says where it is. */
  async start(): Promise<void> {
    const demo = process.env.KIRAPEN_DEMO_WORKSHOP;
    if (this.#needs.demo && demo && !this.#needs.database && !existsSync(this.database))
      cpSync(demo, this.folder, { recursive: true });
    const server = spawn('node', ['server.js'], {
      cwd: resolve('.'),
      env: {
        ...process.env,
        PORT: String(this.#port),
        KIRAPEN_DB: this.database,
        KIRAPEN_DEMO: this.#needs.demo ? '1' : '0',
        ...(this.#needs.passphrase === undefined
          ? {}
          : { HOST: '0.0.0.0', KIRAPEN_PASSPHRASE: this.#needs.passphrase }),
        KIRAPEN_LOG: 'error'
      },
      stdio: ['ignore', 'pipe', 'inherit']
    });
    this.#server = server;
    await new Promise<void>((ready, failed) => {
      server.stdout.on('data', (text: Buffer) => String(text).includes('Kirapen is at') && ready());
      server.once('exit', (code) => failed(new Error(`the server stopped with ${code}`)));
    });
  }

  /** Ends the server with a signal and waits until it is gone; says with which code. */
  async stop(signal: 'SIGKILL' | 'SIGTERM'): Promise<number | null> {
    const server = this.#server;
    if (!server || server.exitCode !== null || server.signalCode !== null) return null;
    server.removeAllListeners('exit');
    const gone = new Promise<number | null>((done) => server.once('exit', (code) => done(code)));
    server.kill(signal);
    return gone;
  }

  /** How large a file the server may write from now on, bytes: past it a write breaks off, as on a full disk. */
  room(bytes: number | 'unlimited'): void {
    // The soft limit alone: it can be lifted again.
    execFileSync('prlimit', ['--pid', String(this.#server!.pid), `--fsize=${bytes}:`]);
  }

  /** A page at a path, 1280 × 800, in a theme where one is named; it fails the test on any script error. */
  async page(path: string, theme?: 'light' | 'dark'): Promise<Bench> {
    const page = await (await oneBrowser()).newPage();
    if (theme) await page.evaluateOnNewDocument((t) => localStorage.setItem('kirapen.theme', t), theme);
    return this.#at(page, path);
  }

  /** A page on a device of its own: nothing kept in one browser is seen by the other. */
  async device(path: string): Promise<Bench> {
    const context = await (await oneBrowser()).createBrowserContext();
    return this.#at(await context.newPage(), path);
  }

  async #at(page: Page, path: string): Promise<Bench> {
    this.#pages.push(page);
    await page.setViewport({ width: 1280, height: 800 });
    if (!this.#needs.pictures) await page.evaluateOnNewDocument(drawNothing);
    if (!this.#needs.offline) await page.evaluateOnNewDocument(keepNothing);
    const bench = new Bench(page, this.address);
    await bench.go(path);
    return bench;
  }

  async close(): Promise<void> {
    await Promise.all(this.#pages.map((page) => page.isClosed() || page.close()));
    await this.stop('SIGTERM');
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** A page with a maker's verbs: read, click, type, press. Waits for what it looks for; never sleeps. */
export class Bench {
  readonly errors: string[] = [];
  readonly page: Page;
  readonly #address: string;

  constructor(page: Page, address: string) {
    this.page = page;
    this.#address = address;
    // A busy machine may be slow; nothing here is about time.
    page.setDefaultTimeout(180_000);
    page.setDefaultNavigationTimeout(180_000);
    page.on('pageerror', (error) =>
      this.errors.push(error instanceof Error ? (error.stack ?? error.message) : String(error))
    );
  }

  async go(path: string): Promise<void> {
    await this.page.goto(this.#address + path, { waitUntil: 'load' });
    await this.alive();
  }

  /** Goes on to another path as by a tap on a link: nothing is fetched or begun anew that the page has. Where it stands there already it is read anew. */
  async walk(path: string): Promise<void> {
    if ((await this.page.evaluate(() => document.documentElement.dataset.at)) === path) return this.go(path);
    await this.page.evaluate((path) => {
      const link = Object.assign(document.createElement('a'), { href: path });
      document.body.append(link);
      link.click();
      link.remove();
    }, path);
    await this.page.waitForFunction((path) => document.documentElement.dataset.at === path, {}, path);
    await this.page.waitForFunction(() => !document.body.innerText.includes('The plan is being worked out'));
    await this.alive();
  }

  /** Waits until the page answers to clicks: Svelte has taken the server's markup over. */
  async alive(): Promise<void> {
    await this.page.waitForFunction(() => document.documentElement.dataset.alive === 'true');
  }

  /** Clicks a button or link by its accessible name; a link wherever it stands by then, while the page about it may still be moving. */
  async click(
    name: string,
    role: 'button' | 'link' | 'tab' | 'menuitem' | 'checkbox' = 'button'
  ): Promise<void> {
    const found = this.page.locator(`::-p-aria([name="${name}"][role="${role}"])`);
    if (role !== 'link') return found.click();
    const link = await found.waitHandle();
    await link.evaluate((e) => (e as HTMLElement).click());
  }

  /** Replaces what a labelled field holds, by keyboard, and leaves it. */
  async type(label: string, text: string): Promise<void> {
    const field = await this.#field(label);
    await field.click({ count: 3 });
    await this.page.keyboard.press('Backspace');
    await field.type(text);
    await this.page.keyboard.press('Tab');
  }

  /** Waits until a labelled field holds a text. */
  async holds(label: string, text: string): Promise<void> {
    await this.#column(label);
    await this.page
      .waitForFunction(
        (l, t) => document.querySelector<HTMLInputElement>(`[aria-label="${l}"]`)?.value === t,
        {},
        label,
        text
      )
      .catch(async () => {
        const held = await (await this.#field(label)).evaluate((e) => (e as HTMLInputElement).value);
        throw new Error(`“${label}” never held “${text}”; it holds “${held}”`);
      });
  }

  /** Opens the cups of a plan, beside its pour. */
  async cups(): Promise<void> {
    await this.#column('of cup A');
    await this.page.waitForSelector('[aria-label="Cups"]');
  }

  /** Opens the form of a step in the pour, by its number. A step that was just added opens by itself: a tap may come too late and close it. */
  async openStep(n: number): Promise<void> {
    const row = `[data-open-step="${n}"]`;
    const opened = (timeout: number) =>
      this.page.waitForSelector(`${row}[aria-expanded="true"]`, { timeout }).then(
        () => true,
        () => false
      );
    await this.page.waitForSelector(row);
    const given = this.page.getDefaultTimeout();
    for (const timeout of [given / 100, given / 30, given]) {
      if (await this.page.$(`${row}[aria-expanded="true"]`)) return;
      await this.page.locator(row).click();
      if (await opened(timeout)) return;
    }
    throw new Error(`step ${n} never opened`);
  }

  /** Types a day into a labelled date field, part by part: `2026-11-30`. */
  async date(label: string, day: string): Promise<void> {
    const [year, month, dayOfMonth] = day.split('-');
    await this.page.locator(`[aria-label="${label}"]`).click();
    for (const [part, digits] of [
      ['month', month],
      ['day', dayOfMonth],
      ['year', year]
    ] as const) {
      const segment = await this.page.waitForSelector(`[aria-label="${label}"] [data-segment="${part}"]`);
      await segment!.click();
      await this.page.keyboard.type(digits!);
    }
  }

  /** Chooses an option of a labelled list by its text. */
  async choose(label: string, option: string): Promise<void> {
    const field = await this.#field(label);
    await field.click();
    const list = await this.page.waitForSelector(`[role="listbox"][aria-label="${label}"]`, {
      visible: true
    });
    const offered = await list!.$$('[role="option"]');
    for (const item of offered) {
      const words = await item.evaluate((e) => (e as HTMLElement).innerText.trim());
      if (!words.startsWith(option)) continue;
      await item.click();
      await this.page.waitForFunction(() => !document.querySelector('[role="listbox"]'));
      return;
    }
    await this.page.keyboard.press('Escape');
    await this.page.waitForFunction(() => !document.querySelector('[role="listbox"]'));
    throw new Error(`“${label}” does not offer “${option}”`);
  }

  /** Fields of cups and of steps stand in two tabs of one column: the one that has the field is chosen. */
  async #column(label: string): Promise<void> {
    const name = /(^| )(of|in|to) cup [A-Z]$/.test(label)
      ? 'Cups'
      : / of step \d+$/.test(label)
        ? 'Pour'
        : '';
    if (!name) return;
    await this.page.evaluate((name) => {
      const tab = [...document.querySelectorAll<HTMLElement>('[role="tab"]')].find((t) =>
        t.innerText.startsWith(name)
      );
      if (tab?.getAttribute('aria-selected') === 'false') tab.click();
    }, name);
  }

  async #field(label: string) {
    await this.#column(label);
    const field = await this.page.waitForSelector(`[aria-label="${label}"]`, { visible: true });
    if (!field) throw new Error(`no field “${label}”`);
    return field;
  }

  /** Presses a key on the page itself, not in a field. */
  async press(key: Parameters<Page['keyboard']['press']>[0]): Promise<void> {
    await this.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await this.page.keyboard.press(key);
  }

  /** Confirms what is in hand by the big button; what is asked about then is left asked. */
  async confirmAsIs(): Promise<void> {
    await this.page.evaluate(() => document.querySelector<HTMLElement>('[data-testid="confirm"]')?.click());
  }

  /** Confirms what is in hand by the big button, and says that it is so where it is asked about: a test is quicker than hands. */
  async confirm(): Promise<void> {
    await this.confirmAsIs();
    const anyway = await this.page.$('[data-testid="doubt"] button:last-of-type');
    await anyway?.evaluate((button) => (button as HTMLElement).click());
  }

  /** Ticks every check before the first drop, as a pedal would, and says that all is ready. */
  async makeReady(): Promise<void> {
    await this.says('[data-testid="now"]', 'Make ready');
    for (;;) {
      const open = await this.page.$$eval(
        '[data-testid="preflight"] [aria-checked="false"]',
        (e) => e.length
      );
      await this.press('Space');
      if (!open) return;
      await this.page.waitForFunction(
        (before) =>
          document.querySelectorAll('[data-testid="preflight"] [aria-checked="false"]').length < before,
        {},
        open
      );
    }
  }

  /** Waits until a part of the page says something, and returns what it says. */
  async says(selector: string, text: string | RegExp): Promise<string> {
    const [source, flags] = typeof text === 'string' ? [escape(text), ''] : [text.source, text.flags];
    await this.page
      .waitForFunction(
        (s, p, f) =>
          new RegExp(p, f).test((document.querySelector(s) as HTMLElement | null)?.innerText ?? ''),
        {},
        selector,
        source,
        flags
      )
      .catch(async () => {
        throw new Error(`${selector} never said ${text}; it says: ${await this.text(selector)}`);
      });
    return this.text(selector);
  }

  async text(selector: string): Promise<string> {
    const text = await this.page
      .$eval(selector, (e) => (e as HTMLElement).innerText)
      .catch(() => '(not there)');
    if (metricWords(text) !== text)
      throw new Error(`${selector} shows a message that is not in words: ${text}`);
    return text;
  }

  /** What of the page, its labels and its fields is shown as a message, not in words. */
  async notInWords(): Promise<string[]> {
    const all = await this.page.$$eval('body *:not(script):not(style)', (elements) =>
      elements.flatMap((e) => [
        ...[...e.attributes].map((a) => a.value),
        ...[...e.childNodes].flatMap((n) => (n.nodeType === Node.TEXT_NODE ? (n.textContent ?? '') : [])),
        e instanceof HTMLInputElement ? e.value : ''
      ])
    );
    return all.filter((text) => metricWords(text) !== text);
  }
}

const escape = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
