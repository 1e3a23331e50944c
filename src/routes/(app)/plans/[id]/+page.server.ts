import { error } from '@sveltejs/kit';
import { findPlan, wholeShelf } from '$lib/server/database';
import { lessonsOf } from '$lib/server/lessons';
import { learnedOf } from '../../../../lib/server/learned-history';
import { store } from '$lib/server/store';

export const load = async ({ params }) => {
  const { db } = await store();
  const found = await findPlan(db, params.id);
  if (!found)
    error(404, { message: 'This plan is not here.', mend: 'It may have been deleted; see all plans.' });
  const { plan, revision } = found;
  const [shelf, learned, lessons] = await Promise.all([
    wholeShelf(db),
    learnedOf(db, plan, Date.now()),
    lessonsOf(db, plan)
  ]);
  return { plan, revision, shelf, learned, lessons };
};
