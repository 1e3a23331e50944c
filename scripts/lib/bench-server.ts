import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cards } from '../../demo/cards';
import { largestPlan } from './plan-of';

const PORT = 5197;
export const ADDRESS = `http://127.0.0.1:${PORT}`;
const median = (xs: number[]) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? 0;

async function answer(): Promise<number> {
  const start = performance.now();
  await (await fetch(`${ADDRESS}/plans/tideline-knobs`)).text();
  return performance.now() - start;
}

/** Starts the built server on a database of its own and gives it up after the work. */
export async function withServer(work: () => Promise<void>): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'kirapen-bench-'));
  const env = { ...process.env, PORT: String(PORT), KIRAPEN_DB: join(folder, 'bench.db'), KIRAPEN_DEMO: '1' };
  const server = spawn('node', ['server.js'], { env, stdio: ['ignore', 'pipe', 'inherit'] });
  try {
    await new Promise((begun) => server.stdout.once('data', begun));
    await work();
  } finally {
    server.kill();
    await new Promise((gone) => server.once('exit', gone));
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A page's answer while the heaviest requests run, beside its answer while nothing else does. */
export const benchServer = () =>
  withServer(async () => {
    const post = (path: string, body: unknown) =>
      fetch(`${ADDRESS}${path}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body)
      }).then(async (r) => ({ status: r.status, body: await r.text() }));
    const heavy = { plan: largestPlan(), shelf: cards };
    const match = { target: '#5b7d95', baseId: 'bar-soap', colourants: 4 };
    for (let i = 0; i < 20; i++) await answer(); // the compiler warms up
    const idle = [];
    for (let i = 0; i < 40; i++) idle.push(await answer());
    let running = true;
    const requests = [
      post('/api/v1/compute', heavy),
      post('/api/v1/compute', heavy),
      post('/api/v1/match', match),
      post('/api/v1/match', match)
    ];
    const done = Promise.all(requests).then((all) => {
      running = false;
      return all;
    });
    const busy = [];
    while (running) busy.push(await answer());
    const statuses = (await done).map((r) => r.status);
    console.log(
      `\na page while two of the largest plans and two matches are computed (answers ${statuses.join(', ')}): ` +
        `median ${median(busy).toFixed(1)} ms, worst ${Math.max(...busy).toFixed(0)} ms of ${busy.length}; ` +
        `idle ${median(idle).toFixed(1)} ms, worst ${Math.max(...idle).toFixed(0)} ms; ratio of medians × ${(median(busy) / median(idle)).toFixed(1)}`
    );
  });
