import { times } from '$core/soak.testing';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { tideline } from '../demo/orders/tideline-knobs';
import { dice } from './dice';
import { idOf, Storm, TOLD } from './storm';
import { Workshop } from './workshop';

const KILLS = times(3, 60);
const RUN = 'tideline-third';
const roll = dice(20_261);

let workshop: Workshop;
beforeAll(async () => {
  workshop = await Workshop.serve({ demo: true });
});
afterAll(() => workshop.close());

const send = (path: string, method: string, body: unknown, headers = {}) =>
  fetch(`${workshop.address}/api/v1${path}`, {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    body: JSON.stringify(body)
  });
const read = async <T>(path: string) =>
  (await (await fetch(`${workshop.address}/api/v1${path}`)).json()) as T;

describe('a server that is killed again and again', () => {
  it(`loses, doubles, tears and reorders nothing over ${KILLS} kills`, { timeout: 900_000 }, async () => {
    const storm = new Storm();
    const poster = (who: string) =>
      storm.client((n) =>
        send(`/runs/${RUN}/events`, 'POST', {
          id: idOf(who, n),
          at: n,
          ...TOLD[n % TOLD.length]!(`${who} ${n}`)
        })
      );
    const planner = () =>
      storm.client((n) => send('/plans/tideline-knobs', 'PUT', { ...tideline, notes: `edit ${n}` }));
    const keeper = (field: string, first: number) =>
      storm.client((n) =>
        send('/bases/clear-quick', 'PATCH', { edits: [{ path: [field], value: first + n / 1000 }] })
      );

    const clients = Promise.all([
      poster('one'),
      poster('two'),
      planner(),
      keeper('stirMinutes', 1),
      keeper('depthLimit', 10)
    ]);
    for (let k = 0; k < KILLS; k++) {
      // A client that was refused ends the storm.
      await Promise.race([storm.answers(1 + roll(12)), clients]);
      let begun = () => {};
      storm.up = new Promise((resolve) => (begun = resolve));
      await workshop.stop('SIGKILL');
      await workshop.start();
      begun();
    }
    await storm.answers(5);
    storm.over = true;
    const [one, two, edits, stirs, depths] = await clients;

    const events = await read<{ id: string }[]>(`/runs/${RUN}/events`);
    for (const [who, answered] of [
      ['one', one],
      ['two', two]
    ] as const) {
      const own = events.filter((e) => e.id.startsWith(`${who}-`));
      expect(own.map((e) => e.id)).toEqual(answered.map((n) => idOf(who, n)));
      expect(own).toEqual(
        answered.map((n) => ({ id: idOf(who, n), at: n, ...TOLD[n % TOLD.length]!(`${who} ${n}`) }))
      );
    }
    const { notes } = await read<{ notes: string }>('/plans/tideline-knobs');
    expect(notes).toBe(`edit ${edits.at(-1)}`);
    const base = await read<{ stirMinutes: number; depthLimit: number }>('/bases/clear-quick');
    expect(base).toMatchObject({
      stirMinutes: 1 + stirs.at(-1)! / 1000,
      depthLimit: 10 + depths.at(-1)! / 1000
    });
    console.log(
      `${KILLS} kills; answered: ${one.length + two.length} events, ${edits.length} plan edits, ${stirs.length + depths.length} card edits`
    );
  });
});
