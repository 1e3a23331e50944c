import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { refusal, storageStub } from './client.testing';
import { SharedDocument } from './shared-document.svelte';

interface Doc {
  id: string;
  name: string;
  room: number;
}

/** A server of one document: answers as the HTTP interface does, and can be made to fail. */
class Server {
  doc: Doc | undefined;
  revision = 1;
  readonly asked: string[] = [];
  down = false;
  /** It stores what comes, and its answer is lost on the way. */
  mute = false;
  readable = true;

  constructor(doc: Doc) {
    this.doc = doc;
  }

  write(change: Partial<Doc>) {
    this.doc = { ...this.doc!, ...change };
    this.revision++;
  }

  answer = async (_: unknown, init: RequestInit): Promise<Response> => {
    this.asked.push(init.method!);
    if (this.asked.length > 50) throw new Error('asked without end');
    if (this.down) throw new TypeError('no network');
    const tag = { etag: `"${this.revision}"` };
    if (init.method === 'GET')
      return !this.doc
        ? refusal(404)
        : this.readable
          ? Response.json(this.doc, { headers: tag })
          : refusal(422);
    const headers = init.headers as Record<string, string>;
    if (!this.doc && headers['if-none-match'] !== '*') return refusal(410);
    if (this.doc && headers['if-match'] !== `"${this.revision}"`) return refusal(409);
    this.doc = JSON.parse(String(init.body)) as Doc;
    this.revision++;
    if (this.mute) throw new TypeError('the line went dead');
    return Response.json(this.doc, { headers: { etag: `"${this.revision}"` } });
  };
}

const read = (raw: unknown): Doc | undefined =>
  typeof raw === 'object' && raw !== null && 'name' in raw ? (raw as Doc) : undefined;
const first: Doc = { id: 'p', name: 'knobs', room: 20 };
let server: Server;
let kept: Map<string, string>;

// Other files run in the same process.
afterEach(() => void vi.useRealTimers());

beforeEach(() => {
  server = new Server(first);
  kept = storageStub('localStorage');
  vi.stubGlobal('fetch', server.answer);
  vi.useFakeTimers();
});

const open = (revision = 1) => new SharedDocument<Doc>('plans', server.doc ?? first, revision, read);
const settled = async (doc: SharedDocument<Doc>) => {
  await vi.advanceTimersByTimeAsync(10);
  return doc;
};

describe('a document that several benches write', () => {
  it('is stored as it changes, and keeps nothing here once it is', async () => {
    const doc = open();
    doc.change({ ...first, name: 'more knobs' });
    await settled(doc);
    expect(server.doc).toMatchObject({ name: 'more knobs' });
    expect(doc.saved).toBe('saved');
    expect(kept.size).toBe(0);
  });

  it('takes another bench’s change in beside its own', async () => {
    const doc = open();
    server.write({ room: 24 });
    doc.change({ ...first, name: 'mine' });
    await settled(doc);
    expect(server.doc).toEqual({ id: 'p', name: 'mine', room: 24 });
    expect(doc.current).toEqual(server.doc);
  });

  it('is never set back by what is read late, nor asked about its own change', async () => {
    const doc = open();
    const warmer = async (room: number) => {
      doc.change({ ...doc.current, room });
      await settled(doc);
    };
    await warmer(21);
    await warmer(22);
    // It hears of its first change after the second: what is there is read, and the answer is long on its way.
    const late = Response.json(server.doc, { headers: { etag: `"${server.revision}"` } });
    let arrive = () => {};
    const way = new Promise<void>((done) => (arrive = done));
    let reading = true;
    vi.stubGlobal('fetch', async (to: unknown, init: RequestInit) => {
      if (init.method !== 'GET' || !reading) return server.answer(to, init);
      reading = false;
      await way;
      return late;
    });
    const heard = doc.heard(2);
    await settled(doc);
    await warmer(23);
    arrive();
    await heard;
    await warmer(24);
    expect([doc.clash, doc.saved, server.doc?.room]).toEqual([undefined, 'saved', 24]);
  });

  it('asks where both changed one field, and stores nothing before it is told', async () => {
    const doc = open();
    server.write({ name: 'theirs' });
    doc.change({ ...first, name: 'mine' });
    await settled(doc);
    expect(doc.clash?.conflicts).toEqual([{ path: ['name'], base: 'knobs', mine: 'mine', theirs: 'theirs' }]);
    expect(server.doc?.name).toBe('theirs');
    doc.settle([false]);
    await settled(doc);
    expect(server.doc?.name).toBe('mine');
    expect(doc.saved).toBe('saved');
  });

  it('keeps a change while the server is away, and sends it when it is back', async () => {
    const doc = open();
    server.down = true;
    doc.change({ ...first, name: 'offline' });
    await settled(doc);
    expect(doc.saved).toBe('waiting');
    expect([...kept.values()].join()).toContain('offline');
    server.down = false;
    await vi.advanceTimersByTimeAsync(2500);
    expect(server.doc?.name).toBe('offline');
    expect(kept.size).toBe(0);
  });

  it('merges what was kept here with what is there by then, never over it', async () => {
    server.down = true;
    const before = open();
    before.change({ ...first, name: 'kept here' });
    await settled(before);
    server.down = false;
    server.write({ room: 30 });
    const after = open(server.revision);
    await settled(after);
    expect(server.doc).toEqual({ id: 'p', name: 'kept here', room: 30 });
  });

  it('knows its own change whose answer was lost, and can take it back', async () => {
    const doc = open();
    server.mute = true;
    doc.change({ ...first, name: 'undone' });
    await settled(doc);
    expect(server.doc).toMatchObject({ name: 'undone' });
    server.mute = false;
    doc.change(first);
    await vi.advanceTimersByTimeAsync(2100);
    expect(server.doc).toEqual(first);
    expect(doc.current).toEqual(first);
    expect(kept.size).toBe(0);
  });

  it('knows it after the page was left before the answer came, too', async () => {
    const doc = open();
    vi.stubGlobal('fetch', (...asked: Parameters<Server['answer']>) => {
      void server.answer(...asked);
      return new Promise(() => undefined);
    });
    doc.change({ ...first, name: 'undone' });
    doc.change(first);
    vi.stubGlobal('fetch', server.answer);
    server.write({ room: 20 });
    const again = await settled(open(server.revision));
    expect(again.current).toEqual(first);
    expect(server.doc).toEqual(first);
  });

  it('waits where what is there cannot be read, and does not ask without end', async () => {
    const doc = open();
    server.write({ name: 'theirs' });
    server.readable = false;
    doc.change({ ...first, room: 22 });
    await settled(doc);
    expect(doc.saved).toBe('waiting');
    expect(server.asked).toEqual(['PUT', 'GET']);
    server.readable = true;
    await vi.advanceTimersByTimeAsync(2500);
    expect(server.doc).toEqual({ id: 'p', name: 'theirs', room: 22 });
  });

  it('hears that it was deleted, and can be kept after all', async () => {
    const doc = open();
    server.doc = undefined;
    await doc.heard(0);
    expect(doc.deleted).toBe(true);
    await doc.keep();
    expect(server.doc).toEqual(first);
    expect(doc.deleted).toBe(false);
  });

  it('hears its own writing without reading it again', async () => {
    const doc = open();
    doc.change({ ...first, name: 'mine' });
    await settled(doc);
    await doc.heard(server.revision);
    expect(server.asked).toEqual(['PUT']);
  });
});
