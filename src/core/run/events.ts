import { z } from 'zod';

const base = {
  /** Made on the device, so that sending twice stores once. */
  id: z.string().min(8).max(80),
  /** When it happened by the device's clock, ms since 1970. */
  at: z.number().int().nonnegative()
};
const grams = z.number().nonnegative('cannot be less than nothing').max(500_000);
const text = z.string().trim().min(1, 'needs some words').max(2000);
const task = z.string().min(1).max(140);

/** What can happen in a run. The list only ever grows; what is shown is folded from it. */
export const RunEvent = z.discriminatedUnion('type', [
  /** A part or colourant is in the cup. */
  z.object({ ...base, type: z.literal('weighed'), task, grams }),
  /** More of a part that was already in. */
  z.object({ ...base, type: z.literal('added'), task, grams }),
  /** Any other task is done; a pour may say what it took in all, g. */
  z.object({ ...base, type: z.literal('done'), task, grams: grams.optional() }),
  z.object({ ...base, type: z.literal('skipped'), task }),
  /** What the hand says of the layer in a group. */
  z.object({ ...base, type: z.literal('reported'), groupId: z.string(), state: z.string().max(40) }),
  /** The cup stays as it is, off its ratio; nothing more is scaled or topped up for it. */
  z.object({ ...base, type: z.literal('accepted'), cupId: z.string() }),
  /** What is left over in a cup once everything is poured, weighed. */
  z.object({ ...base, type: z.literal('left'), cupId: z.string(), grams }),
  z.object({ ...base, type: z.literal('note'), text }),
  z.object({ ...base, type: z.literal('problem'), text }),
  z.object({ ...base, type: z.literal('undone'), event: z.string() }),
  z.object({ ...base, type: z.literal('finished') })
]);
export type RunEvent = z.infer<typeof RunEvent>;

/**
 * The events that count, in the order they happened: by the device's clock, then by id; each id once;
 * without those undone and the undoings themselves. The same set gives the same list, however it arrived.
 */
export function effective(events: readonly RunEvent[]): RunEvent[] {
  const once = new Map(events.map((e) => [e.id, e]));
  const undone = new Set<string>();
  for (const e of once.values()) if (e.type === 'undone') undone.add(e.event);
  return [...once.values()]
    .filter((e) => e.type !== 'undone' && !undone.has(e.id))
    .sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
}
