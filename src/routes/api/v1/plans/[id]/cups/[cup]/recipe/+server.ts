import { applyEdit } from '$core/document/apply-edit';
import { Cup } from '$core/document';
import { Plan } from '$core/plan';
import { problemsOf } from '$core/validate';
import { findPlan, savePlan } from '$lib/server/database';
import { answerWrite, notHere, readBody, refuse } from '../../../../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

/** Another recipe for a cup of a plan; the rest of the plan stays as it is now. */
export const PUT = async ({ params, request }) => {
  const body = await readBody(request, Cup.shape.recipe, 'recipe');
  if ('refused' in body) return body.refused;
  const opened = await store();
  const found = await findPlan(opened.db, params.id);
  if (!found) return notHere('plan', params.id);
  if (!found.plan.cups.some((c) => c.id === params.cup)) return notHere('cup', params.cup);
  const changed = applyEdit(found.plan, { path: ['cups', params.cup, 'recipe'], value: body.value });
  const read = Plan.safeParse(changed);
  if (!read.success) return refuse(problemsOf(read.error, 'plan', changed));
  const write = { basedOn: found.revision, now: Date.now() };
  return answerWrite('plan', read.data, await savePlan(opened, read.data, write));
};
