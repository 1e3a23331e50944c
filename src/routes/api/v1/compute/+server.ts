import { json } from '@sveltejs/kit';
import { computePlan, PlanFile } from '$core/plan';
import { readBody } from '$lib/server/respond';

/** Computes a plan with its shelf and answers every figure; stores nothing. */
export const POST = async ({ request }) => {
  const body = await readBody(request, PlanFile);
  return 'refused' in body
    ? body.refused
    : json(computePlan(body.value.plan, body.value.shelf, { today: Date.now() }));
};
