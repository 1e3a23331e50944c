import type {
  AskedFace,
  FaceAnswer,
  CutFound,
  CutUp,
  Dividing,
  Drawing,
  Face,
  Searching,
  SpotHistory
} from '$core/piece';
import type { Plan } from '$core/plan';
import type { Shelf } from '$core/shelf';
import type { BarOnPage, ShownPicture } from './shown-picture';
import type { PatternTask } from '../workers/pattern.worker';

/** Which piece: of which plan, in which cavities, by which chance, after which step. */
export interface Of {
  plan: Plan;
  shelf: Shelf;
  cavitySetId?: string | undefined;
  seed?: string | undefined;
  until?: string | undefined;
}

/** Which face of which piece is wanted, and how large. */
export interface FaceWanted extends Of {
  face: Face;
  how: Drawing;
}

/** A casting as it is cut: its bars without their pictures. */
export type CutsWanted = Omit<CutUp, 'bars'> & { bars: Omit<CutUp['bars'][number], 'faces'>[] };

interface Answer {
  slot: string;
  picture?: ShownPicture;
  told?: SpotHistory;
  mud?: number;
  varies?: boolean;
  cutting?: CutsWanted;
  bar?: BarOnPage;
  cuts?: CutFound[];
  searching?: Searching;
  answer?: FaceAnswer;
}

let worker: Worker | undefined;
let next = 0;
const listeners = new Map<string, (answer: Answer) => void>();
/** A shelf is written out once: it is the same one for every edit of a plan. */
const written = new WeakMap<object, string>();

function send(task: PatternTask): void {
  if (!worker) {
    worker = new Worker(new URL('../workers/pattern.worker.ts', import.meta.url), { type: 'module' });
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

const wanted = ({ plan, shelf, cavitySetId, seed, until }: Of) => ({
  plan: textOf(plan),
  shelf: textOf(shelf),
  ...(cavitySetId === undefined ? {} : { cavitySetId }),
  ...(seed === undefined ? {} : { seed }),
  ...(until === undefined ? {} : { until })
});

/** One picture on a page: drawn beside it, coarse at once and finer after, given up when another is wanted. */
export class PatternWork {
  picture = $state.raw<ShownPicture>();
  mud = $state<number>();
  /** Whether two pieces of the pour differ; unknown until it was asked. */
  varies = $state<boolean>();
  #slot = `${next++}`;
  #told: ((told: SpotHistory | undefined) => void) | undefined;

  constructor() {
    listeners.set(this.#slot, ({ picture, told, mud, varies }) => {
      if (picture) this.#show(picture);
      else if (mud !== undefined) this.mud = mud;
      else if (varies !== undefined) this.varies = varies;
      else this.#told?.(told);
    });
  }

  draw(look: FaceWanted): void {
    const { face, how } = look;
    send({ kind: 'draw', slot: this.#slot, face, how, ...wanted(look) });
  }

  /** Asks whether a pour leaves anything of a face to chance. */
  askChance(look: Of, face: Face, seeds: readonly [string, string]): void {
    send({ kind: 'chance', slot: this.#slot, face: $state.snapshot(face) as Face, seeds, ...wanted(look) });
  }

  /** How far the colours of the piece have run into one another. */
  askMud(look: Of): void {
    send({ kind: 'mud', slot: this.#slot, ...wanted(look) });
  }

  /** What is at a place of the picture, shares of its sides from the upper left. */
  tell(look: FaceWanted, x: number, y: number): Promise<SpotHistory | undefined> {
    return new Promise((resolve) => {
      this.#told = resolve;
      send({ kind: 'tell', slot: this.#slot, face: look.face, x, y, ...wanted(look) });
    });
  }

  end(): void {
    this.#show(undefined);
    listeners.delete(this.#slot);
    worker?.postMessage({ kind: 'stop', slot: this.#slot, plan: '', shelf: '' } satisfies PatternTask);
  }

  #show(picture: ShownPicture | undefined): void {
    this.picture?.pixels.close();
    this.picture = picture;
  }
}

/** A casting cut into bars, drawn beside the page one after another. */
export class CutWork {
  cutting = $state.raw<CutsWanted>();
  bars = $state.raw<BarOnPage[]>([]);
  cuts = $state.raw<CutFound[]>([]);
  #slot = `${next++}`;

  constructor() {
    listeners.set(this.#slot, ({ cutting, bar, cuts }) => {
      if (cutting) {
        this.#letGo();
        this.cutting = cutting;
      } else if (bar) this.bars = [...this.bars, bar];
      else if (cuts) this.cuts = cuts;
    });
  }

  /** Draws at most so many bars, the longer side of each so many pixels. */
  cut(of: Of, dividing: Dividing, { size, most }: { size: number; most: number }): void {
    send({ kind: 'bars', slot: this.#slot, dividing, size, most, ...wanted(of) });
  }

  /** The ways of cutting by how much they show of a cup. */
  search(of: Of, dividing: Dividing, cupId: string): void {
    send({ kind: 'cuts', slot: this.#slot, dividing, cupId, ...wanted(of) });
  }

  end(): void {
    this.#letGo();
    listeners.delete(this.#slot);
    worker?.postMessage({ kind: 'stop', slot: this.#slot, plan: '', shelf: '' } satisfies PatternTask);
  }

  #letGo(): void {
    for (const bar of this.bars) for (const face of [bar.picture, bar.other]) face.pixels.close();
    this.bars = [];
  }
}

/** A search for the pour whose face comes nearest to what is wanted: how far it is, what came of it, and how to stop it. */
export class FaceSearch {
  searching = $state.raw<Searching>();
  answer = $state.raw<FaceAnswer>();
  #slot = `${next++}`;

  constructor() {
    listeners.set(this.#slot, ({ searching, answer }) => {
      if (searching) this.searching = searching;
      if (answer) [this.searching, this.answer] = [undefined, answer];
    });
  }

  start(of: Of, asked: AskedFace): void {
    this.answer = undefined;
    this.searching = { tried: 0, of: 1, off: 1 };
    send({ kind: 'ask', slot: this.#slot, asked, ...wanted(of) });
  }

  stop(): void {
    this.searching = undefined;
    worker?.postMessage({ kind: 'stop', slot: this.#slot, plan: '', shelf: '' } satisfies PatternTask);
  }

  end(): void {
    this.stop();
    listeners.delete(this.#slot);
  }
}
