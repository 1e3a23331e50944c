/** Kinds of card that a table can bring in. */
export const TABLE_KINDS = ['colourants', 'vessels', 'scales', 'lots'] as const;
export type TableKind = (typeof TABLE_KINDS)[number];

/** How a cell is read. */
type Read = 'text' | 'number' | 'colour' | 'day';

/** A field that a column can fill. */
export interface TableField {
  key: string;
  words: string;
  read: Read;
  needed?: boolean;
  /** Other headings it is recognised by. */
  also?: readonly string[];
}

/** Fields of each kind, in the order they are shown. Lots take the thing they are of from a colourant's name. */
export const TABLE_FIELDS: Record<TableKind, readonly TableField[]> = {
  colourants: [
    { key: 'name', words: 'name', read: 'text', needed: true, also: ['colourant', 'pot'] },
    { key: 'form', words: 'form', read: 'text', needed: true, also: ['kind', 'type'] },
    { key: 'colour', words: 'colour, #rrggbb', read: 'colour', needed: true, also: ['color', 'hex'] },
    {
      key: 'pigmentFraction',
      words: 'pigment, 0 to 1',
      read: 'number',
      also: ['pigment fraction', 'fraction']
    },
    { key: 'carrier', words: 'carrier', read: 'text' },
    { key: 'limit', words: 'limit, %', read: 'number', also: ['most'] },
    { key: 'strength', words: 'strength', read: 'number' },
    { key: 'notes', words: 'notes', read: 'text', also: ['note'] }
  ],
  vessels: [
    { key: 'name', words: 'name', read: 'text', needed: true, also: ['vessel', 'cup'] },
    { key: 'ml', words: 'holds, ml', read: 'number', needed: true, also: ['volume', 'holds'] },
    { key: 'loss', words: 'keeps, g', read: 'number', also: ['keeps'] },
    { key: 'condition', words: 'condition', read: 'text' }
  ],
  scales: [
    { key: 'name', words: 'name', read: 'text', needed: true, also: ['scale'] },
    { key: 'division', words: 'division, g', read: 'number', needed: true, also: ['step'] },
    { key: 'capacity', words: 'capacity, g', read: 'number', needed: true, also: ['most'] },
    { key: 'condition', words: 'condition', read: 'text' }
  ],
  lots: [
    { key: 'name', words: 'name', read: 'text', needed: true, also: ['lot'] },
    { key: 'colourant', words: 'colourant, by name', read: 'text', needed: true, also: ['of', 'pot'] },
    { key: 'grams', words: 'holds, g', read: 'number', needed: true, also: ['size', 'weight'] },
    { key: 'price', words: 'price', read: 'number' },
    { key: 'tax', words: 'tax', read: 'number' },
    { key: 'carriage', words: 'carriage', read: 'number', also: ['shipping'] },
    { key: 'boughtAt', words: 'bought, yyyy-mm-dd', read: 'day', also: ['bought'] },
    { key: 'useBy', words: 'use by, yyyy-mm-dd', read: 'day', also: ['use by', 'expires'] },
    { key: 'place', words: 'stands', read: 'text' }
  ]
};
