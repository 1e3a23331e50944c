import { resolve as resolvePath } from 'node:path';
import { redirect, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { metricWords } from '$core/quantity';
import { Fault, faultOfRead } from '$lib/server/database';
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
import { isRestore, limited, mostOf, saysMore } from './lib/server/http/limits';
import { ADDRESS, closeStore, gate, store } from '$lib/server/store';

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

/**
 * Comes in with everybody else, and out when the answer is there. A restore waits for all of them, so it is not one itself: what
 * it reads before is read by `signedIn`, inside.
 */
async function inside<T>(alone: boolean, work: () => T | Promise<T>): Promise<T> {
  const leave = alone ? undefined : await gate.enter();
  try {
    return await work();
  } finally {
    leave?.();
  }
}

export const handle: Handle = async ({ event, resolve }) => {
  const { request, url } = event;
  if (!isOurs(request.headers.get('host'), HOST, process.env.KIRAPEN_HOSTS) || !isInvited(request, url))
    return refuse(
      [problem('uninvited', 'This request comes from a page elsewhere.', 'Open Kirapen at its own address.')],
      403
    );
  const known = !OPEN || (await inside(false, () => signedIn(event)));
  const most = mostOf(request, url, known);
  if (saysMore(request, most)) return tooLarge();
  event.request = limited(request, most);
  if (!known && !PUBLIC.has(url.pathname)) {
    if (url.pathname.startsWith('/api/'))
      return refuse([problem('signed-out', 'Nobody is signed in here.', 'Sign in, then try again.')], 401);
    redirect(303, `/sign-in?then=${encodeURIComponent(url.pathname + url.search)}`);
  }
  const response = await inside(isRestore(request, url), () => resolve(event));
  if (!url.pathname.startsWith('/api/')) return response;
  return guarded(await headOf(request, await metric(faultInWords(event, response))));
};

/** What a HEAD asks for ends with its headers, a stream too. */
async function headOf({ method }: Request, response: Response): Promise<Response> {
  if (method !== 'HEAD' || !response.body) return response;
  await response.body.cancel();
  return new Response(null, response);
}

/** Nothing that is answered as data is a page: opened by itself it runs nothing, loads nothing and may do nothing. */
function guarded(response: Response): Response {
  // A viewer of PDF files is no script of theirs, and a sandbox keeps it from opening.
  const isPdf = response.headers.get('content-type') === 'application/pdf';
  response.headers.set(
    'content-security-policy',
    `default-src 'none'; frame-ancestors 'none'${isPdf ? '' : '; sandbox'}`
  );
  return response;
}

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

const tooLarge = (): Response =>
  refuse([problem('too-large', 'That is larger than anything here.', 'Send it in parts.')], 413);

const STATUS: Record<Fault['code'], number> = {
  'disk-full': 507,
  'store-readonly': 503,
  'not-readable': 503,
  'copy-failed': 500,
  'took-too-long': 503,
  'too-busy': 503,
  'file-gone': 503,
  unreachable: 503,
  'no-backup': 422,
  'if-match-unreadable': 400,
  'id-taken': 409
};

/** A fault, as problems in words: the store's own, a body that was too large, or a fault of the program. */
function faultInWords(event: Parameters<Handle>[0]['event'], response: Response): Response {
  const { fault } = event.locals;
  if (fault) return refuse([problem(fault.code, unplaced(fault.message), fault.mend)], STATUS[fault.code]);
  if (response.status === 413) return tooLarge();
  if (response.status === 500 && !event.isSubRequest)
    return refuse(
      [problem('went-wrong', 'Something went wrong here; nothing was changed.', 'Try again in a moment.')],
      500
    );
  return response;
}

/** A sentence without where things lie on this machine: that is in its log. */
const unplaced = (sentence: string): string =>
  sentence.replaceAll(resolvePath(ADDRESS), 'of the workshop').replaceAll(process.cwd(), '…');

export const handleError: HandleServerError = ({ event, error, status, message }) => {
  const fault = faultOfRead(error);
  if (fault) {
    event.locals.fault = fault;
    log.warn(fault.message);
    return { message: unplaced(fault.message), mend: fault.mend };
  }
  if (status >= 500) log.error(error);
  return { message, mend: 'Nothing was lost. Go back, or reload the page.' };
};
