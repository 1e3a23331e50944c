import { isDeepStrictEqual } from 'node:util';
import { desc, eq } from 'drizzle-orm';
import { applyEdit, type Plan, type PlanFile, type Shelf } from '$core/plan';
import { findCard, saveCard, SHELF_KINDS } from './cards';
import type { Db, Store } from './open';
import { plans } from './schema';

/** All plans, latest change first. */
export async function listPlans(db: Db): Promise<{ plan: Plan; changedAt: number }[]> {
  const rows = await db.select().from(plans).orderBy(desc(plans.changedAt));
  return rows.map((r) => ({ plan: r.document, changedAt: r.changedAt }));
}

/** One plan, or undefined. */
export async function findPlan(db: Db, id: string): Promise<Plan | undefined> {
  const [row] = await db.select().from(plans).where(eq(plans.id, id));
  return row?.document;
}

/** Stores a plan, new or changed. */
export async function savePlan(store: Store, plan: Plan, now: number): Promise<void> {
  const row = { id: plan.id, name: plan.name, document: plan, changedAt: now };
  await store.write((tx) => tx.insert(plans).values(row).onConflictDoUpdate({ target: plans.id, set: row }));
}

/** Deletes a plan; its runs stay in the record. Says whether it was there. */
export async function removePlan(store: Store, id: string): Promise<boolean> {
  const gone = await store.write((tx) =>
    tx.delete(plans).where(eq(plans.id, id)).returning({ id: plans.id })
  );
  return gone.length > 0;
}

/**
 * Stores a plan file: cards this shelf lacks are added; a card that is here under the same id but says
 * something else comes in beside it under a new id, and the plan points there. Nothing here is overwritten.
 * Returns the plan as stored.
 */
export async function importPlanFile(
  store: Store,
  file: PlanFile,
  newId: (wanted: string) => string,
  now: number
): Promise<Plan> {
  return store.write(async (tx) => {
    let plan = file.plan;
    for (const kind of SHELF_KINDS) {
      for (const card of file.shelf[kind]) {
        const here = await findCard(tx, kind, card.id);
        if (here && isDeepStrictEqual(here, card)) continue;
        const id = here ? newId(card.id) : card.id;
        await saveCard(store, kind, { ...card, id }, now);
        if (here) plan = pointTo(plan, kind, card.id, id);
      }
    }
    if (await findPlan(tx, plan.id)) plan = { ...plan, id: newId(plan.id) };
    await savePlan(store, plan, now);
    return plan;
  });
}

/** Points a plan's references of one kind from an old card id to a new one. */
function pointTo(plan: Plan, kind: keyof Shelf, from: string, to: string): Plan {
  const swapped = (ids: readonly string[]) => ids.map((id) => (id === from ? to : id));
  switch (kind) {
    case 'bases':
      return plan.baseId === from ? { ...plan, baseId: to } : plan;
    case 'scales':
      return {
        ...plan,
        scaleId: plan.scaleId === from ? to : plan.scaleId,
        ...(plan.otherScaleIds ? { otherScaleIds: swapped(plan.otherScaleIds) } : {})
      };
    case 'vessels':
      return {
        ...plan,
        ...(plan.vesselIds ? { vesselIds: swapped(plan.vesselIds) } : {}),
        cups: plan.cups.map((c) => (c.vesselId === from ? { ...c, vesselId: to } : c))
      };
    case 'lots':
      return {
        ...plan,
        cups: plan.cups.map((c) =>
          c.fillers
            ? { ...c, fillers: c.fillers.map((f) => (f.lotId === from ? { ...f, lotId: to } : f)) }
            : c
        )
      };
    case 'moulds':
      return {
        ...plan,
        groups: plan.groups.map((g) => (g.mouldId === from ? { ...g, mouldId: to } : g)),
        ...(plan.spares
          ? { spares: plan.spares.map((s) => (s.mouldId === from ? { ...s, mouldId: to } : s)) }
          : {})
      };
    case 'colourants':
      return plan.cups.reduce(
        (p, cup, i) =>
          applyEdit(p, {
            path: ['cups', i, 'recipe'],
            value: cup.recipe.map((r) => (r.colourantId === from ? { ...r, colourantId: to } : r))
          }),
        plan
      );
  }
}
