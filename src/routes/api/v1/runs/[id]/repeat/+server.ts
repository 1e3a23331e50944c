import { newId } from '$lib/id';
import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { figuresOf, type Plan } from '$core/plan';
import { type Shelf } from '$core/shelf';
import { asFamily, planFromRun, scaledTo } from '$core/run';
import { problem } from '../../../../../../lib/server/http/body';
import { eventsOf, importPlanFile, readRun, wholeShelf, type Db } from '$lib/server/database';
import { notHere, readBody, refuse } from '../../../../../../lib/server/http/respond';
import { foldedRun } from '../../../../../../lib/run/folded-run';
import { store } from '$lib/server/store';

/** Another mould to repeat it in, or as a family; as it was poured, in the run's own, where nothing is sent. */
const Asked = z.object({
  family: z.boolean().optional(),
  mouldId: z.string().max(200).optional(),
  cavityId: z.string().max(200).optional(),
  count: z.number().int().positive().max(2000).optional()
});

/** Makes a plan of what was really poured and weighed, with the cards the run used; in another mould where one is named. */
export const POST = async ({ params, request }) => {
  const empty = !request.headers.get('content-length') || request.headers.get('content-length') === '0';
  const body = empty ? { value: {} as z.infer<typeof Asked> } : await readBody(request, Asked);
  if ('refused' in body) return body.refused;
  const opened = await store();
  const read = await readRun(opened.db, params.id);
  if (!read) return notHere('run', params.id);
  if (!read.ok) return refuse(read.broken.problems);
  const run = read.value;
  const { file, computed } = run.frozen;
  const state = foldedRun(run.frozen, await eventsOf(opened.db, run.id));
  const day = new Date(run.startedAt).toISOString().slice(0, 10);
  const as = { id: newId(), name: `${run.name}, as poured ${day}`.slice(0, 80) };
  const madeFrom = { plan: file.plan.id, run: run.id };
  // Its pieces count for the order it was made from: it founds none of its own.
  const { order: _, ...again } = planFromRun(file.plan, computed, state, as);
  const poured = { ...again, madeFrom };
  const other =
    body.value.mouldId === undefined ? undefined : await inOther(opened.db, poured, file.shelf, body.value);
  if (other === 'no mould')
    return refuse([
      problem('mould-missing', 'There is no such mould or cavity.', 'Choose one that is on the shelf.')
    ]);
  const repeated = other ?? { plan: poured, shelf: file.shelf };
  const family = body.value.family ? asFamily(repeated.plan) : repeated.plan;
  if (!family)
    return refuse([
      problem(
        'family-of-one-colour',
        'A family needs two colours or more that can change places.',
        'Repeat it as poured, or add a cup to the plan first.'
      )
    ]);
  const shelf = repeated.shelf;
  const plan = body.value.family ? { ...family, name: `${run.name}, a family`.slice(0, 80) } : family;
  const beside = (wanted: string) => `${wanted.slice(0, 40)}-${newId().slice(0, 8)}`;
  const stored = await importPlanFile(opened, { plan, shelf }, beside, Date.now());
  return json(stored, { status: 201 });
};

/** The plan in another mould of the shelf, and the cards it needs then. */
async function inOther(db: Db, plan: Plan, shelf: Shelf, asked: z.infer<typeof Asked>) {
  const mould = (await wholeShelf(db)).moulds.find((m) => m.id === asked.mouldId);
  const cavity =
    mould?.cavities.find((c) => c.id === asked.cavityId) ?? (asked.cavityId ? undefined : mould?.cavities[0]);
  if (!mould || !cavity) return 'no mould';
  const to = {
    mouldId: mould.id,
    cavityId: cavity.id,
    name: cavity.name,
    count: asked.count ?? cavity.count
  };
  const scaled = scaledTo(plan, figuresOf(plan, shelf), to);
  return {
    plan: { ...scaled, name: `${plan.name}, in ${mould.name}`.slice(0, 80) },
    shelf: { ...shelf, moulds: [mould] }
  };
}
