import { forgetWhoSignedIn } from './access';
import { announce, EVERYTHING, isLookedOn, type Change } from './changes';
import { notePresent, presentElsewhere, WrittenElsewhere, type Store } from './database';
import { taughtByRuns } from './learned-history';
import { devicesHere, takeElsewhere } from './present';
import { endStreams } from './shutdown';

/** What other servers wrote is known so soon while a page is open here, and after so long while none is, ms. */
const LOOKED_ON_MS = 700;
const ALONE_MS = 30_000;
/** How often it is said who is there, ms: several times before a server is held to be gone. */
const PRESENT_MS = 8000;

/**
 * Other Kirapens that write to the same database: what they wrote is heard here, and who is there is told both ways. A database
 * that does not answer is said by whoever asks it next, not here.
 */
export class OtherServers {
  readonly #written: WrittenElsewhere;
  readonly #beat: ReturnType<typeof setInterval>;
  readonly #round: ReturnType<typeof setInterval>;
  #lookedAt = 0;
  #ended = false;
  /** Runs whose devices came or went since that was last told. */
  #changed = new Set<string>();
  #noting: Promise<void> | undefined;

  constructor(private readonly store: Store) {
    this.#written = new WrittenElsewhere(store, (change) => this.#heard(change));
    this.#beat = setInterval(() => this.#isAnyoneThere() && this.#tellPresent(), PRESENT_MS);
    this.#beat.unref();
    // Often while somebody looks on, seldom otherwise.
    this.#round = setInterval(() => {
      if (isLookedOn() || Date.now() - this.#lookedAt > ALONE_MS) void this.look();
    }, LOOKED_ON_MS);
    this.#round.unref();
    void this.look();
  }

  /** Looks for what others wrote, unless that was just done. */
  async look(): Promise<void> {
    if (Date.now() - this.#lookedAt < LOOKED_ON_MS / 2) return;
    this.#lookedAt = Date.now();
    await this.#written.look().catch(() => undefined);
  }

  /** A device opened a run here, or closed it. */
  note(run: string): void {
    this.#changed.add(run);
    this.#tellPresent();
  }

  /** Asks who is there at other servers. */
  async ask(): Promise<void> {
    await presentElsewhere(this.store).then(takeElsewhere, () => undefined);
  }

  /** Says that nobody is here any more, and looks no more. */
  async end(): Promise<void> {
    this.#ended = true;
    clearInterval(this.#beat);
    clearInterval(this.#round);
    await this.#noting;
    if (this.#changed.size || this.#isAnyoneThere())
      await notePresent(this.store, [], [...this.#changed]).catch(() => undefined);
  }

  #isAnyoneThere(): boolean {
    return devicesHere().length > 0;
  }

  /** One telling at a time; what changes meanwhile goes with the next. */
  #tellPresent(): void {
    this.#noting ??= this.#tellAll().finally(() => (this.#noting = undefined));
  }

  async #tellAll(): Promise<void> {
    do {
      const changed = [...this.#changed];
      this.#changed.clear();
      await notePresent(this.store, devicesHere(), changed).catch(() => undefined);
      await this.ask();
    } while (this.#changed.size && !this.#ended);
  }

  /** What another server wrote: what is remembered of it here is old, and who looks on here hears of it. */
  #heard(change: Change): void {
    if (change.kind === 'present') return void this.ask();
    if (change.kind === 'runs') taughtByRuns.drop(change.id);
    if (change.kind === EVERYTHING.kind) taughtByRuns.clear();
    if (change.kind === EVERYTHING.kind || change.kind === 'sessions') {
      forgetWhoSignedIn();
      endStreams();
    }
    announce(change);
  }
}
