/** The time a run goes by: the device's own clock, or a rehearsal's, which runs faster and can be set ahead. */
export interface RunClock {
  /** Now, ms since 1970; followed by what shows it. */
  readonly now: number;
  /** This very moment, ms since 1970. */
  read(): number;
}

const TICK_MS = 250;

/** The device's clock, seen four times a second while it is kept going. */
export class BenchClock implements RunClock {
  now = $state(Date.now());

  read(): number {
    return Date.now();
  }

  /** Keeps it going until the returned function is called. */
  run(): () => void {
    const tick = setInterval(() => (this.now = this.read()), TICK_MS);
    return () => clearInterval(tick);
  }
}

/** A rehearsal's clock: so many times as fast as the device's, from when it was set going. */
export class RehearsalClock extends BenchClock {
  #from = Date.now();
  #at = Date.now();
  speed = $state(1);

  override read(): number {
    return this.#at + (Date.now() - this.#from) * this.speed;
  }

  /** Sets how many times as fast it runs, 1 to 60, from this moment on. */
  setSpeed(speed: number): void {
    this.#at = this.read();
    this.#from = Date.now();
    this.speed = Math.max(1, Math.min(60, speed));
    this.now = this.read();
  }

  /** Goes ahead by so many minutes at once: a telephone call, a wait that is skipped. */
  ahead(minutes: number): void {
    this.#at += minutes * 60_000;
    this.now = this.read();
  }
}
