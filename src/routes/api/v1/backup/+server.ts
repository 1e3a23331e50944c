import { problem } from '../../../../lib/server/http/body';
import { refuse } from '../../../../lib/server/http/respond';
import { previewRestore, restore, wholeCopy } from '$lib/server/store';

/** Everything as one file: a database that can be restored here, or opened by any SQLite. */
export const GET = async () => {
  const day = new Date().toISOString().slice(0, 10);
  return new Response(new Uint8Array(await wholeCopy()), {
    headers: {
      'content-type': 'application/vnd.sqlite3',
      'content-disposition': `attachment; filename="kirapen-${day}.db"`
    }
  });
};

/** Puts a backup in the place of everything; with `?preview` it only says what the backup holds. */
export const POST = async ({ request, url }) => {
  const bytes = new Uint8Array(await request.arrayBuffer());
  if (!bytes.length)
    return refuse([problem('not-readable', 'No file came.', 'Choose a backup that was downloaded here.')]);
  return url.searchParams.has('preview')
    ? Response.json(await previewRestore(bytes))
    : Response.json(await restore(bytes));
};
