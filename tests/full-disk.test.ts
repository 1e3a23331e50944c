import { times } from '$core/soak.testing';
import { statSync } from 'node:fs';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { tideline } from '../demo/orders/tideline-knobs';
import { dice } from './dice';
import { Workshop } from './workshop';

const TIMES = times(8, 60);
const RUN = 'tideline-third';
const roll = dice(507);

let workshop: Workshop;
beforeAll(async () => {
  workshop = await Workshop.serve({ demo: true });
});
afterAll(() => workshop.close());

const file = () => join(workshop.folder, 'workshop.db');
const sizeOf = (path: string) => statSync(path, { throwIfNoEntry: false })?.size ?? 0;
const send = (path: string, method: string, body: unknown) =>
  fetch(`${workshop.address}/api/v1${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body)
  });
const read = async <T>(path: string) =>
  (await (await fetch(`${workshop.address}/api/v1${path}`)).json()) as T;

/** The things that are written in turn, and the last of each that was answered for. */
const written = { events: 0, plan: 0, card: 0 };
const writes = [
  {
    key: 'events',
    write: (n: number) =>
      send(`/runs/${RUN}/events`, 'POST', {
        id: `full-${String(n).padStart(6, '0')}`,
        at: n,
        type: 'note',
        text: `${n} `.padEnd(100, '.')
      })
  },
  {
    key: 'plan',
    write: (n: number) => send('/plans/tideline-knobs', 'PUT', { ...tideline, notes: `edit ${n}` })
  },
  {
    key: 'card',
    write: (n: number) =>
      send('/bases/clear-quick', 'PATCH', { edits: [{ path: ['stirMinutes'], value: 1 + n / 1000 }] })
  }
] as const;

/** Writes until the disk has no room; says what the refused write was answered. */
async function writeUntilFull(): Promise<{ status: number; said: string; again: () => Promise<Response> }> {
  for (let i = 0; i < 2000; i++) {
    const { key, write } = writes[roll(writes.length)]!;
    const n = written[key] + 1;
    const response = await write(n);
    const said = await response.text();
    if (!response.ok)
      return {
        status: response.status,
        said,
        again: async () => {
          const mended = await write(n);
          if (mended.ok) written[key] = n;
          return mended;
        }
      };
    written[key] = n;
  }
  throw new Error('the disk never was full');
}

describe('a disk that is full at a random write', () => {
  it(
    `is said in a sentence; nothing answered for is lost, over ${TIMES} times`,
    { timeout: 300_000 },
    async () => {
      for (let k = 0; k < TIMES; k++) {
        workshop.room(Math.max(sizeOf(file()), sizeOf(`${file()}-wal`)) + roll(60_000));
        const { status, said, again } = await writeUntilFull();
        expect(status, said).toBe(507);
        expect(JSON.parse(said)).toMatchObject({ problems: [{ code: 'disk-full' }] });
        expect(said).not.toMatch(/ at .*\.js|SQLITE/);
        // While it is full, everything can still be read.
        expect((await read<{ notes: string }>('/plans/tideline-knobs')).notes).toBe(
          written.plan ? `edit ${written.plan}` : tideline.notes
        );
        workshop.room('unlimited');
        expect((await again()).ok).toBe(true);
      }
      expect(written.events).toBeGreaterThan(TIMES);

      const events = await read<{ id: string }[]>(`/runs/${RUN}/events`);
      expect(events.map((e) => e.id).filter((id) => id.startsWith('full-'))).toEqual(
        Array.from({ length: written.events }, (_, i) => `full-${String(i + 1).padStart(6, '0')}`)
      );
      expect((await read<{ notes: string }>('/plans/tideline-knobs')).notes).toBe(`edit ${written.plan}`);
      expect(await read('/bases/clear-quick')).toMatchObject({ stirMinutes: 1 + written.card / 1000 });

      await workshop.stop('SIGKILL');
      const store = createClient({ url: `file:${file()}` });
      const whole = await store.execute('pragma integrity_check');
      store.close();
      expect(whole.rows.map((r) => r[0])).toEqual(['ok']);
    }
  );
});
