import { advance, emptyPan, readScale, startPouring, tare, type Reading } from '$core/device';
import type { BenchScale } from './scale.svelte';
import { normalised } from './normal';

const TICK_MS = 100;

/** The stand-in scale kept going in the browser itself: what a rehearsal weighs on. Nothing of it leaves the page. */
export class LocalScale implements BenchScale {
  readonly standIn = true;
  reading = $state<Reading>();
  connected = $state(false);
  readonly #division: number;
  #pan = emptyPan(0.01);
  #timer: ReturnType<typeof setInterval> | undefined;

  constructor(division: number) {
    this.#division = division;
    this.#pan = emptyPan(division);
  }

  connect(): void {
    this.connected = true;
    this.#timer ??= setInterval(() => {
      this.#pan = advance(this.#pan, TICK_MS / 1000, normalised());
      this.reading = readScale(this.#pan, normalised());
    }, TICK_MS);
  }

  disconnect(): void {
    clearInterval(this.#timer);
    this.#timer = undefined;
    this.connected = false;
    this.reading = undefined;
  }

  async ask(what: { do: 'tare' | 'clear' } | { do: 'pour'; grams: number }): Promise<void> {
    if (what.do === 'pour') this.#pan = startPouring(this.#pan, what.grams, Math.random());
    else this.#pan = what.do === 'tare' ? tare(this.#pan) : emptyPan(this.#division);
    await Promise.resolve();
  }
}
