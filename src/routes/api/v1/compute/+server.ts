import { PlanFile } from '$core/plan';
import { readBody } from '$lib/server/respond';
import { inThread } from '$lib/server/sums';

/** Computes a plan with its shelf and answers every figure; stores nothing. */
export const POST = async ({ request }) => {
  const body = await readBody(request, PlanFile);
  if ('refused' in body) return body.refused;
  const { plan, shelf } = body.value;
  const figures = await inThread('compute', { plan, shelf, past: { today: Date.now() } });
  return new Response(figures, { headers: { 'content-type': 'application/json' } });
};
