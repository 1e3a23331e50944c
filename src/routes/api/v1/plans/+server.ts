import { json } from '@sveltejs/kit';
import { Plan } from '$core/plan';
import { listPlans, savePlan } from '$lib/server/database';
import { readBody } from '$lib/server/respond';
import { store } from '$lib/server/store';

export const GET = async () => {
  const plans = await listPlans((await store()).db);
  return json(plans.map(({ plan, changedAt }) => ({ ...plan, changedAt })));
};

export const POST = async ({ request }) => {
  const body = await readBody(request, Plan);
  if ('refused' in body) return body.refused;
  await savePlan(await store(), body.value, Date.now());
  return json(body.value, { status: 201 });
};
