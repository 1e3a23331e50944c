import { findRun } from '$lib/server/database';
import { pictureResponse } from '../../../../../../lib/server/http/picture';
import { notHere } from '../../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

/** A face or a cut of the piece as the plan of a run had it when it began. */
export const GET = async ({ params, url }) => {
  const { db } = await store();
  const run = await findRun(db, params.id);
  if (!run) return notHere('run', params.id);
  const { plan, shelf } = run.frozen.file;
  return pictureResponse(url, { plan, shelf, key: JSON.stringify([run.id, plan, shelf]) });
};
