import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import type { Figure } from './figure';

const KEPT = 'docs/bench.json';
/** A figure that is so much larger than the one kept is marked. */
const WORSE = 0.15;

const shown = (x: number): string => (x >= 100 ? x.toFixed(0) : x >= 1 ? x.toFixed(2) : x.toPrecision(2));

/** Prints all figures beside those that were kept last, and marks what is worse by more than 15 %. Keeps them where that is asked. */
export function told(figures: readonly Figure[], keep: boolean): void {
  const before = existsSync(KEPT)
    ? (JSON.parse(readFileSync(KEPT, 'utf8')) as Record<string, number>)
    : ({} as Record<string, number>);
  console.log('\n| measured | × now | × kept | |\n|---|---:|---:|---|');
  for (const { name, ratio } of figures) {
    const kept = before[name];
    const worse = kept !== undefined && ratio > kept * (1 + WORSE);
    const better = kept !== undefined && ratio < kept * (1 - WORSE);
    const mark = worse ? `worse by ${((ratio / kept - 1) * 100).toFixed(0)} %` : better ? 'better' : '';
    console.log(`| ${name} | ${shown(ratio)} | ${kept === undefined ? '–' : shown(kept)} | ${mark} |`);
  }
  if (!keep) return;
  const rounded = figures.map(({ name, ratio }) => [name, Number(ratio.toPrecision(3))] as const);
  writeFileSync(KEPT, `${JSON.stringify(Object.fromEntries(rounded), null, 2)}\n`);
  console.log(`\nkept in ${KEPT}`);
}
