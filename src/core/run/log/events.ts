import { z } from 'zod';
import { Initials } from '../../preferences';
import { tasksAsNow } from '../snapshot/1to2';
import { Task } from '../tasks/task';

/** The first and the last moment an event may claim, ms since 1970: none before this trade had clocks, none past 2100. */
const LAST = Date.UTC(2100, 0, 1);
/** An id made on a device: letters, digits and a few marks, so that it is safe as a key anywhere. */
const EventId = z
  .string()
  .regex(/^[A-Za-z0-9][A-Za-z0-9._:-]{7,79}$/, 'must be 8 to 80 letters, digits, “.”, “_”, “:” or “-”');

const base = {
  /** Made on the device, so that sending twice stores once. */
  id: EventId,
  /** When it happened by the device's clock, ms since 1970. */
  at: z
    .number()
    .int('must be a whole number of milliseconds')
    .nonnegative()
    .max(LAST, 'is past the year 2100'),
  /** Whose hands it was, by their initials. */
  by: Initials.optional()
};
/** Most that one weighing or pour can be, g. */
export const MOST_GRAMS = 500_000;
/** Most letters of a note. */
export const MOST_WORDS = 2000;
const grams = z
  .number()
  .nonnegative('cannot be less than nothing')
  .max(MOST_GRAMS, 'is more than half a tonne');
const text = z
  .string()
  .trim()
  .min(1, 'needs some words')
  .max(MOST_WORDS, `must be at most ${MOST_WORDS} letters`);
const task = z.string().min(1).max(200);
const named = z.string().min(1).max(120);

/** What can happen in a run. The list only ever grows; what is shown is folded from it. */
export const RunEvent = z.discriminatedUnion('type', [
  /** A part or colourant is in the cup. */
  z.object({ ...base, type: z.literal('weighed'), task, grams }),
  /** More of a part that was already in. */
  z.object({ ...base, type: z.literal('added'), task, grams }),
  /** Any other task is done; a pour may say what it took in all, g. A weighing is done so when nothing was read. */
  z.object({ ...base, type: z.literal('done'), task, grams: grams.optional() }),
  z.object({ ...base, type: z.literal('skipped'), task }),
  /** What the hand says of the layer in a group. */
  z.object({ ...base, type: z.literal('reported'), groupId: named, state: z.string().min(1).max(40) }),
  /** What the hand says of a cup. */
  z.object({ ...base, type: z.literal('felt'), cupId: named, state: z.string().min(1).max(40) }),
  /** What a probe reads in a cup or in a cavity of a group, °C. */
  z.object({ ...base, type: z.literal('probed'), of: named, celsius: z.number().min(-40).max(400) }),
  /** A condition of a gate was looked at and found so: the gate's task, and which of its conditions. */
  z.object({ ...base, type: z.literal('checked'), task, condition: z.number().int().min(0).max(20) }),
  /** The mix stays as it is, off its ratio; nothing more is scaled or topped up for it. */
  z.object({ ...base, type: z.literal('accepted'), mixId: named }),
  /** More of a colour went in than was aimed at: everything else of its mix follows it, or it stays that much stronger. */
  z.object({ ...base, type: z.literal('overdosed'), task, way: z.enum(['follow', 'keep']) }),
  /** The mix is begun again: what was in it is lost. */
  z.object({ ...base, type: z.literal('restarted'), mixId: named }),
  /** What is left over in a cup once everything is poured, weighed. */
  z.object({ ...base, type: z.literal('left'), cupId: named, grams }),
  /** A check before the first drop was found so: its id among the first task's. */
  z.object({ ...base, type: z.literal('ticked'), check: named }),
  /** What the thermometer of the room reads, °C. */
  z.object({ ...base, type: z.literal('room'), celsius: z.number().min(-20).max(60) }),
  /** This task is taken next, before those that stand first. */
  z.object({ ...base, type: z.literal('chosen'), task }),
  /** Liquid stirred into a mix that had thickened, g: which part of its formula that is. */
  z.object({ ...base, type: z.literal('rewetted'), mixId: named, part: named, grams }),
  /** Spilled out of a mix, g. */
  z.object({ ...base, type: z.literal('spilled'), mixId: named, grams }),
  /** A mix cannot be used any more: what is in it is lost until it is begun again. */
  z.object({ ...base, type: z.literal('lost'), mixId: named }),
  /** More mixed to the recipe of a mix for what it is short of: each line with its grams. */
  z.object({
    ...base,
    type: z.literal('topped'),
    mixId: named,
    lines: z
      .array(z.object({ key: named, grams }))
      .min(1)
      .max(60)
  }),
  /** Taken out of the cavities of a group again, g in all. */
  z.object({ ...base, type: z.literal('withdrew'), groupId: named, grams }),
  /** Poured by mistake into other cavities than the task says, g in all. */
  z.object({
    ...base,
    type: z.literal('misplaced'),
    task,
    groupId: named,
    grams,
    /** Which cavity of the group, from 1; absent where several were poured into. */
    cavity: z.number().int().min(1).max(1000).optional()
  }),
  /** Something else went in than the task says: what, and which colourant of the shelf where it is one. */
  z.object({ ...base, type: z.literal('swapped'), task, instead: text, colourantId: named.optional() }),
  /** A gesture was made more often than planned. */
  z.object({ ...base, type: z.literal('gestured'), task, times: z.number().int().min(1).max(1000) }),
  /** The plan is another from here on: its tasks, the plan itself, and why. The one begun with stays in the run. */
  z.object({
    ...base,
    type: z.literal('replanned'),
    why: text,
    plan: z.looseObject({ id: z.string(), name: z.string() }),
    tasks: z.array(Task).min(1).max(3000)
  }),
  /** Once more of an act that is done several times, with time between. */
  z.object({ ...base, type: z.literal('repeated'), task }),
  /** Put off until a moment, ms since 1970. */
  z.object({ ...base, type: z.literal('postponed'), task, until: z.number().int().nonnegative().max(LAST) }),
  /** A piece of a group was weighed while it dries, g. */
  z.object({ ...base, type: z.literal('dried'), groupId: named, grams }),
  /** A photo was taken: its id, and of which stage. The picture itself is kept beside the events. */
  z.object({ ...base, type: z.literal('pictured'), photo: EventId, stage: z.string().trim().min(1).max(80) }),
  z.object({ ...base, type: z.literal('note'), text }),
  z.object({ ...base, type: z.literal('problem'), text }),
  z.object({ ...base, type: z.literal('undone'), event: z.string().min(1).max(80) }),
  /** From here on this device conducts; the others follow. */
  z.object({ ...base, type: z.literal('conducts'), device: named }),
  z.object({ ...base, type: z.literal('finished') })
]);
export type RunEvent = z.infer<typeof RunEvent>;

/** The kinds of event this program knows. */
const KINDS = new Set<string>(RunEvent.options.map((o) => o.shape.type.value));

/** Most that an event of a kind not known here may hold, letters of JSON. */
const MOST_LETTERS = 8000;

/** An event of a newer program: kept whole and shown, whatever it says. */
export const OtherEvent = z
  .looseObject({ ...base, type: z.string().min(1).max(40) })
  .refine((e) => !KINDS.has(e.type), 'must be an event of a kind not known here')
  .refine((e) => JSON.stringify(e).length <= MOST_LETTERS, 'is too long to keep');
export type OtherEvent = z.infer<typeof OtherEvent>;

/** Kinds of event that name a mix, and called it a cup until they were told apart. */
const OF_A_MIX = new Set(['accepted', 'restarted', 'rewetted', 'spilled', 'lost', 'topped']);

/** An event as it is written now: what older programs wrote as a cup's is a mix's; the tasks of a changed plan in today's words. */
function asNow(raw: unknown): unknown {
  if (typeof raw !== 'object' || raw === null || !('type' in raw)) return raw;
  if (OF_A_MIX.has(String(raw.type)) && 'cupId' in raw && !('mixId' in raw)) {
    const { cupId: mixId, ...rest } = raw;
    return { ...rest, mixId };
  }
  return raw.type === 'replanned' && 'tasks' in raw ? { ...raw, tasks: tasksAsNow(raw.tasks) } : raw;
}

/** Any event: one this program knows, or one of a newer program. */
export const AnyEvent = z.unknown().transform((given, ctx): RunEvent | OtherEvent => {
  const raw = asNow(given);
  const type = typeof raw === 'object' && raw !== null && 'type' in raw ? String(raw.type) : '';
  const known = KINDS.has(type) || type === '';
  const read = known ? RunEvent.safeParse(raw) : OtherEvent.safeParse(raw);
  if (read.success) return read.data;
  for (const issue of read.error.issues) ctx.addIssue(issue as Parameters<typeof ctx.addIssue>[0]);
  return z.NEVER;
});
export type AnyEvent = RunEvent | OtherEvent;

/** Whether this program knows what an event means. */
export const isKnown = (event: AnyEvent): event is RunEvent => KINDS.has(event.type);

/**
 * The events that count, in the order they happened: by the device's clock, then by id; each id once; without those
 * undone and the undoings themselves (an undoing cannot be undone: do the thing again). The same set gives the same
 * list, however and in whatever order it arrived.
 */
export function eventsInForce<E extends { id: string; at: number; type: string }>(events: readonly E[]): E[] {
  const once = new Map<string, E>();
  for (const e of events) if (!once.has(e.id)) once.set(e.id, e);
  const undone = new Set<string>();
  for (const e of once.values()) if (e.type === 'undone' && 'event' in e) undone.add(String(e.event));
  return [...once.values()]
    .filter((e) => e.type !== 'undone' && !undone.has(e.id))
    .sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
}

/** When a run was finished, by its events; undefined while it goes on. */
export const finishOf = (events: readonly AnyEvent[]): number | undefined =>
  eventsInForce(events).findLast((e) => e.type === 'finished')?.at;
