import { newId } from '$lib/id';
import { json } from '@sveltejs/kit';
import { planFromRun } from '$core/run';
import { eventsOf, importPlanFile, readRun } from '$lib/server/database';
import { notHere, refuse } from '$lib/server/respond';
import { foldedRun } from '$lib/run';
import { store } from '$lib/server/store';

/** Makes a plan of what was really poured and weighed, with the cards the run used. */
export const POST = async ({ params }) => {
  const opened = await store();
  const read = await readRun(opened.db, params.id);
  if (!read) return notHere('run', params.id);
  if (!read.ok) return refuse(read.broken.problems);
  const run = read.value;
  const { file, computed } = run.frozen;
  const state = foldedRun(run.frozen, await eventsOf(opened.db, run.id));
  const day = new Date(run.startedAt).toISOString().slice(0, 10);
  const as = { id: newId(), name: `${run.name}, as poured ${day}`.slice(0, 80) };
  const plan = planFromRun(file.plan, computed, state, as);
  const beside = (wanted: string) => `${wanted.slice(0, 40)}-${newId().slice(0, 8)}`;
  const stored = await importPlanFile(opened, { plan, shelf: file.shelf }, beside, Date.now());
  return json(stored, { status: 201 });
};
