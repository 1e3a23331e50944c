import { planFromRun } from '$core/run';
import { foldedRun } from '../../../../../../lib/run/folded-run';
import { eventsOf, findRun } from '$lib/server/database';
import { pictureResponse } from '../../../../../../lib/server/http/picture';
import { notHere } from '../../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

/** A face or a cut of the piece of a run: as its plan stood when it began, or by what was really weighed and poured. */
export const GET = async ({ params, request, url }) => {
  const { db } = await store();
  const run = await findRun(db, params.id);
  if (!run) return notHere('run', params.id);
  const { plan, shelf } = run.frozen.file;
  const drawn =
    url.searchParams.get('by') === 'what was poured'
      ? planFromRun(plan, run.frozen.computed, foldedRun(run.frozen, await eventsOf(db, run.id)), plan)
      : plan;
  return pictureResponse(request, drawn, shelf);
};
