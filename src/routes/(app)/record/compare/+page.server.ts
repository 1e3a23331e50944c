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
  for (const p of pieces) grades[gradeOf(p)]++;
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

/** The last two runs of one plan, the earlier first; nothing where no plan was poured twice. */
function lastTwo(runs: readonly { id: string; name: string; startedAt: number }[]): (string | null)[] {
  const latestFirst = runs.toSorted((x, y) => y.startedAt - x.startedAt);
  const later = latestFirst.find((r, i) => latestFirst.slice(i + 1).some((x) => x.name === r.name));
  const earlier = latestFirst.find((r) => later && r.name === later.name && r.startedAt < later.startedAt);
  return [earlier?.id ?? null, later?.id ?? null];
}

export const load = async ({ url }) => {
  const { db } = await store();
  const runs = (await listRuns(db, 200)).map(({ id, name, startedAt }) => ({ id, name, startedAt }));
  const asked = ['a', 'b'].map((k) => url.searchParams.get(k));
  const [a, b] = await Promise.all((asked.some(Boolean) ? asked : lastTwo(runs)).map((id) => sideOf(db, id)));
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
