import { withUpload } from '../../../../lib/server/http/to-disk';
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
export const POST = ({ request, url }) =>
  withUpload(request, async (path) =>
    Response.json(await (url.searchParams.has('preview') ? previewRestore(path) : restore(path)))
  );
