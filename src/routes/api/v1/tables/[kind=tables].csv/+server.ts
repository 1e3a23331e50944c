import { tableOf, type TableKind } from '$core/shelf';
import { listCards } from '$lib/server/database';
import { store } from '$lib/server/store';

/** Cards of a kind as a table, with the columns by which it is read again. */
export const GET = async ({ params }) => {
  const { db } = await store();
  const kind = params.kind as TableKind;
  const [cards, colourants] = await Promise.all([listCards(db, kind), listCards(db, 'colourants')]);
  return new Response(tableOf(kind, { cards: cards as unknown as Record<string, unknown>[], colourants }), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="kirapen-${kind}.csv"`
    }
  });
};
