import type { Grade, RunPoint } from '$core/inspect';
import {
  entriesOf,
  stockOf,
  useRateOf,
  type Entry,
  type LotLeft,
  type Shelf,
  type Use,
  type UseRate
} from '$core/shelf';
import { gradesByRun, measuredByRun, wholeShelf, type Db } from '../database';
import { taughtByRuns } from './kept';
import type { MouldUse } from './run-taught';

/** Everything that was cast in a mould, latest first. */
export async function mouldHistory(db: Db, mouldId: string): Promise<MouldUse[]> {
  return (await taughtByRuns.all(db))
    .flatMap((t) => t.moulds)
    .filter((m) => m.mouldId === mouldId)
    .sort((a, b) => b.at - a.at);
}

/** In how many runs a scale or a vessel was used, and when last, ms. */
export async function toolUses(db: Db, id: string): Promise<{ runs: number; last?: number }> {
  const used = (await taughtByRuns.all(db)).filter((t) => t.tools.includes(id));
  return { runs: used.length, ...(used[0] ? { last: used[0].point.at } : {}) };
}

/** Everything that runs took from the shelf, each with its run. */
async function allUses(db: Db): Promise<Use[]> {
  return (await taughtByRuns.all(db)).flatMap((t) => t.uses.map((u) => ({ ...u, runId: t.point.runId })));
}

/** A lot with what is left of it, every movement of it, and how fast it goes. */
export interface LotBook extends LotLeft {
  entries: Entry[];
  pace?: UseRate | undefined;
}

/** The books of every lot. */
export async function lotBooks(db: Db, shelf: Shelf, today: number): Promise<LotBook[]> {
  const uses = await allUses(db);
  const entries = entriesOf(shelf.lots, uses);
  return stockOf(shelf.lots, uses, today).map((own) => ({
    ...own,
    entries: entries.filter((e) => e.lotId === own.lot.id).sort((a, b) => b.at - a.at),
    pace: useRateOf(own, entries, today)
  }));
}

const DAY = 24 * 3_600_000;

/** Lots that a run took from after their use-by, and by how many days, each once. */
export async function oldLotsOf(db: Db, runId: string): Promise<{ name: string; days: number }[]> {
  const [{ lots }, uses] = await Promise.all([wholeShelf(db), allUses(db)]);
  const old = new Map<string, { name: string; days: number }>();
  for (const { lotId, at, by } of entriesOf(lots, uses)) {
    const lot = lots.find((l) => l.id === lotId);
    if (lot?.useBy === undefined || !('runId' in by) || by.runId !== runId || at <= lot.useBy) continue;
    old.set(lotId, { name: lot.name, days: Math.max(1, Math.round((at - lot.useBy) / DAY)) });
  }
  return [...old.values()];
}

/** Every run as the record's charts show it, with the grades of its pieces. */
export async function pointsOf(db: Db): Promise<RunPoint[]> {
  const [all, grades, measured] = await Promise.all([
    taughtByRuns.all(db),
    gradesByRun(db),
    measuredByRun(db)
  ]);
  return all.map(({ point }) => {
    const own = measured.get(point.runId);
    return {
      ...point,
      ...(own ? { measured: own } : {}),
      grades: (grades.get(point.runId) ?? []) as Grade[]
    };
  });
}
