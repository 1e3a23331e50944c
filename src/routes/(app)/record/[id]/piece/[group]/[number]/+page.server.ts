import { error } from '@sveltejs/kit';
import { traceOf } from '$core/inspect';
import { planNow } from '$core/run';
import { piecesOf, readEvents } from '$lib/server/database';
import { spreadOf } from '$lib/server/own-spread';
import { runOfPage } from '$lib/server/run-page';
import { store } from '$lib/server/store';
import { foldedRun } from '../../../../../../../lib/run/folded-run';

export const load = async ({ params }) => {
  const { db } = await store();
  const run = await runOfPage(db, params.id);
  const number = Number(params.number);
  const pieces = await piecesOf(db, run.id);
  const piece = pieces.find((p) => p.groupId === params.group && p.number === number);
  const group = run.frozen.computed.groups.find((g) => g.groupId === params.group);
  if (!piece || !group)
    error(404, {
      message: 'Nothing is noted of this piece yet.',
      mend: 'Open the run in the record and look at the piece first.'
    });
  const { events } = await readEvents(db, run.id);
  const state = foldedRun(run.frozen, events);
  return {
    run: { id: run.id, name: run.name, startedAt: run.startedAt },
    name: group.name,
    plan: planNow(run.frozen, state),
    shelf: run.frozen.file.shelf,
    group,
    cups: run.frozen.computed.cups,
    piece,
    trace: traceOf(run.frozen, state, params.group, number),
    spread: await spreadOf(db, run, events)
  };
};
