import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { Content, ContentSvg, TDocumentDefinitions } from 'pdfmake/interfaces';

/** Sheets as PDF, in the application's own faces. */

const require = createRequire(import.meta.url);
const filesOf = (name: string) => join(dirname(require.resolve(`@fontsource/${name}/package.json`)), 'files');
const TEXT = filesOf('atkinson-hyperlegible-next');
const HEAD = filesOf('petrona');
const text = (weight: number) => join(TEXT, `atkinson-hyperlegible-next-latin-${weight}-normal.woff`);
const head = join(HEAD, 'petrona-latin-600-normal.woff');

/** The maker of PDFs, loaded with the first sheet: a thread that makes none starts sooner without it. */
const maker = async () => {
  const { default: pdfmake } = await import('pdfmake');
  pdfmake.setFonts({
    Text: { normal: text(400), bold: text(700) },
    Head: { normal: head, bold: head }
  });
  // A sheet is made of what it is given: nothing is fetched, and no file read but its faces.
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path) => path.startsWith(TEXT) || path.startsWith(HEAD));
  return pdfmake;
};
let loaded: ReturnType<typeof maker> | undefined;

/** Signs that the faces do not have, as a maker writes them without. */
const WRITTEN: readonly (readonly [RegExp, string])[] = [
  [/⅛/g, '1/8'],
  [/Δ/g, 'd'],
  [/≥/g, 'at least '],
  [/≤/g, 'at most '],
  [/→/g, 'to']
];

/** A sentence in signs that the faces have. */
export const printable = (sentence: string): string =>
  WRITTEN.reduce((s, [sign, words]) => s.replace(sign, words), sentence);

const PAPERS = ['A4', 'Letter'] as const;
export type PaperSize = (typeof PAPERS)[number];

/** The paper that is asked for, or the workshop's own. */
export const paperOf = (asked: string | null, own: PaperSize): PaperSize =>
  PAPERS.find((p) => p === asked) ?? own;

/** A PDF of what a sheet holds, on A4 or Letter, upright or across, with its name and page numbers at the foot. */
export async function pdfOf(
  title: string,
  { size, across = false }: { size: PaperSize; across?: boolean },
  content: Content[]
): Promise<Buffer> {
  const sheet: TDocumentDefinitions = {
    info: { title, creator: 'Kirapen' },
    pageSize: size === 'Letter' ? 'LETTER' : 'A4',
    pageOrientation: across ? 'landscape' : 'portrait',
    pageMargins: [36, 36, 36, 44],
    defaultStyle: { font: 'Text', fontSize: 9.5, lineHeight: 1.15, color: '#14171a' },
    styles: {
      title: { font: 'Head', fontSize: 22 },
      part: { font: 'Head', fontSize: 13, margin: [0, 10, 0, 2] },
      quiet: { color: '#5b5a52' },
      head: { color: '#5b5a52', fontSize: 8.5 }
    },
    footer: (page, pages) => ({
      margin: [36, 12, 36, 0],
      columns: [
        { text: printable(title), style: 'head' },
        { text: `${page} / ${pages}`, style: 'head', alignment: 'right' }
      ]
    }),
    content
  };
  return (await (loaded ??= maker())).createPdf(sheet).getBuffer();
}

/** Thin lines under rows and a strong one under the head, as on the pages. */
export const RULED = {
  hLineWidth: (i: number) => (i === 0 ? 0 : 0.5),
  vLineWidth: () => 0,
  hLineColor: (i: number) => (i === 1 ? '#14171a' : '#cfc8b8'),
  paddingLeft: () => 2,
  paddingRight: () => 4,
  paddingTop: () => 2.5,
  paddingBottom: () => 2.5
};

/** A box to tick; each one its own, as a PDF keeps each one’s place in it. */
export const box = (): ContentSvg => ({
  svg: '<svg width="9" height="9"><rect x="0.5" y="0.5" width="8" height="8" fill="none" stroke="#14171a" stroke-width="0.8"/></svg>',
  width: 9
});
