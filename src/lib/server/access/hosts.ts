import { hostname } from 'node:os';
import { isIP } from 'node:net';

const LOOPBACK = /^(localhost|127(\.\d{1,3}){3}|::1|0:0:0:0:0:0:0:1)$/i;

/** Whether an address to listen on is this machine's own: nobody else can reach it. */
export const isLoopback = (host: string): boolean => LOOPBACK.test(host.replace(/^\[|\]$/g, ''));

/** The name in a `Host` header, without its port. */
function nameIn(host: string): string {
  const bracketed = /^\[([^\]]+)\](:\d+)?$/.exec(host);
  return (bracketed?.[1] ?? host.replace(/:\d+$/, '')).toLowerCase();
}

/**
 * Whether a request was meant for this server by name. A page elsewhere can make its own name point here (rebinding);
 * an address in figures, this machine's names, and those named in `KIRAPEN_HOSTS` cannot be made to lie.
 */
export function isOurs(host: string | null, listening: string, named: string | undefined): boolean {
  if (!host) return false;
  const name = nameIn(host);
  if (isLoopback(name)) return true;
  const others = (named ?? '').split(',').map((n) => n.trim().toLowerCase());
  if (others.filter(Boolean).includes(name)) return true;
  if (isLoopback(listening)) return false;
  const own = hostname().toLowerCase();
  return isIP(name) !== 0 || name === own || name === `${own}.local`;
}

/**
 * Whether a request comes from a page of this server, or from no page at all (a program, a bookmark). A page elsewhere
 * may only lead here as a plain visit.
 */
export function isInvited(request: Request, url: URL): boolean {
  const origin = request.headers.get('origin');
  if (origin !== null && origin !== url.origin) return false;
  const site = request.headers.get('sec-fetch-site');
  if (site === null || site === 'same-origin' || site === 'none') return true;
  const visit = request.headers.get('sec-fetch-mode') === 'navigate' && request.method === 'GET';
  return visit && request.headers.get('sec-fetch-dest') === 'document' && !url.pathname.startsWith('/api/');
}
