import type { Reading } from '$core/device';
import { stream } from '../store/event-source';

/** A scale that stands beside the screen, whatever is behind it. */
export interface BenchScale {
  readonly reading: Reading | undefined;
  readonly connected: boolean;
  /** A hand that pours can be asked for: stand-ins only. */
  readonly standIn: boolean;
  connect(): void;
  disconnect(): void;
  ask(what: { do: 'tare' | 'clear' } | { do: 'pour'; grams: number }): Promise<void>;
}

/** A live scale on this page: its latest reading, and what can be asked of it. */
class LiveScale implements BenchScale {
  readonly standIn = true;
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

/** The scale of a bench: the stand-in until one on a cable is chosen. */
export class ScaleAtHand implements BenchScale {
  #own = $state.raw<BenchScale>()!;

  constructor(own: BenchScale) {
    this.#own = own;
  }

  get reading(): Reading | undefined {
    return this.#own.reading;
  }
  get connected(): boolean {
    return this.#own.connected;
  }
  get standIn(): boolean {
    return this.#own.standIn;
  }
  connect(): void {
    this.#own.connect();
  }
  disconnect(): void {
    this.#own.disconnect();
  }
  ask(what: Parameters<BenchScale['ask']>[0]): Promise<void> {
    return this.#own.ask(what);
  }

  /** Another scale stands here from now on. */
  change(to: BenchScale): void {
    this.#own.disconnect();
    this.#own = to;
    to.connect();
  }
}

/** The scale of a run's bench. */
export const scaleAtHand = (bench: string, division: number): ScaleAtHand =>
  new ScaleAtHand(new LiveScale(bench, division));
