import type { Reading } from '$core/device';
import { stream } from './event-source';

/** A live scale on this page: its latest reading, and what can be asked of it. */
export class LiveScale {
  reading = $state<Reading>();
  connected = $state(false);
  readonly #bench: string;
  readonly #division: number;
  #end: (() => void) | undefined;

  constructor(bench: string, division: number) {
    this.#bench = bench;
    this.#division = division;
  }

  /** Starts listening; the browser connects again by itself when the server comes back. */
  connect(): void {
    this.disconnect();
    const query = new URLSearchParams({ bench: this.#bench, division: String(this.#division) });
    this.#end = stream(
      `/api/v1/devices/scale/stream?${query}`,
      ['message'],
      (_, data) => {
        this.reading = JSON.parse(data) as Reading;
        this.connected = true;
      },
      () => (this.connected = false)
    );
  }

  disconnect(): void {
    this.#end?.();
    this.#end = undefined;
    this.connected = false;
    this.reading = undefined;
  }

  async ask(what: { do: 'tare' | 'clear' } | { do: 'pour'; grams: number }): Promise<void> {
    await fetch('/api/v1/devices/scale', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...what, bench: this.#bench, division: this.#division })
    }).catch(() => undefined);
  }
}
