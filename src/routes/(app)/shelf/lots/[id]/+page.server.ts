import { newId } from '$lib/id';
import { error } from '@sveltejs/kit';
import { formulaOf } from '$core/material';
import type { Lot } from '$core/shelf';
import { findCardRow, listRuns, wholeShelf } from '$lib/server/database';
import { lotBooks } from '../../../../../lib/server/learned-history';
import { store } from '$lib/server/store';

export const load = async ({ params }) => {
  const { db } = await store();
  const shelf = await wholeShelf(db);
  // Everything a lot can be a lot of: the parts of each base, each colourant.
  const things = [
    ...shelf.bases.flatMap((base) => {
      const formula = formulaOf(base);
      return formula.ok
        ? formula.value.parts.map((p) => ({
            name: `${p.name}, ${base.name}`,
            months: base.shelfMonths,
            of: { kind: 'part' as const, baseId: base.id, part: p.key }
          }))
        : [];
    }),
    ...shelf.colourants.map((c) => ({
      name: c.name,
      months: c.shelfMonths,
      of: { kind: 'colourant' as const, colourantId: c.id }
    }))
  ];
  if (params.id === 'new') {
    const first = things[0];
    const blank: Lot = {
      id: newId(),
      name: '',
      of: first?.of ?? { kind: 'leftover', material: 'gypsum', colour: '#cfc8b8', density: 1.75 },
      grams: 1000,
      price: 0,
      tax: 0,
      carriage: 0,
      boughtAt: Date.now(),
      place: ''
    };
    return { card: blank, revision: undefined, things, book: undefined, runs: {} };
  }
  const found = await findCardRow(db, 'lots', params.id);
  if (!found) error(404, { message: 'This lot is not on the shelf.', mend: 'See the shelf for what is.' });
  const book = (await lotBooks(db, shelf, Date.now())).find((b) => b.lot.id === found.card.id);
  const asked = new Set(book?.entries.flatMap((e) => ('runId' in e.by ? (e.by.runId ?? []) : [])));
  const runs = Object.fromEntries(
    (await listRuns(db)).filter((r) => asked.has(r.id)).map((r) => [r.id, r.name])
  );
  return { card: found.card, revision: found.revision, things, book, runs };
};
