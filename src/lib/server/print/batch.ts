import type { Content, TableCell } from 'pdfmake/interfaces';
import { PORTION } from '$core/batch';
import type { Computed } from '$core/plan';
import { amountWords } from '$core/pour';
import { displayOf, reading, weighing } from '$core/quantity';
import { shownLength, shownMoney, shownVolume } from '$core/preferences';
import { batchRows, coloursOf, partOf, type BatchRow } from '../../plan/sheet-words';
import { markOf } from './drawn';
import { RULED, printable } from './pdf';
import { headCells, heading, type Sheet } from './sheet';

type Cup = Computed['cups'][number];

const right = (text: string | number, bold = false): TableCell => ({
  text: String(text),
  alignment: 'right',
  bold,
  noWrap: true
});
const g = (grams: number, { computed }: Sheet) => reading(grams, computed.division);

/** A cup by its mark and name, in a cell. */
const cupCell = (cup: Cup | undefined, more = ''): TableCell => ({
  columnGap: 4,
  columns: [...(cup ? [markOf(cup, 11)] : []), { text: `${cup?.name ?? ''}${more}` }]
});

/** The batch in one table across the page: every group, every layer, every cup. */
export function batch(sheet: Sheet): Content[] {
  const { computed, ways } = sheet;
  const cost = computed.cost ? `${shownMoney(computed.cost.perPiece, ways)} a good piece` : '';
  return [heading(sheet, 'The batch', cost), layers(sheet), cups(sheet), ...common(sheet)];
}

function layers(sheet: Sheet): Content {
  const unit = displayOf(sheet.computed.division).symbol;
  return {
    margin: [0, 10, 0, 0],
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: ['*', 'auto', 110, '*', 'auto', 'auto', 'auto', 'auto'],
      body: [
        headCells(
          ['cavities'],
          ['how many', 'right'],
          ['layer'],
          ['asked'],
          ['thick', 'right'],
          ['each', 'right'],
          [`${unit} each`, 'right'],
          [`${unit} in all`, 'right']
        ),
        ...batchRows(sheet.computed).map((row) => layerRow(row, sheet))
      ]
    },
    layout: RULED
  };
}

function layerRow({ group, layer, first }: BatchRow, sheet: Sheet): TableCell[] {
  const { plan, computed, ways, words } = sheet;
  const cup = computed.cups.find((c) => c.cupId === layer.cupId);
  return [
    { text: first ? `${group.name} · ${group.mouldName}` : '', bold: first },
    right(first ? group.count : ''),
    cupCell(cup, layer.chamber ? `, ${layer.chamber.name}` : ''),
    { text: words(amountWords(plan.steps.find((s) => s.id === layer.stepId))), style: 'quiet' },
    right(shownLength(layer.to - layer.from, ways)),
    right(shownVolume(layer.each, ways)),
    right(g(layer.grams / group.count, sheet)),
    right(g(layer.grams, sheet), true)
  ];
}

function cups(sheet: Sheet): Content {
  const { computed } = sheet;
  const unit = displayOf(computed.division).symbol;
  const split = computed.common.length > 0;
  const { parts, balance } = computed.totals;
  const rows = computed.cups
    .filter((c) => c.balance.mixed > 0)
    .map((cup): TableCell[] => [
      cupCell(cup),
      right(cup.mixes.length),
      ...balanceCells(cup.balance, sheet),
      ...(split
        ? [right(g(cup.weighings.find((w) => w.key === PORTION)?.weight ?? 0, sheet))]
        : parts.map((p) => right(partOf(cup, p.key)))),
      { text: printable(coloursOf(cup)) }
    ]);
  const all: TableCell[] = [
    { text: 'all', bold: true },
    '',
    ...balanceCells(balance, sheet),
    ...(split ? [''] : parts.map((p) => right(g(p.grams, sheet), true))),
    ''
  ];
  const partHeads = (split ? ['of the mix'] : parts.map((p) => p.name)).map((name): [string, 'right'] => [
    name,
    'right'
  ]);
  return {
    margin: [0, 16, 0, 0],
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: [110, ...Array<string>(5 + partHeads.length).fill('auto'), '*'],
      body: [
        headCells(
          ['cup'],
          ['mixes', 'right'],
          ['poured', 'right'],
          ['clings, stays', 'right'],
          ['left', 'right'],
          [`mixed, ${unit}`, 'right'],
          ...partHeads,
          ['colour']
        ),
        ...rows,
        all
      ]
    },
    layout: RULED
  };
}

/** What becomes of a cup: poured, stays behind, left over, and all of it as mixed. */
const balanceCells = (b: Cup['balance'], sheet: Sheet): TableCell[] => [
  right(g(b.poured, sheet)),
  right(g(b.clings + b.vessel, sheet)),
  right(g(Math.max(0, b.left), sheet)),
  right(g(b.mixed, sheet), true)
];

/** What the one mix is made of, where cups are split from it. */
function common({ computed }: Sheet): Content[] {
  if (!computed.common.length) return [];
  const turns = computed.common.length > 1 ? `, mixed ${computed.common.length} times` : '';
  const parts = computed.totals.parts.map((p) => `${weighing(p.grams, computed.division)} ${p.name}`);
  return [{ text: `The mix${turns}: ${parts.join(', ')}.`, margin: [0, 10, 0, 0] }];
}
