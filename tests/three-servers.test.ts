import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { isToday, times } from '$core/soak.testing';
import { dice } from './dice';
import { StandInProcess } from './libsql-stand-in/process';
import { idOf, Storm, TOLD } from './storm';
import { freePort, Workshop, type Bench } from './workshop';

const KILLS = times(2, 200);
const RUN = 'tideline-third';
const PLAN = 'tideline-knobs';
/** A plan and a card's field for each server's own clients. */
const PLANS = ['tideline-knobs', 'rockpool-roundels', 'night-heron'] as const;
const FIELDS = ['stirMinutes', 'depthLimit', 'openMinutes'] as const;
const roll = dice(20_261);

let folder: string;
let standIn: StandInProcess;
let servers: Workshop[];

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'kirapen-shared-'));
  const file = join(folder, 'shared.db');
  copyFileSync(join(process.env.KIRAPEN_DEMO_WORKSHOP!, 'workshop.db'), file);
  standIn = new StandInProcess(file, await freePort());
  await standIn.start();
  const needs = { demo: false, offline: true, database: standIn.url };
  servers = await Promise.all([Workshop.open(needs), Workshop.open(needs), Workshop.serve(needs)]);
});
afterAll(async () => {
  for (const server of servers) await server.close();
  await standIn.stop('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
});

const stored = async <T>(server: Workshop, path: string) =>
  (await (await fetch(`${server.address}/api/v1${path}`)).json()) as T;

describe.runIf(isToday(0, 2))('two browsers on two servers', () => {
  let a: Bench;
  let b: Bench;

  it('see what the other changes in a plan, and merge', async () => {
    [a, b] = await Promise.all([servers[0]!.device(`/plans/${PLAN}`), servers[1]!.device(`/plans/${PLAN}`)]);
    await a.type('Name of cup A', 'silt');
    await b.holds('Name of cup A', 'silt');
    await b.page.setOfflineMode(true);
    await b.type('Name of cup C', 'spray');
    await a.type('Name of cup B', 'sky');
    await b.page.setOfflineMode(false);
    await b.holds('Name of cup B', 'sky');
    await a.holds('Name of cup C', 'spray');
  });

  it('follow a run live', async () => {
    await a.go(`/run/${RUN}`);
    const device = await a.page.evaluate(() => sessionStorage.getItem('kirapen.device'));
    const conductor = async () =>
      (await stored<{ type: string; device?: string }[]>(servers[2]!, `/runs/${RUN}/events`)).findLast(
        (e) => e.type === 'conducts'
      )?.device;
    await expect.poll(conductor).toBe(device);
    await b.go(`/run/${RUN}`);
    await b.click('Take over');
    await a.page.bringToFront();
    await a.says('[data-testid="following"]', 'Another device conducts');
  });

  it('are told when the database is away; what is written then waits here, and is stored once', async () => {
    await standIn.stop('SIGKILL');
    await b.page.bringToFront();
    await b.press('n');
    await b.type('Note', 'while it was away');
    await b.click('Keep it');
    await b.says('[data-testid="waiting"]', '1 kept here, sending');
    const told = await fetch(`${servers[2]!.address}/api/v1/plans/${PLAN}`);
    expect([told.status, await told.json()]).toMatchObject([503, { problems: [{ code: 'unreachable' }] }]);
    const page = await (await fetch(`${servers[2]!.address}/plans/${PLAN}`)).text();
    expect(page).toContain('The database server of the workshop does not answer.');
    await standIn.start();
    await b.says('[data-testid="stored"]', /^stored/);
    const notes = await stored<{ type: string; text?: string }[]>(servers[0]!, `/runs/${RUN}/events`);
    expect(notes.filter((e) => e.text === 'while it was away')).toHaveLength(1);
    expect([...a.errors, ...b.errors]).toEqual([]);
  });
});

describe.runIf(isToday(1, 2))('three servers and their database, killed again and again', () => {
  it(`lose, double and tear nothing over ${KILLS} kills`, { timeout: 3_600_000 }, async () => {
    const storm = new Storm();
    const send = (server: Workshop, path: string, method: string, body: unknown) =>
      fetch(`${server.address}/api/v1${path}`, {
        method,
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body)
      });
    const plans = await Promise.all(PLANS.map((id) => stored<object>(servers[0]!, `/plans/${id}`)));
    const clients = servers.map((server, i) =>
      Promise.all([
        storm.client((n) =>
          send(server, `/runs/${RUN}/events`, 'POST', {
            id: idOf(`bench-${i}`, n),
            at: n,
            ...TOLD[n % TOLD.length]!(`bench-${i} ${n}`)
          })
        ),
        storm.client((n) => send(server, `/plans/${PLANS[i]}`, 'PUT', { ...plans[i], notes: `edit ${n}` })),
        storm.client((n) =>
          send(server, '/bases/clear-quick', 'PATCH', {
            edits: [{ path: [FIELDS[i]], value: 10 + i + n / 1000 }]
          })
        )
      ])
    );
    const ended = Promise.all(clients);
    const all = [...servers, standIn];
    for (let k = 0; k < KILLS; k++) {
      // A client that was refused ends the storm.
      await Promise.race([storm.answers(1 + roll(15)), ended]);
      let begun = () => {};
      storm.up = new Promise((resolve) => (begun = resolve));
      const gone = all[k % all.length]!;
      await gone.stop('SIGKILL');
      await gone.start();
      begun();
    }
    await storm.answers(20);
    storm.over = true;
    const answered = await ended;

    for (const server of servers) {
      const events = await stored<{ id: string }[]>(server, `/runs/${RUN}/events`);
      for (const [i, [told]] of answered.entries())
        expect(events.filter((e) => e.id.startsWith(`bench-${i}-`))).toEqual(
          told.map((n) => ({
            id: idOf(`bench-${i}`, n),
            at: n,
            ...TOLD[n % TOLD.length]!(`bench-${i} ${n}`)
          }))
        );
      for (const [i, [, edits]] of answered.entries()) {
        const { notes } = await stored<{ notes: string }>(server, `/plans/${PLANS[i]}`);
        expect(notes).toBe(`edit ${edits.at(-1)}`);
      }
      const base = await stored<Record<string, number>>(server, '/bases/clear-quick');
      for (const [i, [, , steps]] of answered.entries())
        expect(base[FIELDS[i]!]).toBe(10 + i + steps.at(-1)! / 1000);
    }
    console.log(
      `${KILLS} kills of three servers and their database; answered: ${answered.map((a) => a.map((d) => d.length).join('+')).join(', ')}`
    );
  });
});
