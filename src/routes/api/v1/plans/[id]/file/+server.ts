import { shelfOf } from '$core/document';
import { type PlanFile } from '$core/plan';
import { findPlan, wholeShelf } from '$lib/server/database';
import { notHere } from '../../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

/** The plan as a file, with every card it uses. */
export const GET = async ({ params }) => {
  const { db } = await store();
  const found = await findPlan(db, params.id);
  if (!found) return notHere('plan', params.id);
  const { plan } = found;
  const file: PlanFile = {
    format: 'kirapen.plan',
    version: 2,
    plan,
    shelf: shelfOf(plan, await wholeShelf(db))
  };
  const name =
    plan.name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'plan';
  return new Response(JSON.stringify(file, null, 2), {
    headers: {
      'content-type': 'application/json',
      'content-disposition': `attachment; filename="${name}.kirapen.json"`
    }
  });
};
