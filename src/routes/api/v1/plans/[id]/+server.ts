import { Plan } from '$core/plan';
import { absent } from '../../../../../lib/server/http/absent';
import { findPlan, removePlan, savePlan } from '$lib/server/database';
import { problem } from '../../../../../lib/server/http/body';
import {
  answerWrite,
  basedOn,
  document,
  notHere,
  readBody,
  refuse
} from '../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

export const GET = async ({ params }) => {
  const { db } = await store();
  const found = await findPlan(db, params.id);
  return found ? document(found.plan, found.revision) : absent(db, 'plans', params.id, 'plan');
};

export const PUT = async ({ params, request }) => {
  const body = await readBody(request, Plan, 'plan');
  if ('refused' in body) return body.refused;
  if (body.value.id !== params.id)
    return refuse([
      problem('id-differs', 'The plan’s id is not the one in the address.', 'Send it to its own address.')
    ]);
  const write = { basedOn: basedOn(request), now: Date.now() };
  return answerWrite('plan', body.value, await savePlan(await store(), body.value, write));
};

export const DELETE = async ({ params }) => {
  const gone = await removePlan(await store(), params.id, Date.now());
  return gone ? new Response(null, { status: 204 }) : notHere('plan', params.id);
};
