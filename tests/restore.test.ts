import { renameSync } from 'node:fs';
import { isToday, times } from '$core/soak.testing';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { request } from 'node:http';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { tideline } from '../demo/orders/tideline-knobs';
import { dice } from './dice';
import { Workshop } from './workshop';

const roll = dice(4711);
let workshop: Workshop;
beforeAll(async () => {
  workshop = await Workshop.serve({ demo: true });
});
afterAll(() => workshop.close());

const api = (path: string) => `${workshop.address}/api/v1${path}`;
const json = { 'content-type': 'application/json' };
const binary = { 'content-type': 'application/octet-stream' };
const bytesOf = async (path: string) => new Uint8Array(await (await fetch(api(path))).arrayBuffer());
const sendTo = (path: string, body: Uint8Array) =>
  fetch(api(path), { method: 'POST', headers: binary, body: body as BodyInit });
const put = (id: string, notes: string, headers: Record<string, string> = {}) =>
  fetch(api(`/plans/${id}`), {
    method: 'PUT',
    headers: { ...json, ...headers },
    body: JSON.stringify({ ...tideline, id, notes })
  });
const notesOf = async (id: string) =>
  ((await (await fetch(api(`/plans/${id}`))).json()) as { notes?: string }).notes;

describe('a restore while others are at work', () => {
  it('loses nothing that is written afterwards, and never answers for a file that is not in use', async () => {
    const [db, zip] = [await bytesOf('/backup'), await bytesOf('/archive')];
    for (let n = 0; n < times(2, 100); n++) {
      let over = false;
      const reader = async () => {
        while (!over) await (await fetch(api('/plans'))).text();
      };
      const writer = async (id: string) => {
        for (let k = 0; !over; k++) expect((await put(id, `${n}/${k}`)).status).toBeLessThan(300);
      };
      const busy = [reader(), reader(), writer('busy-one'), writer('busy-two')];
      const restored = await (n % 2 ? sendTo('/archive', zip) : sendTo('/backup', db));
      expect(restored.status).toBe(200);
      over = true;
      await Promise.all(busy);
      expect((await put('written-after', `restore ${n}`)).status).toBeLessThan(300);
      expect(await notesOf('written-after')).toBe(`restore ${n}`);
      if (n % 2 === 0) {
        await workshop.stop('SIGKILL');
        await workshop.start();
        expect(await notesOf('written-after')).toBe(`restore ${n}`);
      }
    }
  });

  it('refuses every backup that was changed anywhere, with a sentence and before anything is touched', async () => {
    const whole = await bytesOf('/backup');
    await put('stays', 'here');
    for (let n = 0; n < times(6, 200); n++) {
      const bad = whole.slice();
      const at = roll(bad.length);
      bad[at] = bad[at]! ^ (1 << roll(8));
      const answer = await sendTo(n % 3 ? '/backup?preview' : '/backup', bad);
      expect([at, answer.status]).toEqual([at, 422]);
      expect(((await answer.json()) as { problems: { mend: string }[] }).problems[0]!.mend).toBeTruthy();
    }
    expect((await sendTo('/backup', whole.slice(0, whole.length >> 1))).status).toBe(422);
    expect((await sendTo('/backup', strToU8('no database at all'))).status).toBe(422);
    expect(await notesOf('stays')).toBe('here');
  });

  it('tells of a backup what it holds, kind by kind, as the archive does', async () => {
    type Told = { counts: { what: string; count: number }[] };
    const of = async (path: string, bytes: Uint8Array) =>
      ((await (await sendTo(path, bytes)).json()) as Told).counts;
    const db = await of('/backup?preview', await bytesOf('/backup'));
    expect(db).toEqual(await of('/archive?preview', await bytesOf('/archive')));
    expect(db.map((c) => c.what)).toEqual(
      expect.arrayContaining(['settings', 'events', 'lessons', 'trial cards'])
    );
  });

  it.runIf(isToday(0, 2))('gives an archive up that unfolds to more than any workshop', async () => {
    const files = unzipSync(await bytesOf('/archive'));
    const bomb = zipSync({ ...files, 'tables/events.jsonl': new Uint8Array(200_000_000) }, { level: 1 });
    expect(bomb.length).toBeLessThan(2_000_000);
    // A connection that stood open while the bomb was made may have been closed meanwhile.
    const answer = await sendTo('/archive', bomb).catch(() => sendTo('/archive', bomb));
    expect(answer.status).toBe(422);
    expect(await answer.text()).toContain('unfolds to more');
  });
});

describe('a database file that goes away under the server', () => {
  it('is said, written to no more, and used again once it is back', async () => {
    await put('before', 'there');
    const { database } = workshop;
    const aside = `${database}.aside`;
    renameSync(database, aside);
    const refused = await put('before', 'lost');
    expect(refused.status).toBe(503);
    const { problems } = (await refused.json()) as { problems: { code: string; sentence: string }[] };
    expect(problems[0]!.code).toBe('file-gone');
    expect(problems[0]!.sentence).not.toContain(workshop.folder);
    const page = await fetch(`${workshop.address}/plans`);
    expect(await page.text()).toContain('deleted, moved or replaced');
    renameSync(aside, database);
    expect(await notesOf('before')).toBe('there');
    expect((await put('before', 'again')).status).toBeLessThan(300);
  });
});

describe('revisions', () => {
  it('are read from one quoted ETag, strong or weak, and from nothing else', async () => {
    await put('revised', 'one');
    const etag = (await fetch(api('/plans/revised'))).headers.get('etag')!;
    expect((await put('revised', 'two', { 'if-match': `W/${etag}` })).status).toBe(200);
    expect((await put('revised', 'stale', { 'if-match': etag })).status).toBe(409);
    for (const match of ['1', '"abc"', 'NaN', '"1", "2"', '*', 'W/1', ''])
      expect([match, (await put('revised', 'wrong', { 'if-match': match })).status]).toEqual([match, 400]);
    expect(await notesOf('revised')).toBe('two');
  });

  it('hold for events: what comes again is taken once, and other words under its id are refused', async () => {
    const tell = (text: string) =>
      fetch(api('/runs/tideline-third/events'), {
        method: 'POST',
        headers: json,
        body: JSON.stringify([{ id: 'told-0001', at: 5, type: 'note', text }])
      });
    expect((await tell('as it was')).status).toBe(201);
    expect((await tell('as it was')).status).toBe(201);
    expect((await tell('otherwise')).status).toBe(409);
  });

  it('take no half of a letter', async () => {
    const body = JSON.stringify({ ...tideline, id: 'half', notes: '?' }).replace('"?"', '"\\ud83d"');
    expect((await fetch(api('/plans/half'), { method: 'PUT', headers: json, body })).status).toBe(422);
    const whole = body.replace('\\ud83d', '\\ud83d\\ude00');
    expect((await fetch(api('/plans/half'), { method: 'PUT', headers: json, body: whole })).status).toBe(200);
  });
});

describe('every answer', () => {
  it('that is data runs nothing by itself', async () => {
    for (const path of ['/plans', '/record.csv', '/openapi.json', '/plans/nothing-here']) {
      const policy = (await fetch(api(path))).headers.get('content-security-policy');
      expect(policy).toContain("default-src 'none'");
      expect(policy).toContain('sandbox');
    }
    expect(
      (await fetch(`${workshop.address}/favicon.svg`)).headers.get('content-security-policy')
    ).toBeTruthy();
  });

  it('to a HEAD ends, of a stream too', async () => {
    const status = await new Promise((done, failed) =>
      request(api('/changes'), { method: 'HEAD' }, (response) => {
        response.resume();
        response.on('end', () => done(response.statusCode));
      })
        .on('error', failed)
        .end()
    );
    expect(status).toBe(200);
  });
});
