import Papa from 'papaparse';
import { fail, ok, type Result } from '../../problem';

/** A named colour of a palette, sRGB hex. */
export interface Swatch {
  name: string;
  hex: string;
}

const two = (n: number) => n.toString(16).padStart(2, '0');
const channels = (hex: string) => [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
/** The first line that programs for pictures know the open palette text format by. */
const HEADER = 'GIMP Palette';

/**
 * Writes a palette in the open palette text format: a header, then red, green, blue and name on each line.
 * @example writePalette('heron', [{ name: 'heron', hex: '#5b7d95' }]).includes('91 125 149') // true
 */
export const writePalette = (name: string, swatches: readonly Swatch[]): string =>
  [
    HEADER,
    `Name: ${name.replace(/\s+/g, ' ')}`,
    '#',
    ...swatches.map(
      (s) =>
        `${channels(s.hex)
          .map((c) => String(c).padStart(3))
          .join(' ')}\t${s.name.replace(/\s+/g, ' ')}`
    )
  ].join('\n') + '\n';

/**
 * Writes a palette as CSV: name and hex.
 * @example writePaletteCsv([{ name: 'heron', hex: '#5b7d95' }]) // 'name,hex\r\nheron,#5b7d95\r\n'
 */
export const writePaletteCsv = (swatches: readonly Swatch[]): string =>
  `${Papa.unparse(
    swatches.map(({ name, hex }) => ({ name, hex })),
    { newline: '\r\n', escapeFormulae: true }
  )}\r\n`;

/**
 * Reads a palette, of either kind. Every line that is no colour is named, and nothing is taken.
 * @example readPalette('name,hex\nheron,#5b7d95').value // [{'hex':'#5b7d95','name':'heron'}]
 */
export function readPalette(text: string): Result<Swatch[]> {
  const body = text.replace(/^\uFEFF/, '');
  return body.trimStart().startsWith(HEADER) ? readText(body) : readCsv(body);
}

function readText(text: string): Result<Swatch[]> {
  const swatches: Swatch[] = [];
  for (const [i, line] of text.split(/\r?\n/).entries()) {
    if (i === 0 || !line.trim() || /^\s*#|^\s*(Name|Columns):/i.test(line)) continue;
    const found = /^\s*(\d+)\s+(\d+)\s+(\d+)(?:\s+(.*))?$/.exec(line);
    const rgb = found?.slice(1, 4).map(Number) ?? [];
    if (!found || rgb.some((c) => c > 255)) return unreadable(i, line);
    const hex = `#${rgb.map(two).join('')}`;
    swatches.push({ hex, name: found[4]?.trim() || hex });
  }
  return some(swatches);
}

function readCsv(text: string): Result<Swatch[]> {
  const rows = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true }).data;
  const swatches: Swatch[] = [];
  for (const [i, row] of rows.entries()) {
    const at = row.findIndex((cell) => /^\s*'?#?[0-9a-f]{6}\s*$/i.test(cell));
    if (at < 0) {
      if (i === 0) continue; // its own heading
      return unreadable(i, row.join(','));
    }
    const hex = `#${row[at]!.replace(/[^0-9a-f]/gi, '').toLowerCase()}`;
    const name = row.find((cell, k) => k !== at && cell.trim())?.trim();
    swatches.push({ hex, name: name ?? hex });
  }
  return some(swatches);
}

const unreadable = (line: number, text: string) =>
  fail({
    code: 'palette-line',
    path: '',
    sentence: `Line ${line + 1} is no colour: “${text.trim().slice(0, 60)}”.`,
    mend: 'Give red, green and blue from 0 to 255 with a name, or a name and a #rrggbb in CSV.'
  });

const some = (swatches: Swatch[]): Result<Swatch[]> =>
  swatches.length
    ? ok(swatches.slice(0, 400))
    : fail({
        code: 'palette-empty',
        path: '',
        sentence: 'There are no colours in it.',
        mend: 'Choose a palette text file or a CSV with a column of #rrggbb.'
      });
