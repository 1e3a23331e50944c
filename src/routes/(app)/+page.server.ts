import { foldedRun } from '$lib/run';
import type { RunState, Task } from '$core/run';
import {
  eventsOf,
  listRuns,
  readPlans,
  readRuns,
  recentPieces,
  wholeShelf,
  type Run
} from '$lib/server/database';
import { store } from '$lib/server/store';

/** Something a run waits for: when it may be done, and by when where that matters. */
interface Wait {
  what: string;
  from: number;
  to?: number;
}

/** How many runs back the bench looks for something still due. */
const LOOK_BACK = 30;
const MINUTE = 60_000;

/** What a run waits for: the gate in hand, and demoulding once everything is poured. */
function waitsOf(run: Run, state: RunState): Wait[] {
  const now = state.now?.task;
  const pouring = state.tasks.some((t) => t.task.kind === 'pour' && t.status === 'open');
  const named = (id: string) => run.frozen.computed.groups.find((g) => g.groupId === id)?.name ?? '';
  const waitOf = (task: Task): Wait[] => {
    if (task.kind !== 'demould' && task.kind !== 'gate') return [];
    const zero = state.groups.get(task.groupId)?.lastPour;
    if (zero === undefined) return [];
    if (task.kind === 'gate')
      return task === now
        ? [{ what: `${named(task.groupId)} ${task.state}`, from: zero + task.minutes * MINUTE }]
        : [];
    const window = { from: zero + task.from * MINUTE, to: zero + task.to * MINUTE };
    return pouring ? [] : [{ what: `Demould ${named(task.groupId)}`, ...window }];
  };
  return state.tasks.filter((t) => t.status === 'open').flatMap(({ task }) => waitOf(task));
}

export const load = async () => {
  const { db } = await store();
  const [runs, plans, shelf, pieces] = await Promise.all([
    listRuns(db),
    readPlans(db),
    wholeShelf(db),
    recentPieces(db, 12)
  ]);
  const open = runs.filter((r) => !r.finishedAt).slice(0, LOOK_BACK);
  const shown = [...new Set([...open.map((r) => r.id), ...pieces.map((p) => p.runId)])];
  const { good, broken } = await readRuns(db, shown);
  const going = await Promise.all(
    good
      .filter((run) => open.some((r) => r.id === run.id))
      .map(async (run) => {
        const state = foldedRun(run.frozen, await eventsOf(db, run.id));
        const now = state.now?.task;
        return {
          id: run.id,
          name: run.name,
          startedAt: run.startedAt,
          done: state.tasks.filter((t) => t.status !== 'open').length,
          of: state.tasks.length,
          waits: waitsOf(run, state),
          inHand: now?.kind !== 'demould' && now !== undefined,
          group: run.frozen.computed.groups[0],
          cups: run.frozen.computed.cups
        };
      })
  );
  // The runs that the latest pieces came from, drawn as planned.
  const drawn = new Map(
    good
      .filter((run) => pieces.some((p) => p.runId === run.id))
      .map(({ id, frozen: { computed, file } }) => [
        id,
        { groups: computed.groups, cups: computed.cups, face: file.plan.showFace }
      ])
  );
  return {
    going,
    pieces,
    drawn,
    plans: plans.good.slice(0, 4).map(({ plan, changedAt }) => ({ id: plan.id, name: plan.name, changedAt })),
    broken: [...plans.broken, ...broken],
    empty: !plans.good.length && !plans.broken.length && !runs.length,
    shelf
  };
};
