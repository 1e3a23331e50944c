import { foldedRun, tasksOfSnapshot } from '$lib/run';
import { eventsOf, listPlans, listRuns, recentPieces, wholeShelf } from '$lib/server/database';
import { store } from '$lib/server/store';

/** Something a run waits for: when it may be done, and by when where that matters. */
interface Wait {
  what: string;
  from: number;
  to?: number;
}

/** How many runs back the bench looks for something still due. */
const LOOK_BACK = 30;

export const load = async () => {
  const { db } = await store();
  const [runs, plans, shelf, pieces] = await Promise.all([
    listRuns(db),
    listPlans(db),
    wholeShelf(db),
    recentPieces(db, 12)
  ]);
  const open = runs.filter((r) => !r.finishedAt).slice(0, LOOK_BACK);
  const going = await Promise.all(
    open.map(async (run) => {
      const { computed, state } = foldedRun(run.snapshot, await eventsOf(db, run.id));
      const now = state.now?.task;
      const waits = state.tasks
        .filter((t) => t.status === 'open')
        .flatMap(({ task }): Wait[] => {
          if (task.kind !== 'demould' && task.kind !== 'gate') return [];
          const zero = state.groups[task.groupId]?.lastPour;
          if (zero === undefined || (task !== now && task.kind === 'gate')) return [];
          const pouring = state.tasks.some((t) => t.task.kind === 'pour' && t.status === 'open');
          if (task.kind === 'demould' && pouring) return [];
          const group = computed.groups.find((g) => g.groupId === task.groupId)?.name ?? '';
          const minute = 60_000;
          return task.kind === 'demould'
            ? [{ what: `Demould ${group}`, from: zero + task.from * minute, to: zero + task.to * minute }]
            : [{ what: `${group} ${task.state}`, from: zero + task.minutes * minute }];
        });
      return {
        id: run.id,
        name: run.name,
        startedAt: run.startedAt,
        done: state.tasks.filter((t) => t.status !== 'open').length,
        of: state.tasks.length,
        waits,
        inHand: now?.kind !== 'demould' && now !== undefined,
        group: computed.groups[0],
        cups: computed.cups
      };
    })
  );
  // The runs that the latest pieces came from, drawn as planned.
  const drawn = Object.fromEntries(
    [...new Set(pieces.map((p) => p.runId))].flatMap((id) => {
      const run = runs.find((r) => r.id === id);
      if (!run) return [];
      const { groups, cups } = tasksOfSnapshot(run.snapshot).computed;
      return [[id, { groups, cups, face: run.snapshot.plan.showFace }]];
    })
  );
  return {
    going,
    pieces,
    drawn,
    plans: plans.slice(0, 4).map(({ plan, changedAt }) => ({ id: plan.id, name: plan.name, changedAt })),
    empty: !plans.length && !runs.length,
    shelf
  };
};
