/** What an event stream tells: by the name of the event, its data as text. */
export type Heard = (event: string, data: string) => void;

/**
 * Listens to an event stream of this server. The browser connects again by itself; a page that is left lets its
 * connection go (a browser keeps six to one server, and a page in its history would hold one), and takes it up again
 * when it is come back to. Returns what ends it.
 */
export function stream(
  address: string,
  events: readonly string[],
  heard: Heard,
  lost?: () => void
): () => void {
  let source: EventSource | undefined;
  const open = () => {
    if (source) return;
    source = new EventSource(address);
    for (const event of events) source.addEventListener(event, (m) => heard(event, (m as MessageEvent).data));
    source.onerror = () => lost?.();
  };
  const close = () => {
    source?.close();
    source = undefined;
  };
  open();
  window.addEventListener('pagehide', close);
  window.addEventListener('pageshow', open);
  return () => {
    window.removeEventListener('pagehide', close);
    window.removeEventListener('pageshow', open);
    close();
  };
}
