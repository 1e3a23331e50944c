import { choose, merge, same, type Conflict } from '$core/document/merge';
import type { Problem } from '$core/problem';
import { send } from './send';

/** Two changes of the same field, for the maker to choose between. */
export interface Clash<T> {
  conflicts: Conflict[];
  /** What is there now, and at which revision. */
  theirs: T;
  revision: number;
  merged: T;
}

/** What the device keeps while a change could not be sent: the change, and what it was based on. */
interface Draft<T> {
  base: T;
  revision: number;
  mine: T;
  /** What was sent and not answered: it may be stored all the same. */
  unanswered?: T[];
}

const RETRY_MS = 2000;
/** So many of the states that were sent without an answer are remembered, the latest. */
const MOST_UNANSWERED = 8;

/**
 * A document that several benches may write: saved as it changes, each write saying what it was based on. Changes of
 * others to other fields are merged in by themselves; the same field changed twice is asked. What could not be sent is
 * kept on this device with what it was based on, and merged when it can be.
 */
export class SharedDocument<T extends { id: string }> {
  current = $state.raw<T>() as T;
  saved = $state<'saved' | 'saving' | 'waiting'>('saved');
  clash = $state.raw<Clash<T>>();
  /** It was deleted elsewhere while it is open here. */
  deleted = $state(false);
  refused = $state.raw<Problem[]>([]);
  #base: T;
  #revision: number;
  /** What was sent and not answered yet. Found on the server, it is this bench's own, not another's change. */
  #unanswered: T[] = [];
  #sending: Promise<void> | undefined;
  #retry: ReturnType<typeof setTimeout> | undefined;
  readonly #address: string;
  readonly #key: string;
  readonly #read: (raw: unknown) => T | undefined;

  constructor(kind: string, document: T, revision: number, read: (raw: unknown) => T | undefined) {
    this.#address = `/${kind}/${encodeURIComponent(document.id)}`;
    this.#key = `kirapen.draft.${kind}.${document.id}`;
    this.#read = read;
    this.current = document;
    this.#base = document;
    this.#revision = revision;
    const draft = this.#draft();
    if (draft) this.#takeUp(draft);
  }

  /** Shows a change and sends it. */
  change(next: T): void {
    if (same(next, this.current)) return;
    this.current = next;
    // What sends keeps it too; what is under way, or waits for the maker, does not send it yet.
    if (this.#sending || this.clash || this.deleted) this.#keepDraft();
    void this.#send();
  }

  /** Resolves once what is shown is stored, or fails when it cannot be. */
  async settled(): Promise<void> {
    clearTimeout(this.#retry);
    await this.#send();
    if (this.saved !== 'saved') throw new Error('not stored');
  }

  /** Someone wrote this document: takes their change in, unless it is the one just sent from here. */
  async heard(revision: number): Promise<void> {
    while (this.#sending) await this.#sending;
    if (revision === this.#revision || this.clash || this.deleted) return;
    if (revision === 0) {
      this.deleted = true;
      return;
    }
    // Nothing is sent while it is read: what comes back is never older than what this bench has stored since.
    await this.#alone(() => this.#takeIn());
  }

  /** Settles a clash: which of the conflicts take theirs. */
  settle(theirs: readonly boolean[]): void {
    const clash = this.clash;
    if (!clash) return;
    this.clash = undefined;
    this.#base = clash.theirs;
    this.#revision = clash.revision;
    const chosen = clash.conflicts.reduce((doc, c, i) => choose(doc, c, theirs[i] ?? false), clash.merged);
    this.current = chosen;
    this.#keepDraft();
    void this.#send();
  }

  /** Deleted elsewhere: keeps what is here as a document again. */
  async keep(): Promise<void> {
    const stored = await send<T>('PUT', this.#address, this.current, 'new');
    if (!stored.ok) {
      this.refused = stored.problems;
      return;
    }
    this.deleted = false;
    this.#stored(this.current, stored.revision);
  }

  /** Whether what is stored is, or may be, another than what is shown. */
  get #behind(): boolean {
    return this.#unanswered.length > 0 || !same(this.current, this.#base);
  }

  #stored(sent: T, revision: number | undefined) {
    this.#base = sent;
    this.#revision = revision ?? this.#revision;
    this.#unanswered = [];
    this.refused = [];
  }

  /** One send at a time; one that is under way also takes along what changes meanwhile. */
  #send(): Promise<void> {
    return this.#sending ?? this.#alone(() => this.#sendAll());
  }

  /** One exchange with the server, with no other beside it; what was changed meanwhile is sent after it. */
  #alone(exchange: () => Promise<unknown>): Promise<void> {
    const own = exchange()
      .then(() => undefined)
      .finally(() => {
        this.#sending = undefined;
        if (this.saved !== 'waiting' && !this.deleted && this.#behind) void this.#send();
      });
    this.#sending = own;
    return own;
  }

  async #sendAll(): Promise<void> {
    clearTimeout(this.#retry);
    while (this.#behind && !this.clash && !this.deleted) {
      this.saved = 'saving';
      const sent = this.current;
      this.#unanswered = [...this.#unanswered.filter((u) => u !== sent), sent].slice(-MOST_UNANSWERED);
      this.#keepDraft();
      const done = await send<T>('PUT', this.#address, sent, { revision: this.#revision });
      // What failed on the way, or in the server, may be stored all the same; what was refused is not.
      if (!done.ok && done.status >= 400 && done.status < 500)
        this.#unanswered = this.#unanswered.filter((u) => u !== sent);
      if (done.ok) this.#stored(sent, done.revision);
      else if (done.status === 410) this.deleted = true;
      else if (done.status === 422) return this.#refuse(done.problems);
      else if (done.status !== 409 || !(await this.#takeIn())) return this.#tryLater();
    }
    this.saved = this.clash || this.deleted ? 'waiting' : 'saved';
    if (this.saved === 'saved') this.#dropDraft();
  }

  #refuse(problems: Problem[]) {
    this.refused = problems;
    this.saved = 'waiting';
  }

  #tryLater() {
    this.saved = 'waiting';
    this.#retry = setTimeout(() => void this.#send(), RETRY_MS);
  }

  /** Reads what is there now and sets this bench's change beside it; says whether that could be done. */
  async #takeIn(): Promise<boolean> {
    const read = await send<unknown>('GET', this.#address);
    if (!read.ok && read.status === 404) {
      this.deleted = true;
      return true;
    }
    const theirs = read.ok ? this.#read(read.value) : undefined;
    if (!theirs || read.ok === false || read.revision === undefined) return false;
    this.#beside({ base: this.#base, mine: this.current, theirs, revision: read.revision });
    return true;
  }

  #beside({ base, mine, theirs, revision }: { base: T; mine: T; theirs: T; revision: number }) {
    const own = this.#unanswered.find((u) => same(u, theirs));
    this.#unanswered = [];
    const { merged, conflicts } = merge(own ?? base, mine, theirs);
    const whole = this.#read(merged) ?? merged;
    if (conflicts.length) {
      this.clash = { conflicts, theirs, revision, merged: whole };
      this.saved = 'waiting';
      return;
    }
    this.#base = theirs;
    this.#revision = revision;
    this.current = whole;
    if (!same(whole, theirs)) this.#keepDraft();
    else this.#dropDraft();
  }

  /** A draft from while the server was away: merged with what is there now, never put over it. */
  #takeUp({ base, revision, mine, unanswered = [] }: Draft<T>) {
    this.#unanswered = unanswered;
    if (revision === this.#revision) this.current = mine;
    else this.#beside({ base, mine, theirs: this.#base, revision: this.#revision });
    void this.#send();
  }

  #keepDraft() {
    const draft: Draft<T> = {
      base: this.#base,
      revision: this.#revision,
      mine: this.current,
      unanswered: this.#unanswered
    };
    try {
      localStorage.setItem(this.#key, JSON.stringify(draft));
    } catch {
      // Storage may be full or off; sending goes on all the same.
    }
  }

  #dropDraft() {
    try {
      localStorage.removeItem(this.#key);
    } catch {
      // Nothing was kept there.
    }
  }

  #draft(): Draft<T> | undefined {
    if (typeof localStorage === 'undefined') return undefined;
    try {
      const kept = JSON.parse(localStorage.getItem(this.#key) ?? 'null') as Draft<unknown> | null;
      const base = kept && this.#read(kept.base);
      const mine = kept && this.#read(kept.mine);
      return base && mine && typeof kept.revision === 'number'
        ? { base, mine, revision: kept.revision, unanswered: this.#sentOf(kept) }
        : undefined;
    } catch {
      return undefined;
    }
  }

  #sentOf({ unanswered = [] }: Draft<unknown>): T[] {
    return unanswered.flatMap((raw) => this.#read(raw) ?? []);
  }
}
