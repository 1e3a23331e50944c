import Papa from 'papaparse';
import type { z } from 'zod';
import { Scale } from '../dosing';
import { Colourant } from '../material';
import { fail, ok, type Problem, type Result } from '../problem';
import { problemsOf } from '../validate';
import { unmarked } from './formula';
import { Lot } from './lot';
import { TABLE_FIELDS, type TableField, type TableKind } from './table-fields';
import { Vessel } from './vessel';

const SCHEMAS: Record<TableKind, z.ZodType> = {
  colourants: Colourant,
  vessels: Vessel,
  scales: Scale,
  lots: Lot
};

/** More rows than any shelf has. */
const MOST_ROWS = 2000;

/** Which column, by its place, fills which field. */
export type Mapping = Record<string, number>;

/** A row as it was read: the card it makes, or what is wrong with it. Its line is that of the file, from 1. */
export interface TableRow {
  line: number;
  name: string;
  card?: unknown;
  problems: Problem[];
}

/** A table that was read: its columns, which fill what, and what each row makes. */
export interface ReadTable {
  columns: string[];
  mapping: Mapping;
  rows: TableRow[];
}

/** What a table is read with: ids for new cards, today, and the colourants that lots may be of. */
export interface TableAt {
  idOf: (line: number) => string;
  today: number;
  colourants: readonly { id: string; name: string }[];
}

const fits = (heading: string, field: TableField): boolean => {
  const plain = heading
    .toLowerCase()
    .replace(/[^a-z]+/g, ' ')
    .trim();
  const names = [field.key, field.words.replace(/,.*$/, ''), ...(field.also ?? [])];
  return names.some(
    (n) =>
      n
        .toLowerCase()
        .replace(/[^a-z]+/g, ' ')
        .trim() === plain
  );
};

/** The columns of a table that say by their heading what they hold. */
export const guessMapping = (kind: TableKind, columns: readonly string[]): Mapping =>
  Object.fromEntries(
    TABLE_FIELDS[kind].flatMap((f) => {
      const at = columns.findIndex((c) => fits(c, f));
      return at < 0 ? [] : [[f.key, at]];
    })
  );

/**
 * Reads a CSV (comma, semicolon or tab; a heading first) into cards of a kind: each row a card, or its problems in words. Nothing
 * is stored here; a table with one bad row is meant to be stored not at all.
 */
export function readTable(kind: TableKind, text: string, at: TableAt, mapping?: Mapping): Result<ReadTable> {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [columns, ...rows] = parsed.data;
  if (!columns || columns.length < 2 || !rows.length)
    return fail({
      code: 'table-empty',
      path: '',
      sentence:
        'That is no table: a line of headings and at least one row are wanted, with commas, semicolons or tabs between.',
      mend: 'Export it as CSV from where it stands, headings included.'
    });
  if (rows.length > MOST_ROWS)
    return fail({
      code: 'too-big',
      path: '',
      sentence: `The table has ${rows.length} rows; ${MOST_ROWS} are the most at once.`,
      mend: 'Bring it in in parts.'
    });
  const fill = mapping ?? guessMapping(kind, columns);
  return ok({
    columns,
    mapping: fill,
    rows: rows.map((cells, i) => rowOf(kind, cells, { line: i + 2, fill, at }))
  });
}

function rowOf(
  kind: TableKind,
  cells: readonly string[],
  { line, fill, at }: { line: number; fill: Mapping; at: TableAt }
): TableRow {
  const problems: Problem[] = [];
  const wrong = (key: string, sentence: string, mend: string) =>
    problems.push({
      code: 'table-cell',
      level: 'stop',
      path: `rows/${line}/${key}`,
      sentence: `Line ${line}: ${sentence}`,
      mend
    });
  const read: Record<string, unknown> = {};
  for (const field of TABLE_FIELDS[kind]) {
    const place = fill[field.key];
    const cell = place === undefined ? '' : (cells[place] ?? '').trim();
    if (!cell) {
      if (field.needed)
        wrong(
          field.key,
          `${field.words.replace(/,.*$/, '')} is missing.`,
          'Fill the cell, or choose its column.'
        );
      continue;
    }
    const value = cellOf(field, cell);
    if (value === undefined)
      wrong(field.key, `“${cell}” is no ${NOUN[field.read]}.`, `Write it as ${EXAMPLE[field.read]}.`);
    else read[field.key] = value;
  }
  const name = typeof read.name === 'string' ? read.name : '';
  if (problems.length) return { line, name, problems };
  const card = cardOf(kind, read, { line, at, wrong });
  if (!card) return { line, name, problems };
  const checked = SCHEMAS[kind].safeParse(card);
  return checked.success
    ? { line, name, card: checked.data, problems: [] }
    : {
        line,
        name,
        problems: problemsOf(checked.error).map((p) => ({ ...p, sentence: `Line ${line}: ${p.sentence}` }))
      };
}

type Read = TableField['read'];

const NOUN: Record<Read, string> = { text: 'text', number: 'number', colour: 'colour', day: 'day' };
const EXAMPLE: Record<Read, string> = { text: 'words', number: '12.5', colour: '#4a6b7c', day: '2026-12-24' };

function cellOf(field: TableField, cell: string): unknown {
  switch (field.read) {
    case 'number': {
      // One comma without a point is a decimal comma.
      const plain = /^[^.,]*,[^.,]*$/.test(cell) ? cell.replace(',', '.') : cell;
      const value = Number(plain.replace(/\s|%$/g, ''));
      return Number.isFinite(value) ? value : undefined;
    }
    case 'colour':
      return /^#?[0-9a-f]{6}$/i.test(cell) ? `#${cell.replace('#', '').toLowerCase()}` : undefined;
    case 'day': {
      const time = /^\d{4}-\d{2}-\d{2}$/.test(cell) ? Date.parse(`${cell}T12:00:00Z`) : NaN;
      return Number.isNaN(time) ? undefined : time;
    }
    case 'text':
      return unmarked(cell);
  }
}

/** A card of what was read, with what every new card of its kind begins with. */
function cardOf(
  kind: TableKind,
  read: Record<string, unknown>,
  {
    line,
    at,
    wrong
  }: { line: number; at: TableAt; wrong: (key: string, sentence: string, mend: string) => void }
): Record<string, unknown> | undefined {
  const id = at.idOf(line);
  switch (kind) {
    case 'colourants':
      return { pigmentFraction: 1, carrier: 'none', ...read, id };
    case 'vessels':
      return { loss: 2, ...read, id };
    case 'scales':
      return { ...read, id };
    case 'lots': {
      const { colourant, ...rest } = read;
      const wanted = String(colourant).toLowerCase();
      const found = at.colourants.find((c) => c.name.toLowerCase() === wanted);
      if (!found) {
        wrong(
          'colourant',
          `no colourant is called “${String(colourant)}”.`,
          'Write its name as it stands under Colours.'
        );
        return undefined;
      }
      return { boughtAt: at.today, ...rest, id, of: { kind: 'colourant', colourantId: found.id } };
    }
  }
}
