import { ADDRESS } from '$lib/server/store';
import { inThread } from '../../../../lib/server/workers';

/** The record, a row a piece, as CSV. */
export const GET = async () =>
  new Response(await inThread('record', { address: ADDRESS }), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="kirapen-record.csv"'
    }
  });
