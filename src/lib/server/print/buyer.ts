import type { Content } from 'pdfmake/interfaces';
import { buyerSheet, type Tolerance } from '$core/inspect';
import type { Plan } from '$core/plan';
import type { RunFigures } from '$core/run';
import { inWords, type Preferences } from '$core/preferences';
import { day } from '$lib/when';
import { pdfOf, printable, type PaperSize } from './pdf';

/** A run that a buyer wants repeated, and what is agreed. */
export interface ForBuyer {
  name: string;
  startedAt: number;
  plan: Plan;
  computed: RunFigures;
  tolerance: Tolerance;
  /** The show face as PNG, where it could be drawn. */
  picture?: Uint8Array | undefined;
  ways: Preferences;
}

/** The sheet for a buyer as PDF: what will match, what cannot, and how to keep it. */
export const buyerPdf = (of: ForBuyer, size: PaperSize): Promise<Buffer> =>
  pdfOf(`${of.name}: for the buyer`, { size }, buyerContent(of));

/** What the sheet for a buyer holds, before it is set on pages. */
export function buyerContent(of: ForBuyer): Content[] {
  const sheet = buyerSheet(of.plan, of.computed, of.tolerance);
  const part = (title: string, lines: readonly string[]): Content[] =>
    lines.length
      ? [
          { text: title, style: 'part' },
          { ul: lines.map((l) => printable(inWords(l, { ...of.ways, weights: 'g' }))), fontSize: 11 }
        ]
      : [];
  return [
    {
      columnGap: 18,
      columns: [
        ...(of.picture
          ? [{ image: `data:image/png;base64,${Buffer.from(of.picture).toString('base64')}`, width: 120 }]
          : []),
        {
          stack: [
            { text: printable(of.name), style: 'title' },
            { text: `as poured ${day(of.startedAt)} · what a repeat will be`, style: 'quiet' }
          ]
        }
      ]
    },
    ...part('What will match', sheet.matches),
    ...part('What will vary', sheet.differs),
    ...part('How to keep it', sheet.care),
    { text: 'Agreed on ____ / ____ by ______________________', style: 'quiet', margin: [0, 24, 0, 0] }
  ];
}
