/** Parts of the page that are still to come. */
let awaited = 1;

/** Keeps the page from saying that it answers; the answer lets it. Called while the page is first set up. */
export function holdAlive(): () => void {
  awaited++;
  let held = true;
  return () => {
    if (held) nowAlive();
    held = false;
  };
}

/** Marks the page as answering to clicks, once nothing is awaited; until then the markup is only to be read. */
export function nowAlive(): void {
  awaited--;
  if (awaited <= 0) document.documentElement.dataset.alive = 'true';
}

/** Whether the page has answered to clicks already: what comes now comes within the application. */
export const isAlive = (): boolean => document.documentElement.dataset.alive === 'true';
