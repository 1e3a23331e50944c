import { changesIn, differences, gradeOf } from '$core/inspect';
import { foldedRun } from '../../../../lib/run/folded-run';
import { eventsOf, findRun, listRuns, piecesOf, type Db } from '$lib/server/database';
import { store } from '$lib/server/store';

/** One run as it is set beside another. */
async function sideOf(db: Db, id: string | null) {
  const run = id === null ? undefined : await findRun(db, id);
  if (!run) return undefined;
  const state = foldedRun(run.frozen, await eventsOf(db, run.id));
  const pieces = await piecesOf(db, run.id);
  const grades = { good: 0, second: 0, reject: 0 };
  for (const p of pieces) {
    const grade = gradeOf(p);
    if (grade) grades[grade]++;
  }
  const defects = [...new Set(pieces.flatMap((p) => p.faces.flatMap((f) => f.defects)))];
  return { run, state, grades, defects };
}

const shown = (side: NonNullable<Awaited<ReturnType<typeof sideOf>>>) => ({
  id: side.run.id,
  name: side.run.name,
  startedAt: side.run.startedAt,
  grades: side.grades,
  defects: side.defects
});

/** Runs that are looked through for two of one plan. */
const LOOKED_THROUGH = 30;

/** The last two inspected runs of one plan, the earlier first; nothing where no plan has two. */
async function lastTwo(db: Db, runs: readonly { id: string; name: string; startedAt: number }[]) {
  const latestFirst = runs.toSorted((x, y) => y.startedAt - x.startedAt).slice(0, LOOKED_THROUGH);
  const inspected = new Map<string, string>();
  for (const run of latestFirst) {
    if (!(await piecesOf(db, run.id)).length) continue;
    const later = inspected.get(run.name);
    if (later !== undefined) return [run.id, later];
    inspected.set(run.name, run.id);
  }
  return [null, null];
}

export const load = async ({ url }) => {
  const { db } = await store();
  const runs = (await listRuns(db, 200)).map(({ id, name, startedAt }) => ({ id, name, startedAt }));
  const asked = ['a', 'b'].map((k) => url.searchParams.get(k));
  const [a, b] = await Promise.all(
    (asked.some(Boolean) ? asked : await lastTwo(db, runs)).map((id) => sideOf(db, id))
  );
  const found =
    a && b
      ? differences({ frozen: a.run.frozen, state: a.state }, { frozen: b.run.frozen, state: b.state })
      : [];
  return {
    runs,
    a: a && shown(a),
    b: b && shown(b),
    differences: found,
    changes: changesIn(found)
  };
};
