import { fail, ok, type Result } from '../problem';

/** Reads lines of two numbers (`x y`, or depth and ml): every line must be two numbers, or it is named. */
export function parsePairs(text: string): Result<[number, number][]> {
  const rows: [number, number][] = [];
  const lines = text.split('\n');
  for (const [i, line] of lines.entries()) {
    if (!line.trim()) continue;
    const numbers = line
      .trim()
      .split(/[\s;]+/)
      .map((word) => Number(word.replace(',', '.')));
    if (numbers.length !== 2 || !numbers.every(Number.isFinite))
      return fail({
        code: 'pair-unreadable',
        path: '',
        sentence: `Line ${i + 1}, “${line.trim()}”, is not two numbers.`,
        mend: 'Write two figures a line, parted by a space, for example 10 24.5.'
      });
    rows.push([numbers[0]!, numbers[1]!]);
  }
  return ok(rows);
}
