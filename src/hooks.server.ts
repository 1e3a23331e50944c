import type { HandleServerError, ServerInit } from '@sveltejs/kit';
import { log } from '$lib/server/log';
import { endStreams } from '$lib/server/shutdown';
import { closeStore, store } from '$lib/server/store';

export const init: ServerInit = async () => {
  const opened = await store();
  if (process.env.KIRAPEN_DEMO === '1') {
    const { loadDemo } = await import('$lib/server/demo');
    if (await loadDemo(opened, Date.now())) log.info('demo workshop loaded');
  }
  // server.js raises this on SIGTERM and SIGINT, before it stops taking connections.
  process.once('kirapen:stop' as never, async () => {
    endStreams();
    await closeStore();
    process.emit('kirapen:stopped' as never);
  });
};

export const handleError: HandleServerError = ({ error, status, message }) => {
  if (status >= 500) log.error(error);
  return { message, mend: 'Nothing was lost. Go back, or reload the page.' };
};
