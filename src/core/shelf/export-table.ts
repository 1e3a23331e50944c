import Papa from 'papaparse';
import { MARKED } from './formula';
import { TABLE_FIELDS, type TableKind } from './table-fields';

/** What a table is written from: cards of its kind, and the colourants that lots may be of. */
interface Written {
  cards: readonly Record<string, unknown>[];
  colourants: readonly { id: string; name: string }[];
}

/**
 * Cards of a kind as CSV, with the columns by which a table is read again: a card that comes back is the same in all of them.
 * Lots of bases and leftovers have no column for what they are of and are left out.
 */
export function tableOf(kind: TableKind, { cards, colourants }: Written): string {
  const fields = TABLE_FIELDS[kind].map((f) => f.key);
  const nameOf = new Map(colourants.map((c) => [c.id, c.name]));
  const data = cards.flatMap((card) => {
    const of = card.of as { kind?: string; colourantId?: string } | undefined;
    if (kind === 'lots' && of?.kind !== 'colourant') return [];
    return [
      TABLE_FIELDS[kind].map((f) => {
        const value = f.key === 'colourant' ? nameOf.get(of?.colourantId ?? '') : card[f.key];
        if (value === undefined) return '';
        return f.read === 'day'
          ? new Date(value as number).toISOString().slice(0, 10)
          : String(value as string | number);
      })
    ];
  });
  return Papa.unparse({ fields, data }, { escapeFormulae: MARKED, newline: '\r\n' }) + '\r\n';
}
