import { isDeepStrictEqual } from 'node:util';
import { Plan, type PlanFile } from '$core/plan';
import { type Shelf } from '$core/shelf';
import { findCard, saveCard, SHELF_KINDS } from './cards';
import {
  allRows,
  deleteDocument,
  findRow,
  writeDocument,
  type BasedOn,
  type DocumentRow,
  type Written
} from './documents';
import type { Db, Store } from './connection';
import { readStored, type Broken, type Read } from './stored';

/** A plan as it stands in the store. */
export interface StoredPlan {
  plan: Plan;
  changedAt: number;
  revision: number;
}

const read = (row: DocumentRow): Read<Plan> =>
  readStored({ kind: 'plans', id: row.id, name: row.name }, row.text, Plan);

/** All plans, latest change first, and those that cannot be read. */
export async function readPlans(db: Db): Promise<{ good: StoredPlan[]; broken: Broken[] }> {
  const rows = (await allRows(db, 'plans')).sort((a, b) => b.changedAt - a.changedAt);
  const good: StoredPlan[] = [];
  const broken: Broken[] = [];
  for (const row of rows) {
    const found = read(row);
    if (found.ok) good.push({ plan: found.value, changedAt: row.changedAt, revision: row.revision });
    else broken.push(found.broken);
  }
  return { good, broken };
}

/** All plans that can be read, latest change first. */
export const listPlans = async (db: Db): Promise<StoredPlan[]> => (await readPlans(db)).good;

/** One plan, migrated to the present version; undefined where it is not there or cannot be read. */
export async function findPlan(db: Db, id: string): Promise<StoredPlan | undefined> {
  const row = await findRow(db, 'plans', id);
  if (!row) return undefined;
  const found = read(row);
  return found.ok ? { plan: found.value, changedAt: row.changedAt, revision: row.revision } : undefined;
}

/** Stores a plan, new or changed, if what it was based on still stands. */
export const savePlan = (
  store: Store,
  plan: Plan,
  write: { basedOn: BasedOn; now: number }
): Promise<Written> => writeDocument(store, 'plans', plan, write);

/** Deletes a plan; its runs stay in the record. Says whether it was there. */
export const removePlan = (store: Store, id: string, now: number): Promise<boolean> =>
  deleteDocument(store, 'plans', id, now);

/**
 * Stores a plan file: cards this shelf lacks are added; a card that is here under the same id but says
 * something else comes in beside it under a new id, and the plan points there. Nothing here is overwritten.
 * Returns the plan as stored.
 */
export async function importPlanFile(
  store: Store,
  file: Pick<PlanFile, 'plan' | 'shelf'>,
  newId: (wanted: string) => string,
  now: number
): Promise<Plan> {
  return store.write(async (tx) => {
    let plan = file.plan;
    for (const kind of SHELF_KINDS) {
      for (const card of file.shelf[kind]) {
        const row = await findRow(tx, kind, card.id);
        const here = row && (await findCard(tx, kind, card.id));
        if (here && isDeepStrictEqual(here, card)) continue;
        const id = row ? newId(card.id) : card.id;
        await saveCard(store, kind, { ...card, id } as never, { basedOn: 'new', now });
        if (row) plan = pointTo(plan, kind, card.id, id);
      }
    }
    if (await findRow(tx, 'plans', plan.id)) plan = { ...plan, id: newId(plan.id) };
    await savePlan(store, plan, { basedOn: 'new', now });
    return plan;
  });
}

/** Points a plan's references of one kind from an old card id to a new one. */
function pointTo(plan: Plan, kind: keyof Shelf, from: string, to: string): Plan {
  const swap = (id: string) => (id === from ? to : id);
  const { bench } = plan;
  switch (kind) {
    case 'bases':
      return { ...plan, mixes: plan.mixes.map((m) => ({ ...m, baseId: swap(m.baseId) })) };
    case 'scales':
      return { ...plan, bench: { ...bench, scaleIds: bench.scaleIds.map(swap) } };
    case 'vessels':
      return {
        ...plan,
        bench: { ...bench, vesselIds: bench.vesselIds.map(swap) },
        mixes: plan.mixes.map((m) => (m.vesselId === from ? { ...m, vesselId: to } : m)),
        cups: plan.cups.map((c) => (c.vesselId === from ? { ...c, vesselId: to } : c))
      };
    case 'lots': {
      const moved = <T extends { lotId?: string | undefined }>(f: T) =>
        f.lotId === from ? { ...f, lotId: to } : f;
      return {
        ...plan,
        cups: plan.cups.map((c) => (c.fillers ? { ...c, fillers: c.fillers.map(moved) } : c))
      };
    }
    case 'moulds':
      return {
        ...plan,
        groups: plan.groups.map((g) => ({ ...g, mouldId: swap(g.mouldId) })),
        spares: plan.spares.map((s) => ({ ...s, mouldId: swap(s.mouldId) }))
      };
    case 'colourants':
      return {
        ...plan,
        cups: plan.cups.map((c) => ({
          ...c,
          recipe: c.recipe.map((r) => ({ ...r, colourantId: swap(r.colourantId) }))
        }))
      };
  }
}
