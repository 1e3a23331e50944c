import { onChange } from '$lib/server/changes';
import { eventsSince, runExists } from '$lib/server/database';
import { devicesOf, enter } from '$lib/server/present';
import { notHere } from '../../../../../../lib/server/http/respond';
import { askWhoIsThere, noteWhoIsThere, store } from '$lib/server/store';
import { eventStream } from '../../../../../../lib/server/http/stream';

/** A run as it goes on: events as they are stored (after the last one that was told), and which devices have it open. */
export const GET = async ({ params, url, request }) => {
  const { db } = await store();
  if (!(await runExists(db, params.id))) return notHere('run', params.id);
  await askWhoIsThere();
  const device = (url.searchParams.get('device') ?? 'a device').slice(0, 80);
  let told = Number(request.headers.get('last-event-id')) || 0;
  return eventStream(request.signal, (tell) => {
    // One reading at a time, so that nothing is told twice or out of order.
    let reading = Promise.resolve();
    const more = () => {
      reading = reading
        .then(async () => {
          const { events, last } = await eventsSince((await store()).db, params.id, told);
          if (!events.length) return;
          told = last;
          tell({ event: 'events', id: last, data: events });
        })
        .catch(() => undefined);
    };
    const unlisten = onChange((change) => {
      if (change.kind === 'runs' && change.id === params.id) more();
    });
    const leave = enter(params.id, device, () => tell({ event: 'present', data: devicesOf(params.id) }));
    noteWhoIsThere(params.id);
    more();
    return () => {
      unlisten();
      leave();
      noteWhoIsThere(params.id);
    };
  });
};
