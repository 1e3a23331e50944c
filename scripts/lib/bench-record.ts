import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { databaseOf, MANY } from './many-runs';

const PORT = 5196;
const ADDRESS = `http://127.0.0.1:${PORT}`;
const ROUNDS = 40;

const PAGES = [
  ['the bench', '/'],
  ['the record', '/record'],
  ['a search in it', '/record?q=turn+4321'],
  ['two runs compared', '/record/compare?a=tideline-first&b=tideline-second'],
  ['find', '/api/v1/find?q=knobs']
] as const;

const at = (xs: readonly number[], share: number) =>
  [...xs].sort((a, b) => a - b)[Math.min(xs.length - 1, Math.floor(xs.length * share))] ?? 0;

/** Times of every page on one database, ms; and how long the first bench took. */
async function timesOn(path: string): Promise<{ first: number; pages: number[][] }> {
  const env = { ...process.env, PORT: String(PORT), KIRAPEN_DB: path, KIRAPEN_DEMO: '0' };
  const server = spawn('node', ['server.js'], { env, stdio: ['ignore', 'pipe', 'inherit'] });
  const time = async (page: string) => {
    const start = performance.now();
    await (await fetch(ADDRESS + page)).text();
    return performance.now() - start;
  };
  try {
    await new Promise((begun) => server.stdout.once('data', begun));
    const first = await time('/');
    const pages: number[][] = PAGES.map(() => []);
    for (let round = 0; round < ROUNDS + 5; round++)
      for (const [i, [, page]] of PAGES.entries()) {
        const ms = await time(page);
        if (round >= 5) pages[i]!.push(ms);
      }
    return { first, pages };
  } finally {
    server.kill();
    await new Promise((gone) => server.once('exit', gone));
  }
}

/** Bench, record, search and compare with thousands of runs, beside the demo-sized database. */
export async function benchRecord(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'kirapen-record-'));
  try {
    const [small, big] = [join(folder, 'small.db'), join(folder, 'big.db')];
    await databaseOf(small, false);
    await databaseOf(big, true);
    // Told once, as after any day's work; the first opening of a record that was never told takes longer and is measured too.
    const untold = await timesOn(big);
    const [of, many] = [await timesOn(small), await timesOn(big)];
    console.log(
      `\n${MANY.runs} runs, ${MANY.runs * MANY.pieces} pieces, ${MANY.runs * MANY.events} events, beside the demo:`
    );
    for (const [i, [words]] of PAGES.entries()) {
      const [a, b] = [of.pages[i]!, many.pages[i]!];
      console.log(
        `  ${words}: p50 ${at(b, 0.5).toFixed(0)} ms, p99 ${at(b, 0.99).toFixed(0)} ms; demo ${at(a, 0.5).toFixed(0)} and ${at(a, 0.99).toFixed(0)} ms; × ${(at(b, 0.5) / at(a, 0.5)).toFixed(1)}`
      );
    }
    console.log(
      `  the first bench after opening: ${untold.first.toFixed(0)} ms while nothing was told yet, ${many.first.toFixed(0)} ms after; demo ${of.first.toFixed(0)} ms`
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
