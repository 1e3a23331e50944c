import { readProbe, restingProbe, warmed } from '$core/device';
import { normalised } from './normal';

/** A probe that stands beside the screen, whatever is behind it. */
export interface BenchProbe {
  /** °C; undefined while it is not connected. */
  readonly reading: number | undefined;
  connect(): void;
  disconnect(): void;
}

const TICK_MS = 500;

/** The stand-in probe, in what the cure model says is there: reached the same way as a real one. */
export class LocalProbe implements BenchProbe {
  reading = $state<number>();
  readonly #stands: () => { celsius: number; at: number };
  #timer: ReturnType<typeof setInterval> | undefined;

  /** @param stands how warm it is where the probe stands, °C, and when by the run’s own clock, ms */
  constructor(stands: () => { celsius: number; at: number }) {
    this.#stands = stands;
  }

  connect(): void {
    if (this.#timer) return;
    let { celsius, at } = this.#stands();
    let probe = restingProbe(celsius);
    this.#timer = setInterval(() => {
      const next = this.#stands();
      probe = warmed(probe, next.celsius, Math.max(0, next.at - at) / 1000);
      ({ celsius, at } = next);
      this.reading = readProbe(probe, normalised());
    }, TICK_MS);
  }

  disconnect(): void {
    clearInterval(this.#timer);
    this.#timer = undefined;
    this.reading = undefined;
  }
}
