import { json } from '@sveltejs/kit';
import { Plan } from '$core/plan';
import { listPlans, savePlan } from '$lib/server/database';
import { answerWrite, readBody } from '../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

export const GET = async () => {
  const plans = await listPlans((await store()).db);
  return json(plans.map(({ plan, changedAt, revision }) => ({ ...plan, changedAt, revision })));
};

/** Stores a new plan; an id that is there already is refused. */
export const POST = async ({ request }) => {
  const body = await readBody(request, Plan, 'plan');
  if ('refused' in body) return body.refused;
  const done = await savePlan(await store(), body.value, { basedOn: 'new', now: Date.now() });
  return answerWrite('plan', body.value, done, 201);
};
