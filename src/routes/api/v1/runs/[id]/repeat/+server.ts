import { newId } from '$lib/id';
import { json } from '@sveltejs/kit';
import { planFromRun } from '$core/run';
import { eventsOf, findRun, importPlanFile } from '$lib/server/database';
import { notHere } from '$lib/server/respond';
import { foldedRun } from '$lib/run';
import { store } from '$lib/server/store';

/** Makes a plan of what was really poured and weighed, with the cards the run used. */
export const POST = async ({ params }) => {
  const opened = await store();
  const run = await findRun(opened.db, params.id);
  if (!run) return notHere('run', params.id);
  const { computed, state } = foldedRun(run.snapshot, await eventsOf(opened.db, run.id));
  const day = new Date(run.startedAt).toISOString().slice(0, 10);
  const id = newId();
  const plan = planFromRun(
    run.snapshot.plan,
    computed,
    state,
    id,
    `${run.name}, as poured ${day}`.slice(0, 80)
  );
  const stored = await importPlanFile(
    opened,
    { ...run.snapshot, plan },
    (wanted) => `${wanted.slice(0, 40)}-${newId().slice(0, 8)}`,
    Date.now()
  );
  return json(stored, { status: 201 });
};
