import { redirect, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { metricWords } from '$core/quantity';
import { Fault } from '$lib/server/database';
import {
  COOKIE,
  hasPassphrase,
  isInvited,
  isLoopback,
  isOurs,
  isSignedIn,
  takePassphrase
} from './lib/server/access';
import { log } from '$lib/server/log';
import { problem } from './lib/server/http/body';
import { refuse } from './lib/server/http/respond';
import { endStreams } from '$lib/server/shutdown';
import { closeStore, store } from '$lib/server/store';

const HOST = process.env.HOST ?? '127.0.0.1';
/** Anyone on the network could reach it: everyone signs in. */
const OPEN = !isLoopback(HOST);

export const init: ServerInit = async () => {
  const opened = await store();
  if (OPEN && process.env.KIRAPEN_PASSPHRASE) await takePassphrase(opened, process.env.KIRAPEN_PASSPHRASE);
  if (OPEN && !(await hasPassphrase(opened))) {
    await closeStore();
    throw Object.assign(new Error(`Listening on ${HOST}, anyone on the network could open this workshop.`), {
      mend: 'Set a passphrase first: npm run passphrase (or start with KIRAPEN_PASSPHRASE=…). Without HOST it stays on this machine.'
    });
  }
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

/** What anyone may see: how to sign in, and nothing of the workshop. */
const PUBLIC = new Set(['/sign-in']);

export const handle: Handle = async ({ event, resolve }) => {
  const { request, url } = event;
  if (!isOurs(request.headers.get('host'), HOST, process.env.KIRAPEN_HOSTS) || !isInvited(request, url))
    return refuse(
      [problem('uninvited', 'This request comes from a page elsewhere.', 'Open Kirapen at its own address.')],
      403
    );
  if (OPEN && !PUBLIC.has(url.pathname) && !(await signedIn(event))) {
    if (url.pathname.startsWith('/api/'))
      return refuse([problem('signed-out', 'Nobody is signed in here.', 'Sign in, then try again.')], 401);
    redirect(303, `/sign-in?then=${encodeURIComponent(url.pathname + url.search)}`);
  }
  const response = await resolve(event);
  return url.pathname.startsWith('/api/') ? metric(faultInWords(event, response)) : response;
};

const signedIn = async (event: Parameters<Handle>[0]['event']): Promise<boolean> =>
  isSignedIn(await store(), event.cookies.get(COOKIE), Date.now());

/** What the core says, in metric words: other programs read sentences, not messages. */
async function metric(response: Response): Promise<Response> {
  if (!response.headers.get('content-type')?.startsWith('application/json')) return response;
  const text = metricWords(await response.text());
  const headers = new Headers(response.headers);
  headers.delete('content-length');
  return new Response(text, { status: response.status, statusText: response.statusText, headers });
}

const STATUS: Record<Fault['code'], number> = {
  'disk-full': 507,
  'store-readonly': 503,
  'not-readable': 503,
  'copy-failed': 500,
  'took-too-long': 503,
  'too-busy': 503
};

/** A fault, as problems in words: the store's own, a body that was too large, or a fault of the program. */
function faultInWords(event: Parameters<Handle>[0]['event'], response: Response): Response {
  const { fault } = event.locals;
  if (fault) return refuse([problem(fault.code, fault.message, fault.mend)], STATUS[fault.code]);
  if (response.status === 413)
    return refuse([problem('too-large', 'That is larger than anything here.', 'Send it in parts.')], 413);
  if (response.status === 500 && !event.isSubRequest)
    return refuse(
      [problem('went-wrong', 'Something went wrong here; nothing was changed.', 'Try again in a moment.')],
      500
    );
  return response;
}

export const handleError: HandleServerError = ({ event, error, status, message }) => {
  if (error instanceof Fault) {
    event.locals.fault = error;
    log.warn(error.message);
    return { message: error.message, mend: error.mend };
  }
  if (status >= 500) log.error(error);
  return { message, mend: 'Nothing was lost. Go back, or reload the page.' };
};
