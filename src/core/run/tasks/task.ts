import { z } from 'zod';
import { Condition } from '../../document';

const id = z.string().max(200);
const number = z.number();

/** One thing to do in a run, as it was frozen at the start. Grams and minutes as planned. */
export const Task = z.discriminatedUnion('kind', [
  z.object({
    id,
    kind: z.literal('prepare'),
    /** What is ticked before the first drop; absent in runs that were begun before it was asked. */
    checks: z.array(z.object({ id, words: z.string(), more: z.array(z.string()).optional() })).optional(),
    /** Which sitting it begins, from 2, and about how many minutes after the one before; absent before the first. */
    sitting: number.optional(),
    after: number.optional()
  }),
  z.object({
    id,
    kind: z.literal('weigh'),
    /** The cup, or the pot of a split mix (`~mix`), and which of its mixes. */
    cupId: id,
    mixId: id,
    key: id,
    name: z.string(),
    part: z.boolean(),
    grams: number,
    /** Adding this starts the cup's clock. */
    startsClock: z.boolean(),
    /** Taken out of the cup instead of put in. */
    takeOut: z.boolean().optional(),
    /** The common mix this is a portion of: its clock is the cup's. */
    portionOf: id.optional(),
    /** One of several steps towards a colour, by eye: its number, from 2, and the line it belongs to. */
    creeps: number.optional(),
    /** A part that goes in by eye, as much as it takes: it sets no ratio for what comes after. */
    byEye: z.boolean().optional(),
    /** Counted instead of weighed, in words. */
    counted: z.string().optional(),
    /** What is counted, and what one of it weighs, g; absent in runs that were begun before it was kept. */
    countedIn: z.object({ unit: z.enum(['drops', '⅛ tsp']), each: number }).optional(),
    /** On another scale than the cup stands on, and that scale's division, g. */
    boat: z.boolean().optional(),
    scaleId: id,
    division: number,
    /** A vessel of its own, when it is not weighed into the cup. */
    vessel: z.string().optional(),
    /** What it takes from the shelf: shares of its grams by stock key. */
    takes: z.array(z.object({ key: id, share: number })).optional()
  }),
  z.object({
    id,
    kind: z.literal('make'),
    cupId: id,
    mixId: id,
    act: z.string(),
    rest: z.string(),
    how: z.string(),
    confirm: z.string(),
    /** Minutes with the hands in it, and minutes that only pass. */
    attended: number,
    unattended: number,
    /** The parts meet in it: the cup's clock starts when it is done. */
    startsClock: z.boolean()
  }),
  z.object({
    id,
    kind: z.literal('stir'),
    cupId: id,
    mixId: id,
    minutes: number,
    /** How far: through when absent. */
    mixing: z.enum(['full', 'marbled', 'speckled']).optional()
  }),
  z.object({
    id,
    kind: z.literal('fill'),
    cupId: id,
    mixId: id,
    from: z.array(z.object({ cupId: id, grams: number, ml: number }))
  }),
  z.object({
    id,
    kind: z.literal('pour'),
    stepId: id,
    pourId: id.optional(),
    cupId: id,
    mixId: id,
    groupId: id,
    cavitySetId: id.optional(),
    count: number,
    /** Which of a group's cavities, counted from 1, where its cup is mixed more than once for them. */
    numbers: z.object({ from: number, to: number }).optional(),
    gramsEach: number,
    mlEach: number,
    /** What is poured at once with it, from another cup: one gesture, and one press. */
    also: z.array(z.object({ task: id, cupId: id, gramsEach: number })).optional(),
    /** Which of how many rounds, turn about with other cups; its grams are that round's. */
    round: z.object({ nth: number, of: number }).optional(),
    /** To what they are read, g; the plan’s own scale’s division in runs that were begun before it was kept. */
    division: number.optional(),
    /** What the act calls this: the verb, the word on the button, and how it is done. */
    act: z.string().optional(),
    confirm: z.string().optional(),
    how: z.string().optional()
  }),
  z.object({
    id,
    kind: z.literal('do'),
    stepId: id,
    groupIds: z.array(id),
    /** Cavities whose castings it sets in: what is done to them comes before it. */
    uses: z.array(id).optional(),
    /** Minutes with the hands in it, and minutes that only pass. */
    attended: number,
    unattended: number,
    act: z.string(),
    rest: z.string(),
    how: z.string(),
    confirm: z.string(),
    /** How often, and minutes from one to the next, where it is done more than once. */
    times: number.optional(),
    every: number.optional()
  }),
  z.object({
    id,
    kind: z.literal('gate'),
    stepId: id,
    groupId: id,
    /** What it waits for, in words. */
    state: z.string(),
    minutes: number,
    /** The mix that waits until then, where it is no step that does. */
    holds: id.optional(),
    /** Every condition, with the minutes from its zero after which it counts as met; none where only looking tells. */
    all: z.array(z.object({ condition: Condition, words: z.string(), minutes: number.optional() })).optional()
  }),
  z.object({ id, kind: z.literal('demould'), groupId: id, from: number, to: number })
]);
export type Task = z.infer<typeof Task>;
export type WeighTask = Extract<Task, { kind: 'weigh' }>;
export type PourTask = Extract<Task, { kind: 'pour' }>;
export type FillTask = Extract<Task, { kind: 'fill' }>;
export type GateTask = Extract<Task, { kind: 'gate' }>;

/** Whether a task belongs to the making of a mix: weighed, done in between, or stirred. */
export const isMaking = (task: Task): task is Extract<Task, { kind: 'weigh' | 'make' | 'stir' }> =>
  task.kind === 'weigh' || task.kind === 'make' || task.kind === 'stir';
