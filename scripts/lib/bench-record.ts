import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { cards } from '../../demo/cards';
import { samphire } from '../../demo/plans';
import { freeze } from '../../src/core/run';
import { loadDemo } from '../../src/lib/server/demo';
import { openStore } from '../../src/lib/server/database';

const PORT = 5196;
const ADDRESS = `http://127.0.0.1:${PORT}`;
const RUNS = 5000;
const PIECES = 12;
const EVENTS = 80;
const ROUNDS = 40;

/** A database of the demo and, where asked, thousands of runs beside it: pieces, events and lessons of each. */
async function databaseOf(path: string, many: boolean): Promise<void> {
  const store = await openStore(path, 'drizzle');
  const now = Date.now();
  await loadDemo(store, now);
  if (many) {
    const { file, ...rest } = freeze(
      { ...samphire, groups: samphire.groups.map((g) => ({ ...g, count: PIECES })) },
      cards
    );
    const [snapshot, frozen] = [JSON.stringify(file), JSON.stringify(rest)];
    const numbers = (n: number) =>
      sql`WITH RECURSIVE n(i) AS (SELECT 0 UNION ALL SELECT i + 1 FROM n WHERE i + 1 < ${n})`;
    await store.write(async (tx) => {
      await tx.run(sql`${numbers(RUNS)} INSERT INTO runs (id, plan_id, name, snapshot, frozen, started_at, finished_at)
        SELECT 'big-' || i, 'samphire-hooks', 'Samphire hooks, turn ' || i, ${snapshot}, ${frozen},
          ${now} - (i + 30) * 7200000, ${now} - (i + 30) * 7200000 + 3600000 FROM n`);
      await tx.run(sql`${numbers(PIECES)} INSERT INTO pieces (id, run_id, group_id, number, grade, report, changed_at)
        SELECT r.id || '-' || i, r.id, 'hooks', i + 1, CASE WHEN (i * 7 + length(r.id)) % 11 = 0 THEN 'reject' ELSE 'good' END,
          json_object('id', r.id || '-' || i, 'groupId', 'hooks', 'number', i + 1, 'note', 'piece ' || i,
            'faces', json_array(json_object('face', 'mould face', 'grade', 'good', 'defects', json_array()))),
          r.started_at FROM runs r, n WHERE r.id LIKE 'big-%'`);
      const told = rest.tasks.flatMap((t) =>
        t.kind === 'weigh'
          ? [{ type: 'weighed', task: t.id, grams: t.grams }]
          : [{ type: 'done', task: t.id }]
      );
      for (let e = 0; e < EVENTS; e++) {
        const body = JSON.stringify(told[e] ?? { type: 'note', text: `bubble ${e}` });
        await tx.run(sql`INSERT INTO events (id, run_id, at, body)
          SELECT 'event-' || ${1000 + e}, id, started_at + ${e * 40_000},
            json_patch(${body}, json_object('id', 'event-' || ${1000 + e}, 'at', started_at + ${e * 40_000}))
          FROM runs WHERE id LIKE 'big-%'`);
      }
      await tx.run(sql`INSERT INTO lessons (id, run_id, text, learned_at)
        SELECT 'lesson-' || id, id, 'turn ' || id || ': warm the liquid', started_at FROM runs WHERE id LIKE 'big-%9'`);
    });
  }
  await store.close();
}

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
    console.log(`\n${RUNS} runs, ${RUNS * PIECES} pieces, ${RUNS * EVENTS} events, beside the demo:`);
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
