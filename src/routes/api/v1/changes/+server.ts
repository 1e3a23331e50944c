import { onChange } from '$lib/server/changes';
import { findRow, isDocumentKind } from '$lib/server/database';
import { eventStream } from '../../../../lib/server/http/stream';
import { store } from '$lib/server/store';

/**
 * What is written, as it is written: of one document (`kind` and `id`), of one kind, or of everything. Of one document
 * it begins with the revision that is there, so that a device that was away hears what it missed.
 */
export const GET = async ({ url, request }) => {
  const kind = url.searchParams.get('kind');
  const id = url.searchParams.get('id');
  const { db } = await store();
  return eventStream(request.signal, (tell) => {
    const end = onChange((change) => {
      if ((kind === null || change.kind === kind) && (id === null || change.id === id))
        tell({ data: change });
    });
    if (kind !== null && isDocumentKind(kind) && id !== null)
      findRow(db, kind, id)
        .then((row) => tell({ data: { kind, id, revision: row?.revision ?? 0 } }))
        .catch(() => undefined);
    return end;
  });
};
