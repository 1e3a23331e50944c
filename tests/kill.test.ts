import { times } from '$core/soak.testing';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { tideline } from '../demo/orders/tideline-knobs';
import { dice } from './dice';
import { Workshop } from './workshop';

const KILLS = times(5, 60);
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

/** Where the clients wait while the server is gone, and who is told of each answer. */
class Storm {
  over = false;
  up: Promise<void> = Promise.resolve();
  #answered = 0;
  #wanted: { at: number; tell: () => void } | undefined;

  answers(more: number): Promise<void> {
    return new Promise((tell) => (this.#wanted = { at: this.#answered + more, tell }));
  }
  answered() {
    if (++this.#answered >= (this.#wanted?.at ?? Infinity)) this.#wanted?.tell();
  }

  /** Does one thing after another; one that got no answer is sent again, as a device does. Says which were answered. */
  async client(one: (n: number) => Promise<Response>): Promise<number[]> {
    const done: number[] = [];
    for (let n = 1; !this.over;) {
      const response = await one(n).catch(() => undefined);
      if (!response) await this.up;
      else if (response.ok) {
        await response.text().catch(() => '');
        done.push(n++);
        this.answered();
      } else throw new Error(`${response.status} ${await response.text()}`);
    }
    return done;
  }
}

/** What a run is told, kind after kind: words, what was read, what went wrong, what was put off. */
const TOLD: ((words: string) => Record<string, unknown>)[] = [
  (text) => ({ type: 'note', text }),
  () => ({ type: 'room', celsius: 20.5 }),
  () => ({ type: 'probed', of: 'knobs', celsius: 31.5 }),
  () => ({ type: 'withdrew', groupId: 'knobs', grams: 1.25 }),
  (text) => ({ type: 'problem', text }),
  () => ({ type: 'dried', groupId: 'knobs', grams: 12.5 }),
  () => ({ type: 'pictured', photo: 'photo-0001', stage: 'layer 1 as poured' }),
  () => ({ type: 'postponed', task: 'demould:knobs', until: 1_800_000_000_000 })
];

describe('a server that is killed again and again', () => {
  it(`loses, doubles, tears and reorders nothing over ${KILLS} kills`, { timeout: 900_000 }, async () => {
    const storm = new Storm();
    const id = (who: string, n: number) => `${who}-${String(n).padStart(6, '0')}`;
    const poster = (who: string) =>
      storm.client((n) =>
        send(`/runs/${RUN}/events`, 'POST', {
          id: id(who, n),
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
      expect(own.map((e) => e.id)).toEqual(answered.map((n) => id(who, n)));
      expect(own).toEqual(
        answered.map((n) => ({ id: id(who, n), at: n, ...TOLD[n % TOLD.length]!(`${who} ${n}`) }))
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
