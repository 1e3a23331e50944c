import { json } from '@sveltejs/kit';
import { countsOf, restoreArchive } from '$lib/server/database';
import { problem } from '../../../../lib/server/http/body';
import { taughtByRuns } from '../../../../lib/server/learned-history';
import { refuse } from '../../../../lib/server/http/respond';
import { ADDRESS, store } from '$lib/server/store';
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
export const POST = async ({ request, url }) => {
  const bytes = new Uint8Array(await request.arrayBuffer());
  if (!bytes.length)
    return refuse([problem('not-readable', 'No file came.', 'Choose an archive that was downloaded here.')]);
  const read = await inThread('readArchive', { bytes });
  if (!read.ok) return refuse([problem('not-readable', read.sentence, read.mend)]);
  if (!url.searchParams.has('preview')) {
    await restoreArchive(await store(), read.archive, Date.now());
    taughtByRuns.clear();
  }
  return json({ counts: countsOf(read.archive) });
};
