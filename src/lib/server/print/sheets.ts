import type { Column, Content, TableCell } from 'pdfmake/interfaces';
import type { Computed } from '$core/plan';
import { figuresOf } from '$core/plan';
import { about, displayOf, readingBeside, weighing } from '$core/quantity';
import { tasksOf, type Task } from '$core/run';
import { inWords } from '$core/preferences';
import { taskWords } from '../../run/instruction';
import {
  aimOf,
  alike,
  cupsOrdered,
  labelsOf,
  pourLines,
  whichMix,
  type Label,
  type SheetLine
} from '../../plan/sheet-words';
import type { SheetKind } from '../../plan/sheets';
import { today } from '$lib/when';
import { batch } from './batch';
import { coreOf, markOf, scoreDrawn } from './drawn';
import { box, pdfOf, RULED, printable, type PaperSize } from './pdf';
import { headCells, heading, type Sheet, type ToPrint } from './sheet';

/** A sheet of a plan as PDF. */
export const sheetPdf = (kind: SheetKind, of: ToPrint, size: PaperSize): Promise<Buffer> =>
  pdfOf(
    `${of.plan.name}: ${kind.replace('-', ' ')}`,
    { size, across: kind === 'batch' },
    sheetContent(kind, of)
  );

/** What a sheet holds, before it is set on pages. */
export function sheetContent(kind: SheetKind, of: ToPrint): Content[] {
  const computed = figuresOf(of.plan, of.shelf, of.learned);
  const weights = displayOf(computed.division).symbol === 'oz' ? 'oz' : 'g';
  const sheet: Sheet = {
    ...of,
    computed,
    words: (sentence) => printable(inWords(sentence, { ...of.ways, weights })),
    weighed: (grams) => weighing(grams, computed.division)
  };
  return { 'mix-sheet': mixSheet, 'run-sheet': runSheet, batch, labels }[kind](sheet);
}

function mixSheet(sheet: Sheet): Content[] {
  const { computed, plan, words } = sheet;
  const lines = pourLines(tasksOf(plan, computed), plan, computed);
  return [
    heading(sheet, 'Mix sheet', 'poured on ____ / ____ by ______'),
    ...letDowns(sheet),
    ...alike(computed.common).flatMap(({ mix, times }) => [
      mixHead(
        [{ text: `The mix${times > 1 ? `, ${times} times` : ''}`, ...NAME }],
        sheet.weighed(mix.balance.mixed)
      ),
      weighTable(sheet, mix.weighings)
    ]),
    ...cupsOrdered(computed).flatMap((cup) =>
      alike(cup.mixes).flatMap((run) => [
        mixHead(
          [
            markOf(cup, 15),
            { text: cup.name, ...NAME },
            { text: whichMix(cup, run), style: 'quiet', width: 'auto' }
          ],
          sheet.weighed(run.mix.balance.mixed)
        ),
        weighTable(sheet, run.mix.weighings)
      ])
    ),
    { text: 'Pour', style: 'part' },
    {
      columnGap: 14,
      columns: [
        { width: '*', stack: lines.map((line) => lineOf(line, sheet)) },
        { width: 165, stack: computed.groups.map((g) => coreOf(computed, plan, g, 165)) }
      ]
    },
    ...care(computed, words)
  ];
}

function letDowns({ computed }: Sheet): Content[] {
  if (!computed.letDowns.length) return [];
  const rows = computed.letDowns.map((l): Content => ({
    columnGap: 6,
    columns: [
      box(),
      {
        text: [
          { text: weighing(l.colourant, l.division), bold: true },
          ` ${l.name} in `,
          { text: weighing(l.carrier, l.division), bold: true },
          ` ${l.carrierName}: 1 : ${l.parts}`
        ]
      }
    ]
  }));
  return [{ text: 'Let-downs, made first', style: 'part' }, ...rows];
}

/** How a cup’s name stands over its table. */
const NAME = { width: 'auto', bold: true, fontSize: 11.5 } as const;

const mixHead = (parts: Column[], total: string): Content => ({
  margin: [0, 10, 0, 2],
  columnGap: 6,
  columns: [...parts, { width: '*', text: total, alignment: 'right', bold: true, fontSize: 11.5 }]
});

/** One mix: what goes in, what it weighs, what the scale reads, and room for what it really was. */
function weighTable(
  { plan, shelf, computed }: Sheet,
  weighings: Computed['cups'][number]['weighings']
): Content {
  const { readings, scaleIds } = plan.bench;
  const unit = displayOf(computed.division).symbol;
  const shown = (grams: number, division: number) => readingBeside(grams, division, computed.division);
  const scaleOf = (id: string) => shelf.scales.find((s) => s.id === id)?.name ?? '';
  const rows = weighings.map((w): TableCell[] => {
    const other = w.scaleId !== scaleIds[0] || w.boat;
    const more = [
      w.percent ? `${w.percent} %` : '',
      w.counted ?? '',
      other ? `on the ${scaleOf(w.scaleId)}${w.boat ? ', in a small dish' : ''}` : '',
      w.weighable ? '' : 'not weighable on this scale'
    ].filter(Boolean);
    return [
      box(),
      { text: [w.name, { text: more.length ? `  ${printable(more.join(' · '))}` : '', style: 'quiet' }] },
      { text: `${w.kind === 'reserve' ? '−' : ''}${shown(w.weight, w.division)}`, alignment: 'right' },
      { text: shown(w.reading, w.division), alignment: 'right', bold: true },
      { text: '________', alignment: 'right', style: 'quiet' }
    ];
  });
  return {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: [10, '*', 60, 90, 60],
      body: [
        headCells(
          [''],
          ['put in'],
          [`weighs, ${unit}`, 'right'],
          [readings === 'cumulative' ? `scale reads, ${unit}` : `reads, tared, ${unit}`, 'right'],
          ['really', 'right']
        ),
        ...rows
      ]
    },
    layout: RULED
  };
}

function lineOf({ cupId, parts }: SheetLine, { computed, words }: Sheet): Content {
  const cup = computed.cups.find((c) => c.cupId === cupId);
  return {
    margin: [0, 2, 0, 2],
    columnGap: 5,
    columns: [
      cup ? markOf(cup) : { text: '', width: 13 },
      { text: parts.map(({ text, strong }) => ({ text: words(text), bold: strong === true })) }
    ]
  };
}

const care = (computed: Computed, words: (s: string) => string): Content[] => [
  { text: 'Care', style: 'part' },
  {
    ul: [...computed.cautions, 'The data sheet, local rules and licensed practice come first.'].map((c) =>
      words(c)
    )
  }
];

/** What begins a later sitting: its heading over the whole width, with its checks. */
const sittingRow = (
  { sitting, after, checks = [] }: Extract<Task, { kind: 'prepare' }>,
  words: Sheet['words']
): TableCell[] => [
  {
    colSpan: 6,
    stack: [
      {
        text: [
          { text: `Sitting ${sitting}`, bold: true },
          words(`, about ${about(after ?? 0)} after the one before`)
        ],
        margin: [0, 8, 0, 2]
      },
      ...checks.map((c): Content => ({ columnGap: 6, columns: [box(), { text: words(c.words) }] }))
    ]
  },
  ...Array.from({ length: 5 }, (): TableCell => ({ text: '' }))
];

/** The run on paper: every line with a box, what it should read, what it read, and when. */
function runSheet(sheet: Sheet): Content[] {
  const { plan, computed, words } = sheet;
  const tasks = tasksOf(plan, computed);
  const checks = tasks.flatMap((t) =>
    t.kind === 'prepare' && t.sitting === undefined ? (t.checks ?? []) : []
  );
  const half = Math.ceil(checks.length / 2);
  const ticks = (some: typeof checks): Content[] =>
    some.map((c) => ({
      margin: [0, 2, 0, 2],
      columnGap: 6,
      columns: [box(), { text: words(c.words) }]
    }));
  let nth = 0;
  const rows = tasks
    .filter((t) => t.kind !== 'prepare' || t.sitting !== undefined)
    .map((task): TableCell[] => {
      const { act, rest } = taskWords(task, computed);
      if (task.kind === 'prepare') return sittingRow(task, words);
      return [
        box(),
        { text: String(++nth), style: 'quiet' },
        { text: [{ text: words(act), bold: true }, ` ${words(rest)}`] },
        { text: printable(aimOf(task, computed.division)), alignment: 'right', bold: true, noWrap: true },
        { text: task.kind === 'weigh' || task.kind === 'pour' ? '________ g' : '', style: 'quiet' },
        { text: '___ : ___', style: 'quiet' }
      ];
    });
  return [
    heading(sheet, 'Run sheet', 'on ____ / ____ by ______\nroom ______ started ____ : ____'),
    {
      margin: [0, 8, 0, 4],
      columns: [{ stack: ticks(checks.slice(0, half)) }, { stack: ticks(checks.slice(half)) }]
    },
    scoreDrawn(computed, 520),
    {
      margin: [0, 8, 0, 0],
      table: {
        headerRows: 1,
        dontBreakRows: true,
        widths: [10, 16, '*', 'auto', 56, 46],
        body: [headCells([''], [''], ['what'], ['should read', 'right'], ['reads'], ['at']), ...rows]
      },
      layout: RULED
    },
    { text: 'Spilled, thickened, left out, extra strokes:', style: 'quiet', margin: [0, 12, 0, 40] },
    ...care(computed, words)
  ];
}

/** Three labels to a row, to cut along the lines. */
function labels(sheet: Sheet): Content[] {
  const { plan, computed, shelf, learned } = sheet;
  const all = labelsOf(plan, computed, shelf, today(learned.today ?? 0));
  const rows: TableCell[][] = [];
  for (let i = 0; i < all.length; i += 3)
    rows.push([0, 1, 2].map((k) => (all[i + k] ? labelCell(all[i + k]!, sheet) : '')));
  if (!rows.length) return [{ text: 'Nothing is mixed in this plan yet.', style: 'quiet' }];
  return [
    {
      table: { widths: ['*', '*', '*'], heights: 92, dontBreakRows: true, body: rows },
      layout: {
        hLineWidth: () => 0.5,
        vLineWidth: () => 0.5,
        hLineColor: () => '#5b5a52',
        vLineColor: () => '#5b5a52',
        hLineStyle: () => ({ dash: { length: 3, space: 3 } }),
        vLineStyle: () => ({ dash: { length: 3, space: 3 } })
      }
    }
  ];
}

function labelCell({ cupId, name, lines }: Label, { computed, words }: Sheet): TableCell {
  const cup = computed.cups.find((c) => c.cupId === cupId);
  return {
    margin: [5, 5, 5, 5],
    stack: [
      {
        columnGap: 5,
        columns: [...(cup ? [markOf(cup, 16)] : []), { text: name, bold: true, fontSize: 12 }]
      },
      ...lines.map((line, i) => ({ text: words(line), bold: i === 1, ...(i > 1 ? { style: 'quiet' } : {}) }))
    ]
  } as TableCell;
}
