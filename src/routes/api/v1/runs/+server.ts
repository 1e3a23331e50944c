import { newId } from '$lib/id';
import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { computePlan, shelfOf, type PlanFile } from '$core/plan';
import { findPlan, listRuns, startRun, wholeShelf } from '$lib/server/database';
import { pastOf, settled } from '$lib/server/past';
import { notHere, readBody, refuse } from '$lib/server/respond';
import { store } from '$lib/server/store';

export const GET = async () => {
  const runs = await listRuns((await store()).db);
  return json(
    runs.map(({ id, planId, name, startedAt, finishedAt }) => ({
      id,
      planId,
      name,
      startedAt,
      finishedAt
    }))
  );
};

/** Begins a run of a plan. Refused while the plan's figures cannot be trusted. */
export const POST = async ({ request }) => {
  const body = await readBody(
    request,
    z.object({ planId: z.string(), id: z.string().min(8).max(80).optional() })
  );
  if ('refused' in body) return body.refused;
  const opened = await store();
  const found = await findPlan(opened.db, body.value.planId);
  if (!found) return notHere('plan', body.value.planId);
  const plan = settled(found, await pastOf(opened.db, found, Date.now()));
  const shelf = shelfOf(plan, await wholeShelf(opened.db));
  const stops = computePlan(plan, shelf).problems.filter((p) => p.level === 'stop');
  if (stops.length) return refuse(stops);
  const snapshot: PlanFile = { format: 'kirapen.plan', version: 1, plan, shelf };
  const run = { id: body.value.id ?? newId(), snapshot, startedAt: Date.now() };
  await startRun(opened, run);
  return json({ id: run.id, planId: plan.id, name: plan.name, startedAt: run.startedAt }, { status: 201 });
};
