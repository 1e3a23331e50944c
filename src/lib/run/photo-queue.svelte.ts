import { createStore, del, entries, set, type UseStore } from 'idb-keyval';
import { newId } from '../id';

/** A photo that is not with the server yet. */
interface Waiting {
  id: string;
  stage: string;
  file: Blob;
}

const RETRY_MS = 4000;

/**
 * Photos taken in a run, kept on this device until the server has them: a lost network, a closed lid or a reload loses none.
 * Each has its id from the start, so that one that is sent twice is kept once.
 */
export class PhotoQueue {
  waiting = $state.raw<readonly Waiting[]>([]);
  problem = $state('');
  readonly #run: string;
  readonly #kept: (photo: { id: string; stage: string }) => void;
  #store: UseStore | undefined;
  #retry: ReturnType<typeof setTimeout> | undefined;
  #sending = false;

  /** @param kept told once of each photo that the server has */
  constructor(run: string, kept: (photo: { id: string; stage: string }) => void) {
    this.#run = run;
    this.#kept = kept;
  }

  /** Takes up what was left waiting, and goes on until `close`. */
  async open(): Promise<void> {
    try {
      this.#store = createStore('kirapen-photos', 'waiting');
      const left = await entries<string, Waiting>(this.#store);
      const mine = left.filter(([key]) => key.startsWith(`${this.#run}/`)).map(([, photo]) => photo);
      const known = new Set(this.waiting.map((w) => w.id));
      this.waiting = [...mine.filter((w) => !known.has(w.id)), ...this.waiting];
    } catch {
      // A browser that keeps nothing for this page still sends what is taken while it is open.
      this.#store = undefined;
    }
    void this.#send();
  }

  close(): void {
    clearTimeout(this.#retry);
  }

  /** Keeps a photo of a stage here, then sends it. */
  async add(file: Blob, stage: string): Promise<void> {
    const photo = { id: newId(), stage, file };
    this.problem = '';
    this.waiting = [...this.waiting, photo];
    await this.#stored((store) => set(this.#key(photo), photo, store));
    void this.#send();
  }

  readonly #key = ({ id }: Waiting) => `${this.#run}/${id}`;

  async #stored(work: (store: UseStore) => Promise<void>): Promise<void> {
    if (!this.#store) return;
    await work(this.#store).catch(() => undefined);
  }

  async #send(): Promise<void> {
    if (this.#sending) return;
    this.#sending = true;
    clearTimeout(this.#retry);
    for (let photo = this.waiting[0]; photo; photo = this.waiting[0]) {
      if (!(await this.#sendOne(photo))) {
        this.#retry = setTimeout(() => void this.#send(), RETRY_MS);
        break;
      }
      this.waiting = this.waiting.filter((w) => w.id !== photo!.id);
      await this.#stored((store) => del(this.#key(photo!), store));
    }
    this.#sending = false;
  }

  /** Whether it is done with: kept by the server, or refused for good with its reason. */
  async #sendOne({ id, stage, file }: Waiting): Promise<boolean> {
    const body = new FormData();
    body.set('photo', file);
    try {
      const response = await fetch(`/api/v1/runs/${this.#run}/photos?id=${id}`, { method: 'POST', body });
      if (response.ok) this.#kept({ id, stage });
      else if (response.status === 401 || response.status >= 500) return false;
      else this.problem = sentenceOf(await response.json());
      return true;
    } catch {
      return false;
    }
  }
}

function sentenceOf(answer: { problems?: { sentence: string; mend: string }[] }): string {
  const [first] = answer.problems ?? [];
  return first ? `${first.sentence} ${first.mend}` : 'The photo was not kept.';
}
