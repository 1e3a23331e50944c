import type { ColourTask } from '../workers/colour.worker';

/** A search for a colour that runs beside the page: how far it is, what came of it, and how to stop it. */
export class ColourWork<T> {
  progress = $state(0);
  running = $state(false);
  result = $state.raw<T>();
  #worker: Worker | undefined;
  #settle: ((result: T | undefined) => void) | undefined;

  /** Starts a task; one that still runs is stopped first. Resolves with its result, or undefined when stopped. */
  start(task: ColourTask): Promise<T | undefined> {
    this.cancel();
    const settled = new Promise<T | undefined>((settle) => (this.#settle = settle));
    this.result = undefined;
    this.progress = 0;
    this.running = true;
    this.#worker = new Worker(new URL('../workers/colour.worker.ts', import.meta.url), { type: 'module' });
    this.#worker.onmessage = ({ data }: MessageEvent<{ progress?: number; done?: T }>) => {
      if (data.progress !== undefined) this.progress = data.progress;
      if (data.done !== undefined) {
        this.result = data.done;
        this.#settle?.(data.done);
        this.cancel();
      }
    };
    this.#worker.postMessage(task);
    return settled;
  }

  cancel(): void {
    this.#worker?.terminate();
    this.#worker = undefined;
    this.#settle?.(undefined);
    this.#settle = undefined;
    this.running = false;
  }
}
