import type { Drawing, Face, Picture, Plan, Shelf, Told } from '$core/plan';
import type { PatternTask } from './workers/pattern.worker';

/** Which face of which piece is wanted, and how large. */
export interface Look {
  plan: Plan;
  shelf: Shelf;
  strandId?: string | undefined;
  seed?: string | undefined;
  until?: string | undefined;
  face: Face;
  how: Drawing;
}

type Answer = { slot: string; picture?: Picture; told?: Told; mud?: number };

let worker: Worker | undefined;
let next = 0;
const listeners = new Map<string, (answer: Answer) => void>();
/** A shelf is written out once: it is the same one for every edit of a plan. */
const written = new WeakMap<object, string>();

function send(task: PatternTask): void {
  if (!worker) {
    worker = new Worker(new URL('./workers/pattern.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<Answer>) => listeners.get(data.slot)?.(data);
  }
  worker.postMessage(task);
}

const textOf = (of: object): string => {
  const before = written.get(of);
  if (before !== undefined) return before;
  const text = JSON.stringify(of);
  written.set(of, text);
  return text;
};

const wanted = ({ plan, shelf, strandId, seed, until }: Look) => ({
  plan: textOf(plan),
  shelf: textOf(shelf),
  ...(strandId === undefined ? {} : { strandId }),
  ...(seed === undefined ? {} : { seed }),
  ...(until === undefined ? {} : { until })
});

/** One picture on a page: drawn beside it, coarse at once and finer after, given up when another is wanted. */
export class PatternWork {
  picture = $state.raw<Picture>();
  mud = $state<number>();
  #slot = `${next++}`;
  #told: ((told: Told | undefined) => void) | undefined;

  constructor() {
    listeners.set(this.#slot, ({ picture, told, mud }) => {
      if (picture) this.picture = picture;
      else if (mud !== undefined) this.mud = mud;
      else this.#told?.(told);
    });
  }

  draw(look: Look): void {
    const { face, how } = look;
    send({ kind: 'draw', slot: this.#slot, face, how, ...wanted(look) });
  }

  /** How far the colours of the piece have run into one another. */
  askMud(look: Look): void {
    send({ kind: 'mud', slot: this.#slot, ...wanted(look) });
  }

  /** What is at a place of the picture, shares of its sides from the upper left. */
  tell(look: Look, x: number, y: number): Promise<Told | undefined> {
    return new Promise((resolve) => {
      this.#told = resolve;
      send({ kind: 'tell', slot: this.#slot, face: look.face, x, y, ...wanted(look) });
    });
  }

  end(): void {
    listeners.delete(this.#slot);
    worker?.postMessage({ kind: 'stop', slot: this.#slot, plan: '', shelf: '' } satisfies PatternTask);
  }
}
