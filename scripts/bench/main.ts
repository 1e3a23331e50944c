import { daysFigures } from './days';
import { editFigures } from './edits';
import type { Figure } from './figure';
import { matchFigures } from './matching';
import { pageFigures } from './page';
import { patternFigures } from './pattern';
import { recordFigures } from './record';
import { serverFigures } from './server';
import { told } from './table';

const PARTS: readonly [string, () => Figure[] | Promise<Figure[]>][] = [
  ['figures after an edit', editFigures],
  ['a colour matched', matchFigures],
  ['orders on the days', daysFigures],
  ['the drawn piece', patternFigures],
  ['the server beside heavy work', serverFigures],
  ['a page opened and typed in', pageFigures],
  ['a long record', recordFigures]
];

const figures: Figure[] = [];
for (const [what, part] of PARTS) {
  const start = performance.now();
  process.stderr.write(`${what} …`);
  figures.push(...(await part()));
  process.stderr.write(` ${((performance.now() - start) / 1000).toFixed(0)} s\n`);
}
told(figures, process.argv.includes('--keep'));
