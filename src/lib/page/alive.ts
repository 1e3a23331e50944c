/** Parts of the page that are still to come. */
let awaited = 1;
/** Whether a page has stood whole before. */
let stood = false;

/** Keeps the page from saying that it answers; the answer lets it. Called while the page is set up. */
export function holdAlive(): () => void {
  awaited++;
  document.documentElement.dataset.alive = 'false';
  let held = true;
  return () => {
    if (held) nowAlive();
    held = false;
  };
}

/** Marks the page as answering to clicks, once nothing is awaited; until then the markup is only to be read. */
export function nowAlive(): void {
  awaited--;
  if (awaited > 0) return;
  stood = true;
  document.documentElement.dataset.alive = 'true';
}

/** Whether a page has answered to clicks already: what comes now comes within the application. */
export const isAlive = (): boolean => stood;

/** Marks which page stands, once it does: the address changes before it. */
export function nowAt(url: URL): void {
  document.documentElement.dataset.at = url.pathname + url.search;
}
