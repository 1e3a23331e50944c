import type { Reading } from '$core/device';

/** A live scale on this page: its latest reading, and what can be asked of it. */
export class LiveScale {
  reading = $state<Reading>();
  connected = $state(false);
  readonly #bench: string;
  readonly #division: number;
  #source: EventSource | undefined;

  constructor(bench: string, division: number) {
    this.#bench = bench;
    this.#division = division;
  }

  /** Starts listening; the browser connects again by itself when the server comes back. */
  connect(): void {
    this.disconnect();
    const query = new URLSearchParams({ bench: this.#bench, division: String(this.#division) });
    this.#source = new EventSource(`/api/v1/devices/scale/stream?${query}`);
    this.#source.onmessage = (message) => {
      this.reading = JSON.parse(message.data) as Reading;
      this.connected = true;
    };
    this.#source.onerror = () => (this.connected = false);
  }

  disconnect(): void {
    this.#source?.close();
    this.#source = undefined;
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
