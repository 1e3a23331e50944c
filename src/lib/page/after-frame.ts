/** A page that is not shown has no frames; what waits for one comes all the same, after so long, ms. */
const UNSEEN = 60;

/** Resolves in a task of its own, after what has changed was drawn. */
export const afterFrame = (): Promise<void> =>
  new Promise((resolve) => {
    const unseen = setTimeout(go, UNSEEN);
    const frame = requestAnimationFrame(() => setTimeout(go));
    function go() {
      clearTimeout(unseen);
      cancelAnimationFrame(frame);
      resolve();
    }
  });

/** Resolves in a task of its own, as soon as there is one. */
export const nextTask = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));
