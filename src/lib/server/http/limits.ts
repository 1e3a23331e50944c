import { error } from '@sveltejs/kit';

/** Most bytes of a body that is no restore: photos and the largest documents are under it. */
const USUAL = 64_000_000;
/** Of those who are not let in yet: a passphrase, and room to spare. */
const UNKNOWN = 8_000;

/** Restores are laid on the disk as they come, however large. */
const RESTORES = new Set(['/api/v1/backup', '/api/v1/archive']);

/** Whether a request sends a whole workshop. */
export const isRestore = ({ method }: Request, { pathname }: URL): boolean =>
  method === 'POST' && RESTORES.has(pathname);

/** How many bytes a request may send. */
export function mostOf(request: Request, url: URL, letIn: boolean): number {
  if (!letIn) return UNKNOWN;
  return isRestore(request, url) ? Infinity : USUAL;
}

/** Whether a request says itself that it sends more. */
export const saysMore = (request: Request, most: number): boolean =>
  Number(request.headers.get('content-length') ?? 0) > most;

/** The same request, which ends in an error as soon as it has sent more; one that says how much it sends is held to that already. */
export function limited(request: Request, most: number): Request {
  if (!request.body || request.headers.has('content-length') || !Number.isFinite(most)) return request;
  const init: RequestInit & { duplex: 'half' } = { body: counted(request.body, most), duplex: 'half' };
  return new Request(request, init);
}

/** The same pieces up to so many bytes, then an error. What comes after that is not read: the connection stands for the answer. */
function counted(body: ReadableStream<Uint8Array>, most: number): ReadableStream<Uint8Array> {
  const reader = body.getReader();
  let left = most;
  return new ReadableStream({
    async pull(out) {
      const { done, value } = await reader.read();
      if (done) return out.close();
      left -= value.length;
      if (left < 0) error(413, 'Payload Too Large');
      out.enqueue(value);
    }
  });
}
