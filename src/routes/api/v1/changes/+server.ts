import { onChange } from '$lib/server/changes';
import { eventStream } from '$lib/server/stream';

/** What is written, as it is written: of one document (`kind` and `id`), of one kind, or of everything. */
export const GET = ({ url, request }) => {
  const kind = url.searchParams.get('kind');
  const id = url.searchParams.get('id');
  return eventStream(request.signal, (tell) =>
    onChange((change) => {
      if ((kind === null || change.kind === kind) && (id === null || change.id === id))
        tell({ data: change });
    })
  );
};
