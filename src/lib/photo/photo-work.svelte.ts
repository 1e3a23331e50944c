import type { Areas, Photo, Placed } from '$core/photo';
import type { AskedByPicture, PouredLike } from '$core/propose';
import type { MeasuredBeside, PhotoAnswer, PhotoTask } from '../workers/photo.worker';

/** Work on a photo beside the page: one task at a time, the latest asked; the one before it is let go. */
export class PhotoWork {
  working = $state(false);
  #worker: Worker | undefined;

  /** What is seen on the piece of a photo. */
  async see(photo: Photo, placed: Placed): Promise<Areas | undefined> {
    const answer = await this.#ask({ kind: 'see', photo, placed });
    return answer && 'areas' in answer ? answer.areas : undefined;
  }

  /** Pours that come near to what is seen, told as they come. */
  async pour(asked: AskedByPicture, onfound: (pours: PouredLike[]) => void): Promise<void> {
    await this.#ask({ kind: 'pour', asked }, (answer) => {
      if ('pours' in answer) onfound(answer.pours);
      return !('pours' in answer) || answer.done;
    });
  }

  /** A finished piece measured beside its plan. */
  async measure(
    task: Omit<Extract<PhotoTask, { kind: 'measure' }>, 'kind'>
  ): Promise<MeasuredBeside | undefined> {
    const answer = await this.#ask({ kind: 'measure', ...task });
    return answer && 'beside' in answer ? answer.beside : undefined;
  }

  stop(): void {
    this.#worker?.terminate();
    this.#worker = undefined;
    this.working = false;
  }

  /** Undefined where it was stopped, or overtaken by another task. */
  #ask(
    task: PhotoTask,
    isLast: (answer: PhotoAnswer) => boolean = () => true
  ): Promise<PhotoAnswer | undefined> {
    this.stop();
    this.working = true;
    const worker = new Worker(new URL('../workers/photo.worker.ts', import.meta.url), { type: 'module' });
    this.#worker = worker;
    return new Promise((done) => {
      worker.onmessage = ({ data }: MessageEvent<PhotoAnswer>) => {
        if (!isLast(data)) return;
        if (this.#worker === worker) this.stop();
        done(data);
      };
      worker.onerror = () => {
        if (this.#worker === worker) this.stop();
        done(undefined);
      };
      worker.postMessage(task);
    });
  }
}
