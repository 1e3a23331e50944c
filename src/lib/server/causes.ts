import {
  caseOf,
  causesOf,
  faultsOf,
  nextTime,
  shownOtherwise,
  type Defect,
  type CausesFound,
  type Likely,
  type PlanDifference
} from '$core/inspect';
import type { Plan } from '$core/plan';
import type { Shelf } from '$core/shelf';
import { foldedRun } from '../run/folded-run';
import {
  eventsOf,
  findPlan,
  piecesOf,
  savePlan,
  wholeShelf,
  type Db,
  type Run,
  type Store
} from './database';
import { mouldHistory, oldLotsOf } from './learned-history';

/** A likely cause in words, with what it asks of the plan as it stands now. */
export type LikelyNow = Omit<Likely, 'apply'> & {
  next: { kind: 'change'; differences: PlanDifference[] } | { kind: 'made' } | { kind: 'lesson' };
};

/** What the log says of the defects of a run’s pieces, group by group. */
export interface RunCauses {
  groupId: string;
  found: (Omit<CausesFound, 'likely'> & { likely: LikelyNow[] })[];
}

/** A case for one group of a run, with what its mould held before. */
async function caseIn(db: Db, run: Run, groupId: string) {
  const group = run.frozen.file.plan.groups.find((g) => g.id === groupId);
  const uses = group ? await mouldHistory(db, group.mouldId) : [];
  const before = uses.find((u) => u.at < run.startedAt && u.runId !== run.id);
  const state = foldedRun(run.frozen, await eventsOf(db, run.id));
  return caseOf(run.frozen, state, groupId, {
    lastColour: before && { name: before.colourName, dye: before.dye },
    oldLots: await oldLotsOf(db, run.id),
    shown: (await piecesOf(db, run.id)).filter((p) => p.groupId === groupId).flatMap((p) => shownOtherwise(p))
  });
}

/** The causes of every fault that was found on a run’s pieces, or of one that is asked about. */
export async function causesIn(
  db: Db,
  run: Run,
  asked?: { groupId: string; defect: Defect }
): Promise<RunCauses[]> {
  const faults = new Map<string, Set<Defect>>();
  if (asked) faults.set(asked.groupId, new Set([asked.defect]));
  else
    for (const piece of await piecesOf(db, run.id))
      for (const d of faultsOf(piece))
        faults.set(piece.groupId, (faults.get(piece.groupId) ?? new Set()).add(d));
  const now = run.planId ? await findPlan(db, run.planId) : undefined;
  const shelf = await wholeShelf(db);
  return Promise.all(
    [...faults].map(async ([groupId, defects]) => {
      const c = await caseIn(db, run, groupId);
      const found = [...defects].map((d) => causesOf(c, d));
      return {
        groupId,
        found: found.map((f) => ({ ...f, likely: f.likely.map((l) => likelyNow(l, now?.plan, shelf)) }))
      };
    })
  );
}

/** A cause as it is sent: changes are made where they are asked for. Where the plan is gone only a lesson can be kept. */
function likelyNow(likely: Likely, plan: Plan | undefined, shelf: Shelf): LikelyNow {
  const { apply: _, ...said } = likely;
  const next = plan ? nextTime(plan, likely, shelf) : ({ kind: 'lesson' } as const);
  return {
    ...said,
    next: next.kind === 'change' ? { kind: next.kind, differences: next.differences } : next
  };
}

/** Makes the change that a cause asks for in the run’s plan as it stands now. Undefined where plan or cause is gone. */
export async function takeChange(
  store: Store,
  run: Run,
  asked: { groupId: string; defect: Defect; cause: string }
): Promise<Plan | undefined> {
  const c = await caseIn(store.db, run, asked.groupId);
  const likely = causesOf(c, asked.defect).likely.find((l) => l.id === asked.cause);
  const found = run.planId ? await findPlan(store.db, run.planId) : undefined;
  if (!likely || !found) return undefined;
  const next = nextTime(found.plan, likely, await wholeShelf(store.db));
  if (next.kind !== 'change') return undefined;
  await savePlan(store, next.plan, { basedOn: found.revision, now: Date.now() });
  return next.plan;
}
