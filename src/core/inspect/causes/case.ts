import { materials, type Base, type Colourant, type MaterialTrait } from '../../material';
import type { Mould } from '../../mould';
import type { Plan } from '../../plan';
import { lettered, type Step } from '../../document';
import { acts, type Trait } from '../../pour';
import {
  booksOf,
  debriefOf,
  foldRun,
  pourUntilNow,
  standingOf,
  type Debrief,
  type FrozenRun,
  type RunEvent,
  type RunState,
  type Task,
  type TaskState
} from '../../run';

import type { ShownOtherwise } from '../measured-shares';

const MINUTE = 60_000;

/** What the record knows beside the run itself. */
export interface RecordFacts {
  /** What was last cast in the mould before this run. */
  lastColour?: { name: string; dye: boolean } | undefined;
  /** Lots that the run took from although their use-by had passed, and by how many days. */
  oldLots?: readonly { name: string; days: number }[] | undefined;
  /** Colours that show otherwise than planned on its pieces, by photos of them. */
  shown?: readonly ShownOtherwise[] | undefined;
}

/** One piece that came out badly: the run it came from, its cavities, and what the log tells of them. */
export interface Case {
  frozen: FrozenRun;
  state: RunState;
  plan: Plan;
  groupId: string;
  beside: RecordFacts;
  /** Bases of what was poured into these cavities. */
  bases: readonly Base[];
  debrief: Debrief;
}

/** A case for the pieces of one group. */
export function caseOf(frozen: FrozenRun, state: RunState, groupId: string, beside: RecordFacts = {}): Case {
  const cupIds = new Set(
    frozen.computed.groups
      .filter((g) => g.groupId === groupId)
      .flatMap((g) => g.layers.flatMap((l) => [l.cupId]))
  );
  const baseIds = new Set(frozen.computed.cups.flatMap((c) => (cupIds.has(c.cupId) ? [c.baseId] : [])));
  return {
    frozen,
    state,
    plan: frozen.file.plan,
    groupId,
    beside,
    bases: frozen.file.shelf.bases.filter((b) => baseIds.has(b.id)),
    debrief: debriefOf(frozen, state)
  };
}

/** Whether something holds of one of its materials. */
export const like = (c: Case, trait: MaterialTrait): boolean =>
  c.bases.some((b) => materials.has(b.kind, trait));

/** Tasks done to these cavities, of a kind. */
export const tasksHere = <K extends Task['kind']>(
  c: Case,
  kind: K
): (TaskState & { task: Extract<Task, { kind: K }> })[] =>
  c.state.tasks.filter(
    (t): t is TaskState & { task: Extract<Task, { kind: K }> } =>
      t.task.kind === kind &&
      ('groupIds' in t.task
        ? t.task.groupIds.includes(c.groupId)
        : !('groupId' in t.task) || t.task.groupId === c.groupId)
  );

/** The step of a task, as planned. */
const stepOf = (c: Case, stepId: string): Step | undefined => c.plan.steps.find((s) => s.id === stepId);

/** Steps with a trait that these cavities should have had, with what became of them. */
export function acted(c: Case, trait: Trait): { step: Step; entry: TaskState }[] {
  return c.state.tasks.flatMap((entry) => {
    const { task } = entry;
    const here = 'groupIds' in task ? task.groupIds : 'groupId' in task ? [task.groupId] : [];
    const step = 'stepId' in task && task.kind !== 'gate' ? stepOf(c, task.stepId) : undefined;
    return step && here.includes(c.groupId) && acts.traits(step.act).includes(trait) ? [{ step, entry }] : [];
  });
}

/** Minutes between two moments of a run. */
export const minutesBetween = (from: number, to: number): number => (to - from) / MINUTE;

/** When the pieces left their mould, minutes after the last pour, and the window they had; undefined where neither is told. */
export function demouldOf(c: Case): { after: number; from: number; to: number } | undefined {
  const [entry] = tasksHere(c, 'demould');
  const zero = c.state.groups.get(c.groupId)?.lastInMould;
  if (entry?.doneAt === undefined || zero === undefined) return undefined;
  return { after: minutesBetween(zero, entry.doneAt), from: entry.task.from, to: entry.task.to };
}

/** Waits before layers of these cavities: as estimated and as waited. */
export function waits(c: Case): Debrief['gates'] {
  const here = new Set(tasksHere(c, 'gate').map((t) => t.task.id));
  return c.debrief.gates.filter((g) => here.has(g.taskId));
}

/** Pours of these cavities that came after their cup's window, minutes over. */
export function latePours(
  c: Case
): { entry: TaskState & { task: Extract<Task, { kind: 'pour' }> }; over: number; until: number }[] {
  return tasksHere(c, 'pour').flatMap((entry) => {
    const zero = c.state.cups.get(entry.task.mixId)?.zero;
    const until = pourUntilNow(c.frozen, c.state, entry.task.mixId)?.now;
    if (entry.doneAt === undefined || zero === undefined || until === undefined) return [];
    return [{ entry, over: minutesBetween(zero, entry.doneAt) - until, until }];
  });
}

/** Mixes that were poured into these cavities, each once; for a cup made of others, those that filled it. */
export const mixesHere = (c: Case): string[] => [
  ...new Set(tasksHere(c, 'pour').flatMap((t) => weighedMixes(c, t.task.mixId)))
];

/** A mix that was weighed, or those that a cup made of others was filled from, however deep. */
function weighedMixes(c: Case, mixId: string): string[] {
  const { cups } = c.frozen.computed;
  const mix = cups.flatMap((x) => x.mixes).find((m) => m.mixId === mixId);
  if (!mix?.filledFrom) return [mixId];
  return mix.filledFrom.flatMap(({ cupId }) => {
    const own = cups.find((x) => x.cupId === cupId)?.mixes ?? [];
    const from = own.find((m) => m.turn === mix.turn) ?? own[0];
    return from ? weighedMixes(c, from.mixId) : [];
  });
}

/** Mixes of these cavities and the pots that they were taken from: all that was stirred for them. */
export function stirredHere(c: Case): Set<string> {
  const here = new Set(mixesHere(c));
  const pots = c.state.tasks.flatMap(({ task }) =>
    task.kind === 'weigh' && here.has(task.mixId) && task.portionOf !== undefined ? [task.portionOf] : []
  );
  return new Set([...here, ...pots]);
}

/** Colourants of a cup as planned, those of all that it was poured together from among them. */
export function potsOf(c: Case, cupId: string): Colourant[] {
  const cup = c.plan.cups.find((x) => x.id === cupId);
  const own = cup?.recipe.flatMap(
    (l) => c.frozen.file.shelf.colourants.find((p) => p.id === l.colourantId) ?? []
  );
  const from = cup && 'cups' in cup.from ? cup.from.cups.flatMap((p) => potsOf(c, p.cupId)) : [];
  return [...(own ?? []), ...from];
}

/** How a cup is called. */
export function cupName(c: Case, id: string): string {
  const cup = c.frozen.computed.cups.find((x) => x.cupId === id || x.mixes.some((m) => m.mixId === id));
  return cup ? lettered(cup) : 'the mix';
}

/** How far each mix of these cavities is off its ratio, a share, as it was weighed and as it was planned, with what that does. */
export const standings = (c: Case) => {
  const asPlanned = weighedAsPlanned(c.frozen);
  return mixesHere(c).flatMap((mixId) => {
    const found = standingOf(c.frozen, c.state, mixId);
    const planned = standingOf(c.frozen, asPlanned, mixId)?.off ?? 0;
    return found ? [{ mixId, planned, ...found }] : [];
  });
};

/** The run as it would stand had everything been weighed as it was aimed at. */
const weighedAsPlanned = ({ tasks, computed }: FrozenRun): RunState =>
  foldRun(
    tasks,
    tasks.flatMap((t, i): RunEvent[] =>
      t.kind === 'weigh'
        ? [{ id: `as-planned-${i}`, at: i, type: 'weighed', task: t.id, grams: t.grams }]
        : []
    ),
    computed.division
  );

/** Stirs of the mixes of these cavities: minutes as planned and as they took. */
export function stirs(c: Case): { mixId: string; planned: number; took: number }[] {
  const here = stirredHere(c);
  return c.state.tasks.flatMap((t, i) => {
    if (t.task.kind !== 'stir' || !here.has(t.task.mixId) || t.doneAt === undefined) return [];
    const { mixId, minutes: planned } = t.task;
    // What is made between weighing and stirring, as lye is poured into oils, comes before the stir as well.
    const last = c.state.tasks
      .slice(0, i)
      .findLast(
        ({ task, doneAt }) =>
          (task.kind === 'weigh' || task.kind === 'make') && task.mixId === mixId && doneAt !== undefined
      );
    return last?.doneAt === undefined || planned <= 0
      ? []
      : [{ mixId, planned, took: minutesBetween(last.doneAt, t.doneAt) }];
  });
}

/** The room as it was read, °C, where it was; and as planned. */
export const rooms = (c: Case): { read: number | undefined; planned: number } => ({
  read: c.state.room?.celsius,
  planned: c.plan.bench.roomCelsius
});

/** The mould of these cavities, as its card stood. */
export const mouldHere = ({ frozen, plan, groupId }: Case): Mould | undefined =>
  frozen.file.shelf.moulds.find((m) => plan.groups.some((g) => g.id === groupId && g.mouldId === m.id));

/** Layers of these cavities from the mould up; a puddle or a line lies in no depth of its own: `level` says which do. */
export const layersHere = (c: Case) =>
  (c.frozen.computed.groups.find((g) => g.groupId === c.groupId)?.layers ?? []).map((layer) => {
    const step = stepOf(c, layer.stepId);
    return { layer, level: !layer.chamber && step !== undefined && acts.traits(step.act).includes('levels') };
  });

/** A word that says that something was not so. */
const DENIED = /\b(not|no|never|without|nothing)\b|n[’']t\b/i;

/** What the maker noted in the run that says certain words and denies nothing, as it was written. */
export const notedAs = (c: Case, words: RegExp): string | undefined =>
  c.state.notes.find((n) => words.test(n.text) && !DENIED.test(n.text))?.text;

/** The books of the mixes that these cavities took. */
export const booksHere = (c: Case) => {
  const here = new Set(mixesHere(c));
  return [...booksOf(c.frozen, c.state).values()].filter((b) => here.has(b.mixId));
};

/** What these cavities took in all, g: as poured where it was weighed, and as planned. Undefined where a pour was not weighed. */
export function filled(c: Case): { poured: number; planned: number } | undefined {
  const pours = tasksHere(c, 'pour');
  const planned = pours.reduce((s, t) => s + t.task.gramsEach * t.task.count, 0);
  if (!pours.length || pours.some((t) => t.status === 'done' && t.actual === undefined)) return undefined;
  return { poured: pours.reduce((s, t) => s + (t.actual ?? 0), 0), planned };
}
