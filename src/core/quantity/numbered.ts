import { fail, ok, type Result } from '../problem';

/**
 * Whole numbers as a maker says them: 1–4, 6.
 * @example numberedWords([1, 2, 3, 5]) // '1–3, 5'
 */
export function numberedWords(numbers: readonly number[]): string {
  const said: [number, number][] = [];
  for (const n of numbers) {
    const last = said.at(-1);
    if (last && n === last[1] + 1) last[1] = n;
    else said.push([n, n]);
  }
  return said.map(([a, b]) => (a === b ? `${a}` : `${a}–${b}`)).join(', ');
}

/**
 * Reads numbers and ranges from 1 to the most there are: `1-3, 5`; in order, each once.
 * @example parseNumbered('1-3, 5', 6).value // [1,2,3,5]
 */
export function parseNumbered(text: string, most: number): Result<number[]> {
  const parts = text.split(/[,;\s]+/).filter(Boolean);
  const ranges = text
    .replace(/\s*[-–]\s*/g, '-')
    .split(/[,;\s]+/)
    .filter(Boolean)
    .map((part) => /^(\d+)(?:-(\d+))?$/.exec(part));
  const numbers = ranges.flatMap((m) => {
    if (!m) return [];
    const [from, to] = [Number(m[1]), Number(m[2] ?? m[1])];
    return Array.from({ length: Math.max(0, Math.min(to, most + 1) - from + 1) }, (_, i) => from + i);
  });
  const good =
    parts.length > 0 && ranges.every((m) => m !== null) && numbers.every((n) => n >= 1 && n <= most);
  if (good && numbers.length) return ok([...new Set(numbers)].sort((a, b) => a - b));
  return fail({
    code: 'count-not-whole',
    path: '',
    sentence: `“${text}” names no cavities from 1 to ${most}.`,
    mend: 'Type them by number, for example 1–3, 5.'
  });
}
