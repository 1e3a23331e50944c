import { error } from '@sveltejs/kit';
import { shelfOf } from '$core/document';
import { findPlan, wholeShelf } from '$lib/server/database';
import { learnedOf } from '../../../../lib/server/learned-history';
import { store } from '$lib/server/store';
import { inThread } from '../../../../lib/server/workers';

/** A plan as it would be frozen if it were begun now; nothing is stored. */
export const load = async ({ params }) => {
  const { db } = await store();
  const found = await findPlan(db, params.id);
  if (!found) error(404, { message: 'This plan is not here.', mend: 'See the list of plans.' });
  const { plan } = found;
  const shelf = shelfOf(plan, await wholeShelf(db));
  const { clings, hands } = await learnedOf(db, plan, Date.now());
  const learned = { ...(clings ? { clings } : {}), ...(hands ? { hands } : {}) };
  const frozen = await inThread('freeze', { plan, shelf, learned });
  const stops = frozen.computed.problems.filter((p) => p.level === 'stop');
  if (stops.length)
    error(422, { message: stops[0]!.sentence, mend: stops[0]!.mend || 'Mend it in the plan first.' });
  return { frozen, name: plan.name, planId: plan.id };
};
