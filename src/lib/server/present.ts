import { isDeepStrictEqual } from 'node:util';

/** Devices that have each run open here, counted by their streams: a tab may have reconnected before its old one ended. */
const present = new Map<string, Map<string, number>>();
const listeners = new Map<string, Set<() => void>>();
/** Devices that have each run open at other servers of the same database. */
let elsewhere: ReadonlyMap<string, readonly string[]> = new Map();

const tell = (run: string) => {
  for (const listener of [...(listeners.get(run) ?? [])]) listener();
};

/** The devices that have a run open, here and at other servers. */
export const devicesOf = (run: string): string[] => [
  ...new Set([...(present.get(run)?.keys() ?? []), ...(elsewhere.get(run) ?? [])])
];

/** Who has which run open here. */
export const devicesHere = (): { runId: string; device: string }[] =>
  [...present].flatMap(([runId, devices]) => [...devices.keys()].map((device) => ({ runId, device })));

/** Who has which run open at other servers has changed. */
export function takeElsewhere(now: ReadonlyMap<string, readonly string[]>): void {
  const before = elsewhere;
  elsewhere = now;
  for (const run of listeners.keys())
    if (!isDeepStrictEqual(before.get(run) ?? [], now.get(run) ?? [])) tell(run);
}

/** A device opens a run; `changed` is called whenever someone comes or goes. Returns what ends it. */
export function enter(run: string, device: string, changed: () => void): () => void {
  const devices = present.get(run) ?? new Map<string, number>();
  present.set(run, devices.set(device, (devices.get(device) ?? 0) + 1));
  listeners.set(run, (listeners.get(run) ?? new Set()).add(changed));
  tell(run);
  return () => {
    const left = (devices.get(device) ?? 1) - 1;
    if (left > 0) devices.set(device, left);
    else devices.delete(device);
    if (!devices.size) present.delete(run);
    const others = listeners.get(run);
    others?.delete(changed);
    if (!others?.size) listeners.delete(run);
    tell(run);
  };
}
