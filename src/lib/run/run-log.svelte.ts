import { PhotoQueue } from './photo-queue.svelte';
import { z } from 'zod';
import { newId } from '$lib/id';
import type { Problem } from '$core/problem';
import { AnyEvent, RunEvent } from '$core/run';
import { problemsOf } from '$core/validate';
import { maker } from './hands.svelte';
import { send } from '../store/send';

/** An event as it is told: its id, its moment and whose hands it was are added. */
export type EventBody = RunEvent extends infer E
  ? E extends RunEvent
    ? Omit<E, 'id' | 'at'>
    : never
  : never;

/** An event that the server will never keep as it is, with its reason. */
export interface SetAside {
  event: AnyEvent;
  sentence: string;
}

/** Something kept here that cannot be read: under which key, and its text as it is. */
export interface Unreadable {
  key: string;
  text: string;
}

/** What a run's screen tells and hears, whoever keeps it: the server, or a rehearsal that keeps nothing. */
export interface PendingEvents {
  readonly events: readonly AnyEvent[];
  readonly waiting: readonly AnyEvent[];
  readonly aside: readonly SetAside[];
  readonly unreadable: readonly Unreadable[];
  readonly signedOut: boolean;
  /** Photos that are on their way; a rehearsal takes none. */
  readonly photos?: PhotoQueue;
  tell(told: EventBody): Problem | undefined;
  drop(id: string): void;
  dropUnreadable(key: string): void;
  mend(id: string, change: Record<string, unknown>): Problem | undefined;
}

const RETRY_MS = 1500;
const BATCH = 200;

/** This tab, as one that may conduct a run. It stays the same through a reload. */
export function thisDevice(): string {
  if (typeof sessionStorage === 'undefined') return 'nowhere';
  try {
    const known = sessionStorage.getItem('kirapen.device') ?? newId();
    sessionStorage.setItem('kirapen.device', known);
    return known;
  } catch {
    return newId();
  }
}

/**
 * The events of one run on this device: shown at once, sent as they happen, and each kept here under its own key until
 * the server has it. A lost network or a killed server delays sending and loses nothing; what the server refuses for
 * good is set aside with its reason and holds nothing up. Events of other devices arrive as they are stored.
 */
export class RunLog implements PendingEvents {
  events = $state.raw<AnyEvent[]>([]);
  waiting = $state.raw<AnyEvent[]>([]);
  aside = $state.raw<SetAside[]>([]);
  /** Kept here, and no event that can be read: shown, never sent, never lost. */
  unreadable = $state.raw<Unreadable[]>([]);
  /** Nobody is signed in: what waits is sent once someone is. */
  signedOut = $state(false);
  readonly photos: PhotoQueue;
  readonly #run: string;
  #last = 0;
  #sending = false;
  #retry: ReturnType<typeof setTimeout> | undefined;

  constructor(run: string, stored: AnyEvent[]) {
    this.#run = run;
    this.photos = new PhotoQueue(run, ({ id, stage }) => this.tell({ type: 'pictured', photo: id, stage }));
    this.events = stored;
    this.#readKept();
    if (this.waiting.length) void this.#send();
  }

  /**
   * Adds what has just happened, after checking it: what could never be stored is not told, and says why.
   */
  tell(told: EventBody): Problem | undefined {
    // Two taps within one millisecond keep their order.
    const at = Math.max(Date.now(), this.#last + 1);
    const read = RunEvent.safeParse({ ...told, by: maker(), id: `${at.toString(36)}-${newId()}`, at });
    if (!read.success) return problemsOf(read.error)[0];
    this.#last = at;
    this.#keep('event', read.data.id, read.data);
    this.waiting = [...this.waiting, read.data];
    this.take([read.data]);
    void this.#send();
    return undefined;
  }

  /** Takes in events that the server has: of this device or another. */
  take(stored: readonly AnyEvent[]): void {
    const known = new Set(this.events.map((e) => e.id));
    const fresh = stored.filter((e) => !known.has(e.id));
    if (fresh.length) this.events = [...this.events, ...fresh];
  }

  /** Another tab of this device has kept or sent something. */
  onStorage(key: string | null): void {
    if (key === null || key.startsWith(this.#prefix('event')) || key.startsWith(this.#prefix('aside'))) {
      this.#readKept();
      void this.#send();
    }
  }

  /** Lets an event go that the server refused. */
  drop(id: string): void {
    this.#forget('aside', id);
    this.aside = this.aside.filter((a) => a.event.id !== id);
    this.events = this.events.filter((e) => e.id !== id);
  }

  /** Lets go of what cannot be read. */
  dropUnreadable(key: string): void {
    localStorage.removeItem(key);
    this.unreadable = this.unreadable.filter((u) => u.key !== key);
  }

  /** Tries a refused event again, with other figures or words. */
  mend(id: string, change: Record<string, unknown>): Problem | undefined {
    const kept = this.aside.find((a) => a.event.id === id);
    if (!kept) return undefined;
    const read = AnyEvent.safeParse({ ...kept.event, ...change });
    if (!read.success) return problemsOf(read.error)[0];
    this.drop(id);
    this.#keep('event', id, read.data);
    this.waiting = [...this.waiting, read.data];
    this.take([read.data]);
    void this.#send();
    return undefined;
  }

  async #send(): Promise<void> {
    if (this.#sending || !this.waiting.length) return;
    this.#sending = true;
    clearTimeout(this.#retry);
    try {
      while (this.waiting.length) await this.#sendSome(this.waiting.slice(0, BATCH));
    } catch {
      this.#retry = setTimeout(() => void this.#send(), RETRY_MS);
    } finally {
      this.#sending = false;
    }
  }

  /** Sends events; of a batch that is refused each goes by itself, so that one holds no other up. */
  async #sendSome(batch: readonly AnyEvent[]): Promise<void> {
    const done = await send('POST', `/runs/${encodeURIComponent(this.#run)}/events`, batch);
    this.signedOut = !done.ok && done.status === 401;
    if (done.ok) {
      this.#sent(batch);
      return;
    }
    const forGood = [400, 404, 409, 413, 422].includes(done.status);
    if (!forGood) throw new Error(String(done.status));
    if (batch.length === 1) this.#setAside(batch[0]!, done.problems);
    else for (const event of batch) await this.#sendSome([event]);
  }

  #sent(batch: readonly AnyEvent[]) {
    const gone = new Set(batch.map((e) => e.id));
    for (const id of gone) this.#forget('event', id);
    this.waiting = this.waiting.filter((e) => !gone.has(e.id));
    this.#keepSent();
  }

  #setAside(event: AnyEvent, problems: readonly Problem[]) {
    const [first] = problems;
    const set: SetAside = {
      event,
      sentence: first ? `${first.sentence} ${first.mend}` : 'The server refused it.'
    };
    this.#keep('aside', event.id, set);
    this.aside = [...this.aside, set];
    this.#sent([event]);
  }

  #prefix(what: 'event' | 'aside') {
    return `kirapen.run.${this.#run}.${what}.`;
  }

  #keep(what: 'event' | 'aside', id: string, value: unknown) {
    try {
      localStorage.setItem(this.#prefix(what) + id, JSON.stringify(value));
    } catch {
      // Storage may be off; the event stays in memory and is sent again all the same.
    }
  }

  /**
   * Keeps what the server has taken too, while the run goes on: opened again with no network, the page begins where it was and
   * not where the server was last asked.
   */
  #keepSent() {
    const key = `kirapen.run.${this.#run}.sent`;
    const not = new Set([...this.waiting, ...this.aside.map((a) => a.event)].map((e) => e.id));
    try {
      if (this.events.some((e) => e.type === 'finished')) localStorage.removeItem(key);
      else localStorage.setItem(key, JSON.stringify(this.events.filter((e) => !not.has(e.id))));
    } catch {
      // Storage may be off or full; the server has them.
    }
  }

  /** What was sent before the page was opened again. */
  #readSent(): AnyEvent[] {
    const kept = keptTexts(`kirapen.run.${this.#run}.sent`)[0]?.[1];
    const list = kept === undefined ? undefined : jsonOf(kept);
    return Array.isArray(list)
      ? list.flatMap((e) => {
          const read = AnyEvent.safeParse(e);
          return read.success ? [read.data] : [];
        })
      : [];
  }

  #forget(what: 'event' | 'aside', id: string) {
    try {
      localStorage.removeItem(this.#prefix(what) + id);
    } catch {
      // Nothing was kept there.
    }
  }

  /** What this device has kept of the run, by whichever tab: one that cannot be read stays where it is, and is shown. */
  #readKept() {
    const events = keptUnder(this.#prefix('event'), AnyEvent);
    const aside = keptUnder(this.#prefix('aside'), Aside);
    this.waiting = events.good.toSorted((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
    this.aside = aside.good;
    this.unreadable = [...events.bad, ...aside.bad];
    this.take([...this.#readSent(), ...this.waiting]);
  }
}

const Aside = z.object({ event: AnyEvent, sentence: z.string() });

/** Everything kept under keys that begin alike: what can be read, and what cannot. */
function keptUnder<T>(prefix: string, schema: z.ZodType<T>): { good: T[]; bad: Unreadable[] } {
  const good: T[] = [];
  const bad: Unreadable[] = [];
  for (const [key, text] of keptTexts(prefix)) {
    const read = schema.safeParse(jsonOf(text));
    if (read.success) good.push(read.data);
    else bad.push({ key, text });
  }
  return { good, bad };
}

function keptTexts(prefix: string): [key: string, text: string][] {
  if (typeof localStorage === 'undefined') return [];
  try {
    return Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '')
      .filter((key) => key.startsWith(prefix))
      .map((key) => [key, localStorage.getItem(key) ?? '']);
  } catch {
    // Storage is off.
    return [];
  }
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
