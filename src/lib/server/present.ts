/** Devices that have each run open, counted by their streams: a tab may have reconnected before its old one ended. */
const present = new Map<string, Map<string, number>>();
const listeners = new Map<string, Set<() => void>>();

const tell = (run: string) => {
  for (const listener of [...(listeners.get(run) ?? [])]) listener();
};

/** The devices that have a run open. */
export const devicesOf = (run: string): string[] => [...(present.get(run)?.keys() ?? [])];

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
