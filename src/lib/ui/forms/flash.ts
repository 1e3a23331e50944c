/** How long what changed stays marked, ms. */
const SHOWN = 1200;

/** What is marked now; all of it is unmarked at once, so that the page is drawn again for it only once. */
const marked = new Set<HTMLElement>();
let timer: ReturnType<typeof setTimeout> | undefined;

/**
 * Marks something for a moment. Nothing moves or fades: a page with large drawings would be painted anew for every frame of
 * it while someone types on.
 */
export function flash(element: HTMLElement): void {
  marked.add(element);
  element.dataset.changed = '';
  clearTimeout(timer);
  timer = setTimeout(() => {
    for (const e of marked) delete e.dataset.changed;
    marked.clear();
  }, SHOWN);
}
