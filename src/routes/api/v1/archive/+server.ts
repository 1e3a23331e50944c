import { json } from '@sveltejs/kit';
import { countsOf } from '$lib/server/database';
import { problem } from '../../../../lib/server/http/body';
import { refuse } from '../../../../lib/server/http/respond';
import { withUpload } from '../../../../lib/server/http/to-disk';
import { ADDRESS, putArchiveInPlace, store } from '$lib/server/store';
import { inThread } from '../../../../lib/server/workers';

/** Everything in open formats: one ZIP of JSON Lines, photos and a manifest with checksums. */
export const GET = async () => {
  await store();
  const day = new Date().toISOString().slice(0, 10);
  const zip = await inThread('archive', { address: ADDRESS, now: Date.now() });
  return new Response(new Uint8Array(zip), {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="kirapen-${day}.zip"`
    }
  });
};

/** Puts an archive in the place of everything, whole or not at all; with `?preview` it only says what it holds. */
export const POST = ({ request, url }) =>
  withUpload(request, async (path, aside) => {
    const read = await inThread('readArchive', { path, aside });
    if (!read.ok) return refuse([problem('no-backup', read.sentence, read.mend)]);
    if (!url.searchParams.has('preview')) await putArchiveInPlace(read.archive);
    return json({ counts: countsOf(read.archive) });
  });
