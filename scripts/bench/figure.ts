/** One thing that was measured: a ratio within this run, of which less is better. */
export interface Figure {
  name: string;
  ratio: number;
}

export const median = (xs: readonly number[]): number =>
  [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? 0;

/** CPU time of this process that something takes, ms: what else the machine does is not counted. */
export function cpuOf(work: () => unknown): number {
  const before = process.cpuUsage();
  work();
  const { user, system } = process.cpuUsage(before);
  return (user + system) / 1000;
}

/** A fixed piece of work of the same kind as what is measured: many small objects, sorted, looked up and added. */
function yardstick(): number {
  const found = new Map<string, { at: number; words: string }>();
  for (let i = 0; i < 6000; i++) {
    const at = (i * 7919) % 6007;
    found.set(`item ${at}`, { at, words: `${at} of ${i}` });
  }
  const list = [...found.values()].filter((x) => x.at % 3).sort((a, b) => a.at - b.at);
  return list
    .map((x) => ({ ...x, next: found.get(`item ${x.at + 1}`)?.at ?? 0 }))
    .reduce((s, x) => s + x.next, 0);
}

/** What the yardstick takes just now, ms. */
export const yard = (): number => median(Array.from({ length: 15 }, () => cpuOf(yardstick)).slice(5));

/**
 * Several pieces of work in turns with a yardstick: the median of each over the yardstick's, so that a busy or a slow machine
 * makes no difference. Each begins on a clean heap.
 */
export function inTurns(works: readonly ((round: number) => unknown)[], rounds: number, warm = 5): number[] {
  const took = works.map(() => [] as number[]);
  const yards: number[] = [];
  for (let round = 0; round < rounds + warm; round++) {
    globalThis.gc?.();
    const yard = cpuOf(yardstick);
    const own = works.map((work) => cpuOf(() => work(round)));
    if (round < warm) continue; // the compiler warms up
    yards.push(yard);
    own.forEach((ms, i) => took[i]!.push(ms));
  }
  return took.map((ms) => median(ms) / median(yards));
}
