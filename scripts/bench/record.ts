import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { databaseOf } from '../lib/many-runs';
import { median, type Figure } from './figure';
import { answers } from './server';

const PORT = 5196;
const ADDRESS = `http://127.0.0.1:${PORT}`;
const ROUNDS = 15;
/** Runs of a workshop, and of one that is ten times as old. */
const FEW = 300;
const TIMES = 10;

const PAGES = [
  ['the bench', '/'],
  ['the record', '/record'],
  ['a search in it', '/record?q=turn+4321'],
  ['two runs compared', '/record/compare?a=tideline-first&b=tideline-second'],
  ['find', '/api/v1/find?q=knobs']
] as const;

/** Times of every page on one database, ms. */
async function timesOn(path: string): Promise<number[][]> {
  const env = { ...process.env, PORT: String(PORT), KIRAPEN_DB: path, KIRAPEN_DEMO: '0' };
  const server = spawn('node', ['server.js'], { env, stdio: ['ignore', 'pipe', 'inherit'] });
  const time = async (page: string) => {
    const start = performance.now();
    await (await fetch(ADDRESS + page)).text();
    return performance.now() - start;
  };
  try {
    await answers(server);
    const pages: number[][] = PAGES.map(() => []);
    for (let round = 0; round < ROUNDS + 5; round++)
      for (const [i, [, page]] of PAGES.entries()) {
        const ms = await time(page);
        if (round >= 5) pages[i]!.push(ms);
      }
    return pages;
  } finally {
    server.kill();
    await new Promise((gone) => server.once('exit', gone));
  }
}

/** Bench, record, search and compare of a workshop and of one that is ten times as old. */
export async function recordFigures(): Promise<Figure[]> {
  const folder = mkdtempSync(join(tmpdir(), 'kirapen-record-'));
  try {
    const [small, big] = [join(folder, 'small.db'), join(folder, 'big.db')];
    await databaseOf(small, FEW);
    await databaseOf(big, TIMES * FEW);
    // Told once, as after any day's work.
    for (const path of [small, big]) await timesOn(path);
    const [few, many] = [await timesOn(small), await timesOn(big)];
    return PAGES.map(([words], i) => ({
      name: `${words} with ${TIMES * FEW} runs, of ${FEW}`,
      ratio: median(many[i]!) / median(few[i]!)
    }));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
