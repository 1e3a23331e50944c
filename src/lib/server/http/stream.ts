import { onStop } from '../shutdown';

/** A message of an event stream. */
export interface StreamMessage {
  event?: string;
  id?: number;
  data: unknown;
}

/** How often a quiet stream says that it is there, ms: proxies and phones close what is silent. */
const ALIVE_MS = 20_000;

/**
 * An answer that stays open and tells what happens. `begin` gets what to tell with, and returns what ends it; it ends
 * with the request, or when the server stops.
 */
export function eventStream(
  signal: AbortSignal,
  begin: (tell: (message: StreamMessage) => void) => () => void
): Response {
  let finish: () => void = () => undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const encoder = new TextEncoder();
      const write = (text: string) => {
        try {
          controller.enqueue(encoder.encode(text));
        } catch {
          finish();
        }
      };
      const end = begin(({ event, id, data }) =>
        write(
          `${event ? `event: ${event}\n` : ''}${id === undefined ? '' : `id: ${id}\n`}data: ${JSON.stringify(data)}\n\n`
        )
      );
      const alive = setInterval(() => write(': here\n\n'), ALIVE_MS);
      const forget = onStop(() => finish());
      let over = false;
      finish = () => {
        if (over) return;
        over = true;
        clearInterval(alive);
        forget();
        end();
        try {
          controller.close();
        } catch {
          // The other side closed it first.
        }
      };
      signal.addEventListener('abort', () => finish());
      write('retry: 1500\n\n');
    },
    cancel: () => finish()
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' }
  });
}
