import { recordCsv } from '$lib/server/csv';
import { allPieces, listLessons } from '$lib/server/database';
import { store } from '$lib/server/store';

/** The record, a row a piece, as CSV. */
export const GET = async () => {
  const { db } = await store();
  return new Response(recordCsv(await allPieces(db), await listLessons(db)), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="kirapen-record.csv"'
    }
  });
};
