import { ofTheirOwn, piecesIn } from '$core/document';
import { traceOf, type PieceTrace } from '$core/inspect';
import {
  correctionsOf,
  debriefOf,
  factsOf,
  handsOf,
  planNow,
  type FrozenRun,
  type RunState
} from '$core/run';
import { causesIn } from '$lib/server/causes';
import { foldedRun } from '../../../../lib/run/folded-run';
import { familyOf, listCards, listLessons, piecesOf, readEvents } from '$lib/server/database';
import { spreadOf } from '$lib/server/own-spread';
import { runOfPage } from '$lib/server/run-page';
import { store } from '$lib/server/store';

/** Where every piece of a run comes from, by its group and number. */
function tracesOf(frozen: FrozenRun, state: RunState): Record<string, PieceTrace> {
  const { groups } = frozen.file.plan;
  return Object.fromEntries(
    ofTheirOwn(groups).flatMap((g) =>
      Array.from({ length: piecesIn(g) }, (_, i) => [`${g.id}#${i + 1}`, traceOf(frozen, state, g.id, i + 1)])
    )
  );
}

export const load = async ({ params }) => {
  const { db } = await store();
  const run = await runOfPage(db, params.id);
  const [{ events, unreadable }, pieces, lessons] = await Promise.all([
    readEvents(db, run.id),
    piecesOf(db, run.id),
    listLessons(db, run.id)
  ]);
  const { computed, file, rules } = run.frozen;
  const state = foldedRun(run.frozen, events);
  return {
    run: { id: run.id, name: run.name, startedAt: run.startedAt, finishedAt: run.finishedAt, rules },
    plan: planNow(run.frozen, state),
    shelf: file.shelf,
    planId: run.planId,
    causes: await causesIn(db, run),
    family: await familyOf(db, run),
    moulds: (await listCards(db, 'moulds')).map(({ id, name }) => ({ id, name })),
    base: computed.bases.map((b) => b.name).join(', '),
    computed,
    facts: factsOf(computed, state),
    hands: handsOf(run.frozen.tasks, events),
    corrections: correctionsOf(run.frozen, state),
    advice: debriefOf(run.frozen, state).advice.map((a) => a.sentence),
    notes: state.notes,
    photos: state.photos,
    traces: tracesOf(run.frozen, state),
    left: state.left,
    strays: state.strays.map(({ event, sentence }) => ({ id: event.id, at: event.at, sentence })),
    unreadable,
    open: state.now !== undefined,
    pieces,
    spread: await spreadOf(db, run, events),
    lessons
  };
};
