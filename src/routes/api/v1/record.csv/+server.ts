import { recordCsv } from '$lib/server/csv';
import { allPieces, listLessons, readRuns } from '$lib/server/database';
import { store } from '$lib/server/store';

/** The record, a row a piece, as CSV. */
export const GET = async () => {
  const { db } = await store();
  const pieces = await allPieces(db);
  const { good } = await readRuns(db, [...new Set(pieces.map((p) => p.run.id))]);
  return new Response(recordCsv(pieces, good, await listLessons(db)), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="kirapen-record.csv"'
    }
  });
};
