import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cards } from '../../demo/cards';
import { planOf } from '../lib/plan-of';
import { median, type Figure } from './figure';

const PORT = 5197;
export const ADDRESS = `http://127.0.0.1:${PORT}`;

async function answer(): Promise<number> {
  const start = performance.now();
  await (await fetch(`${ADDRESS}/plans/tideline-knobs`)).text();
  return performance.now() - start;
}

/** Waits until a server says where it is. */
export const answers = (server: ChildProcess) =>
  new Promise<void>((begun) =>
    server.stdout!.on('data', (text: Buffer) => String(text).includes('Kirapen is at') && begun())
  );

/** Starts the built server on a database of its own and gives it up after the work. */
export async function withServer(work: () => Promise<Figure[]>): Promise<Figure[]> {
  const folder = mkdtempSync(join(tmpdir(), 'kirapen-bench-'));
  const env = { ...process.env, PORT: String(PORT), KIRAPEN_DB: join(folder, 'bench.db'), KIRAPEN_DEMO: '1' };
  const server = spawn('node', ['server.js'], { env, stdio: ['ignore', 'pipe', 'inherit'] });
  try {
    await answers(server);
    return await work();
  } finally {
    server.kill();
    await new Promise((gone) => server.once('exit', gone));
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A page's answer while the heaviest requests run, beside its answer while nothing else does. */
export const serverFigures = () =>
  withServer(async () => {
    const post = (path: string, body: unknown) =>
      fetch(`${ADDRESS}${path}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body)
      }).then(async (r) => ({ status: r.status, body: await r.text() }));
    const heavy = { plan: planOf(12, 48, 60), shelf: cards };
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
    if (statuses.some((s) => s !== 200))
      throw new Error(`The heavy work was answered ${statuses.join(', ')}.`);
    return [
      {
        name: 'a page while plans and colours are worked out, of the same page idle',
        ratio: median(busy) / median(idle)
      }
    ];
  });
