import { json } from '@sveltejs/kit';
import { Plan } from '$core/plan';
import { findPlan, removePlan, savePlan } from '$lib/server/database';
import { notHere, problem, readBody, refuse } from '$lib/server/respond';
import { store } from '$lib/server/store';

export const GET = async ({ params }) => {
  const plan = await findPlan((await store()).db, params.id);
  return plan ? json(plan) : notHere('plan', params.id);
};

export const PUT = async ({ params, request }) => {
  const body = await readBody(request, Plan);
  if ('refused' in body) return body.refused;
  if (body.value.id !== params.id)
    return refuse([
      problem('id-differs', 'The plan’s id is not the one in the address.', 'Send it to its own address.')
    ]);
  await savePlan(await store(), body.value, Date.now());
  return json(body.value);
};

export const DELETE = async ({ params }) => {
  const gone = await removePlan(await store(), params.id);
  return gone ? new Response(null, { status: 204 }) : notHere('plan', params.id);
};
