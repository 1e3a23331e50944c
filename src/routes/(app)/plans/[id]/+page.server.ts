import { error } from '@sveltejs/kit';
import { spreadOfShares } from '$core/inspect';
import { findPlan, measuredPieces, wholeShelf } from '$lib/server/database';
import { lessonsOf } from '$lib/server/lessons';
import { learnedOf } from '../../../../lib/server/learned-history';
import { store } from '$lib/server/store';

/** Pieces that are looked at for how far pours vary, the latest first. */
const MEASURED = 40;

export const load = async ({ params }) => {
  const { db } = await store();
  const found = await findPlan(db, params.id);
  if (!found)
    error(404, { message: 'This plan is not here.', mend: 'It may have been deleted; see all plans.' });
  const { plan, revision } = found;
  const [shelf, learned, lessons, measured] = await Promise.all([
    wholeShelf(db),
    learnedOf(db, plan, Date.now()),
    lessonsOf(db, plan),
    measuredPieces(db, MEASURED)
  ]);
  return { plan, revision, shelf, learned, lessons, spread: spreadOfShares(measured) };
};
