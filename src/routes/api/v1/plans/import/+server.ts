import { newId } from '$lib/id';
import { json } from '@sveltejs/kit';
import { PlanFile } from '$core/plan';
import { importPlanFile } from '$lib/server/database';
import { readBody } from '../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

/** Stores a plan file; what is here already is never overwritten. Answers the plan as stored. */
export const POST = async ({ request }) => {
  const body = await readBody(request, PlanFile);
  if ('refused' in body) return body.refused;
  const beside = (wanted: string) => `${wanted.slice(0, 40)}-${newId().slice(0, 8)}`;
  const plan = await importPlanFile(await store(), body.value, beside, Date.now());
  return json(plan, { status: 201 });
};
