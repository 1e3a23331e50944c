import { newId } from '$lib/id';
import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { StoredId } from '$core/id';
import { shelfOf } from '$core/document';
import { findPlan, listRuns, startRun, wholeShelf } from '$lib/server/database';
import { learnedOf } from '../../../../lib/server/learned-history';
import { notHere, readBody, refuse, taken } from '../../../../lib/server/http/respond';
import { store } from '$lib/server/store';
import { inThread } from '../../../../lib/server/workers';

export const GET = async () => json(await listRuns((await store()).db));

/** Which plan, and when it was begun: now, or earlier where it is entered from its sheet afterwards. */
const Begun = z.object({
  planId: z.string().max(200),
  id: StoredId.optional(),
  startedAt: z
    .number()
    .int()
    .nonnegative()
    .refine((at) => at <= Date.now() + 60_000, 'has not come yet')
    .optional()
});

/** Begins a run of a plan and freezes it. Refused while the plan's figures cannot be trusted. */
export const POST = async ({ request }) => {
  const body = await readBody(request, Begun);
  if ('refused' in body) return body.refused;
  const opened = await store();
  const found = await findPlan(opened.db, body.value.planId);
  if (!found) return notHere('plan', body.value.planId);
  const { plan } = found;
  const { clings, hands } = await learnedOf(opened.db, plan, Date.now());
  const shelf = shelfOf(plan, await wholeShelf(opened.db));
  const frozen = await inThread('freeze', {
    plan,
    shelf,
    learned: { ...(clings ? { clings } : {}), ...(hands ? { hands } : {}) }
  });
  const stops = frozen.computed.problems.filter((p) => p.level === 'stop');
  if (stops.length) return refuse(stops);
  const run = { id: body.value.id ?? newId(), frozen, startedAt: body.value.startedAt ?? Date.now() };
  if ((await startRun(opened, run)) === 'taken') return taken('run', run.id);
  return json({ id: run.id, planId: plan.id, name: plan.name, startedAt: run.startedAt }, { status: 201 });
};
