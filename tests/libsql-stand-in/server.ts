/**
 * A stand-in for a libSQL server: one database behind the client's own HTTP protocol, for tests and for trying things out.
 * It keeps batons, transactions and batches as a server does, and fails on demand. See README.md for what it does not do.
 */
import { randomBytes } from 'node:crypto';
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { z } from 'zod';
import { CursorAsked, Pipeline } from './protocol';
import { refusalOf, Stream } from './stream';

/** A stream that nobody uses for so long is ended, and its transaction taken back, ms. */
const IDLE_MS = 5000;

/** How it is served. */
export interface Serving {
  /** A port of this machine; a free one when absent. */
  port?: number;
  /** Asked of every client, where one is given. */
  token?: string | undefined;
  /** So long a stream may be idle, ms. */
  idle?: number;
}

/** What goes wrong on demand. */
export const Faults = z.object({
  /** Every answer waits so long, ms. */
  delay: z.number().min(0).max(60_000).default(0),
  /** The share of requests whose connection is cut before anything is done, 0 to 1. */
  dropBefore: z.number().min(0).max(1).default(0),
  /** The share of requests that are done, and whose answer never comes, 0 to 1. */
  dropAfter: z.number().min(0).max(1).default(0),
  /** Only requests that hold this text go wrong: a piece of a statement. */
  only: z.string().default('')
});
export type Faults = z.input<typeof Faults>;

const NONE = Faults.parse({});

export class StandIn {
  readonly #streams = new Map<string, Stream>();
  readonly #server: Server;
  readonly #idle: ReturnType<typeof setInterval>;
  #faults = NONE;

  private constructor(
    private readonly path: string,
    private readonly token: string | undefined,
    private readonly idleFor: number
  ) {
    // The first connection sets the database up; it stays one file with its log beside it.
    const first = new Stream(path);
    void first.answer({ type: 'sequence', sql: 'PRAGMA journal_mode=wal' }).finally(() => first.close());
    this.#server = createServer((request, response) => void this.#serve(request, response));
    this.#idle = setInterval(() => this.#endIdle(), idleFor / 5);
    this.#idle.unref();
  }

  /** Serves a database file to clients on this machine. */
  static async begin(path: string, { port = 0, token, idle = IDLE_MS }: Serving = {}): Promise<StandIn> {
    const own = new StandIn(path, token, idle);
    await new Promise<void>((listening, failed) => {
      own.#server.once('error', failed);
      own.#server.listen(port, '127.0.0.1', listening);
    });
    return own;
  }

  get port(): number {
    return (this.#server.address() as AddressInfo).port;
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** From now on this goes wrong; what is not said goes right. */
  fail(faults: Faults): void {
    this.#faults = Faults.parse(faults);
  }

  /** Stops at once: connections are cut, transactions taken back. */
  async end(): Promise<void> {
    clearInterval(this.#idle);
    const closed = new Promise((done) => this.#server.close(done));
    this.#server.closeAllConnections();
    await closed;
    for (const stream of this.#streams.values()) stream.close();
    this.#streams.clear();
  }

  #endIdle(): void {
    for (const [baton, stream] of this.#streams)
      if (Date.now() - stream.usedAt > this.idleFor) {
        stream.close();
        this.#streams.delete(baton);
      }
  }

  async #serve(request: IncomingMessage, response: ServerResponse): Promise<void> {
    try {
      const body = await textOf(request);
      const { delay, dropBefore, dropAfter } = body.includes(this.#faults.only) ? this.#faults : NONE;
      const path = new URL(request.url ?? '/', 'http://here').pathname;
      if (path === '/stand-in/faults') return this.#setFaults(body, response);
      if (Math.random() < dropBefore) return void request.socket.destroy();
      if (delay) await new Promise((done) => setTimeout(done, delay));
      const answer = await this.#answer(path, request, body);
      if (Math.random() < dropAfter) return void request.socket.destroy();
      response
        .writeHead(answer.status, { 'content-type': answer.type ?? 'application/json' })
        .end(answer.body);
    } catch (error) {
      if (!response.headersSent) response.writeHead(500, { 'content-type': 'text/plain' });
      response.end(`${error}`);
    }
  }

  #setFaults(body: string, response: ServerResponse): void {
    this.fail(JSON.parse(body) as Faults);
    response.writeHead(204).end();
  }

  async #answer(path: string, request: IncomingMessage, body: string): Promise<Answer> {
    if (request.method === 'GET') return { status: /^\/v[23]$/.test(path) ? 200 : 404, body: '' };
    if (this.token !== undefined && request.headers.authorization !== `Bearer ${this.token}`)
      return { status: 401, body: JSON.stringify({ error: 'Unauthorized' }) };
    const read = readJson(body);
    if (/^\/v[23]\/pipeline$/.test(path)) return this.#pipeline(read);
    if (path === '/v3/cursor') return this.#cursor(read);
    return { status: 404, body: JSON.stringify({ message: 'Nothing is served here', code: 'NOT_FOUND' }) };
  }

  async #pipeline(body: unknown): Promise<Answer> {
    const read = Pipeline.safeParse(body);
    if (!read.success) return refused(400, 'PROTOCOL', read.error.message);
    const held = this.#take(read.data.baton);
    if (!held)
      return refused(400, 'STREAM_EXPIRED', 'The stream has ended: a transaction in it was taken back');
    const results: unknown[] = [];
    for (const asked of read.data.requests)
      try {
        results.push({ type: 'ok', response: await held.answer(asked) });
      } catch (error) {
        results.push({ type: 'error', error: refusalOf(error) });
      }
    const closes = read.data.requests.some((r) => r.type === 'close');
    const baton = closes ? null : this.#keep(held);
    return { status: 200, body: JSON.stringify({ baton, base_url: null, results }) };
  }

  /** A batch whose rows are answered as they come, one JSON a line. */
  async #cursor(body: unknown): Promise<Answer> {
    const read = CursorAsked.safeParse(body);
    if (!read.success) return refused(400, 'PROTOCOL', read.error.message);
    const held = this.#take(read.data.baton);
    if (!held) return refused(400, 'STREAM_EXPIRED', 'The stream has ended');
    const lines: unknown[] = [];
    const errors: (ReturnType<typeof refusalOf> | null | undefined)[] = [];
    for (const [step, { condition, stmt }] of read.data.batch.steps.entries()) {
      errors[step] = undefined;
      if (!held.holds(condition, errors)) continue;
      try {
        const { cols, rows, affected_row_count, last_insert_rowid } = await held.execute(stmt);
        errors[step] = null;
        lines.push({ type: 'step_begin', step, cols }, ...rows.map((row) => ({ type: 'row', row })));
        lines.push({ type: 'step_end', affected_row_count, last_insert_rowid });
      } catch (error) {
        errors[step] = refusalOf(error);
        lines.push({ type: 'step_error', step, error: errors[step] });
      }
    }
    const head = { baton: this.#keep(held), base_url: null };
    return { status: 200, body: [head, ...lines].map((l) => JSON.stringify(l)).join('\n') + '\n' };
  }

  /** The stream of a baton, or a new one; each baton is good once, as a server's is. */
  #take(baton: string | null | undefined): Stream | undefined {
    if (!baton) return new Stream(this.path);
    const held = this.#streams.get(baton);
    this.#streams.delete(baton);
    return held;
  }

  #keep(stream: Stream): string {
    const baton = randomBytes(12).toString('base64url');
    stream.usedAt = Date.now();
    this.#streams.set(baton, stream);
    return baton;
  }
}

interface Answer {
  status: number;
  body: string;
  type?: string;
}

const refused = (status: number, code: string, message: string): Answer => ({
  status,
  body: JSON.stringify({ message, code })
});

function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

async function textOf(request: IncomingMessage): Promise<string> {
  const parts: Buffer[] = [];
  for await (const part of request) parts.push(part as Buffer);
  return Buffer.concat(parts).toString('utf8');
}
