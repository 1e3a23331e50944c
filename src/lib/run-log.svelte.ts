import { newId } from '$lib/id';
import { RunEvent } from '$core/run';
import { z } from 'zod';

type Told = RunEvent extends infer E ? (E extends RunEvent ? Omit<E, 'id' | 'at'> : never) : never;

/**
 * The events of one run on this device: shown at once, sent as they happen, and kept here until the server has
 * them. A lost network or a killed server delays sending and loses nothing.
 */
export class RunLog {
  events = $state.raw<RunEvent[]>([]);
  waiting = $state.raw<RunEvent[]>([]);
  readonly #run: string;
  #last = 0;
  #sending = false;
  #retry: ReturnType<typeof setTimeout> | undefined;

  constructor(run: string, stored: RunEvent[]) {
    this.#run = run;
    this.waiting = this.#kept();
    const here = new Set(stored.map((e) => e.id));
    this.events = [...stored, ...this.waiting.filter((e) => !here.has(e.id))];
    if (this.waiting.length) void this.#send();
  }

  /** Adds what has just happened. */
  tell(told: Told): void {
    // Two taps within one millisecond keep their order.
    this.#last = Math.max(Date.now(), this.#last + 1);
    const event = {
      ...told,
      id: `${this.#last.toString(36)}-${newId()}`,
      at: this.#last
    } as RunEvent;
    this.events = [...this.events, event];
    this.waiting = [...this.waiting, event];
    this.#keep();
    void this.#send();
  }

  async #send(): Promise<void> {
    if (this.#sending) return;
    this.#sending = true;
    clearTimeout(this.#retry);
    try {
      while (this.waiting.length) {
        const batch = this.waiting.slice(0, 200);
        const response = await fetch(`/api/v1/runs/${encodeURIComponent(this.#run)}/events`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(batch)
        });
        if (!response.ok) throw new Error(String(response.status));
        const sent = new Set(batch.map((e) => e.id));
        this.waiting = this.waiting.filter((e) => !sent.has(e.id));
        this.#keep();
      }
    } catch {
      this.#retry = setTimeout(() => this.#send(), 1500);
    } finally {
      this.#sending = false;
    }
  }

  get #key() {
    return `kirapen.run.${this.#run}`;
  }

  #keep() {
    try {
      if (this.waiting.length) localStorage.setItem(this.#key, JSON.stringify(this.waiting));
      else localStorage.removeItem(this.#key);
    } catch {
      // Storage may be off; the events stay in memory and are sent again all the same.
    }
  }

  #kept(): RunEvent[] {
    if (typeof localStorage === 'undefined') return [];
    const read = z.array(RunEvent).safeParse(JSON.parse(localStorage.getItem(this.#key) ?? '[]'));
    return read.success ? read.data : [];
  }
}
