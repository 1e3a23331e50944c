import type { Content, TableCell } from 'pdfmake/interfaces';
import type { Computed, Plan } from '$core/plan';
import type { LearnedHistory } from '$core/document';
import type { Shelf } from '$core/shelf';
import { shownTemperature, type Preferences } from '$core/preferences';
import { batchOf } from '../../plan/sheet-words';
import { RULED, printable } from './pdf';

/** A plan with all that its sheets are made from. */
export interface ToPrint {
  plan: Plan;
  shelf: Shelf;
  learned: LearnedHistory;
  ways: Preferences;
}

/** What every part of a sheet needs. */
export interface Sheet extends ToPrint {
  computed: Computed;
  /** Words in the workshop's own units, in signs that a PDF has. */
  words(sentence: string): string;
  weighed(grams: number): string;
}

/** The name of the plan over a strong line, with what it is of, and room for day and hand. */
export function heading({ plan, computed, ways }: Sheet, what: string, room: string): Content {
  const of = `${batchOf(computed)} · room ${shownTemperature(plan.bench.roomCelsius, ways)}`;
  return {
    table: {
      widths: ['*', 'auto'],
      body: [
        [
          {
            stack: [
              { text: printable(plan.name), style: 'title' },
              { text: printable(of), style: 'quiet' }
            ]
          },
          { text: `${what}\n${room}`, alignment: 'right', style: 'quiet', margin: [0, 8, 0, 0] }
        ]
      ]
    },
    layout: { ...RULED, hLineWidth: (i: number) => (i === 1 ? 1.5 : 0), hLineColor: () => '#14171a' }
  };
}

export const headCells = (...cells: [string, ('left' | 'right')?][]): TableCell[] =>
  cells.map(([text, alignment = 'left']) => ({ text, alignment, style: 'head' }));
