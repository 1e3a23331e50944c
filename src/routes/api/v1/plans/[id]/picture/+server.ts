import { shelfOf } from '$core/document';
import { findPlan, wholeShelf } from '$lib/server/database';
import { pictureResponse } from '../../../../../../lib/server/http/picture';
import { notHere } from '../../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

/** A face or a cut of the piece that a plan comes to. */
export const GET = async ({ params, request }) => {
  const { db } = await store();
  const found = await findPlan(db, params.id);
  if (!found) return notHere('plan', params.id);
  const shelf = shelfOf(found.plan, await wholeShelf(db));
  return pictureResponse(request, found.plan, shelf);
};
