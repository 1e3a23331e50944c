/**
 * A value as it stood at the last frame that was shown: what follows it is drawn after what a hand has just typed, in a task of its
 * own, so that no keystroke waits for a large drawing.
 */
export class Later<T> {
  #shown = $state.raw<T>() as T;

  /** @param value read anew whenever what it is made of changes */
  constructor(value: () => T) {
    this.#shown = value();
    $effect(() => {
      const next = value();
      const frame = requestAnimationFrame(() => {
        timer = setTimeout(() => (this.#shown = next));
      });
      let timer: ReturnType<typeof setTimeout> | undefined;
      return () => {
        cancelAnimationFrame(frame);
        clearTimeout(timer);
      };
    });
  }

  get value(): T {
    return this.#shown;
  }
}
