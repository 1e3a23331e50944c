import { wilson } from '$core/inspect';
import { allPieces, listLessons, listRuns, readRuns } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async () => {
  const { db } = await store();
  const [rows, pieces, lessons] = await Promise.all([listRuns(db), allPieces(db), listLessons(db)]);
  const { good, broken } = await readRuns(
    db,
    rows.map((r) => r.id)
  );
  const inspected = pieces.length;
  const rejected = pieces.filter((p) => p.grade === 'reject').length;
  return {
    broken,
    runs: good.map(({ frozen, ...run }) => {
      const own = pieces.filter((p) => p.run.id === run.id);
      return {
        id: run.id,
        name: run.name,
        startedAt: run.startedAt,
        finishedAt: run.finishedAt,
        base: frozen.computed.bases.map((b) => b.name).join(', '),
        cast: frozen.file.plan.groups.reduce((s, g) => s + g.count, 0),
        good: own.filter((p) => p.grade === 'good').length,
        second: own.filter((p) => p.grade === 'second').length,
        reject: own.filter((p) => p.grade === 'reject').length,
        lessons: lessons.filter((l) => l.runId === run.id).map((l) => l.text)
      };
    }),
    rejects: { rejected, inspected, ...wilson(rejected, inspected) }
  };
};
