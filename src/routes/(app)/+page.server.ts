import { foldedRun } from '../../lib/run/folded-run';
import { openOrders } from '$lib/server/orders';
import { dueOf } from '$core/run';
import {
  eventsOf,
  latestLessons,
  openRuns,
  readPlans,
  readRuns,
  recentPieces,
  wholeShelf,
  type Db,
  type Run
} from '$lib/server/database';
import { offersOf, planOfOffer } from '$core/propose';
import { newId } from '$lib/id';
import type { Plan } from '$core/plan';
import { toReorder, type LotLeft, type Shelf } from '$core/shelf';
import { learnedOfEach, stock } from '../../lib/server/learned-history';
import { store } from '$lib/server/store';
import { inThread } from '../../lib/server/workers';
import { startOfDay } from '$lib/when';
import { storedPreferences, proposedPreferences } from '../../lib/server/preferences';

/** How many runs back the bench looks for something still due. */
const LOOK_BACK = 30;

/** A run that goes on: how far it is, what is due of it, and what it is drawn by. */
async function goingOn(db: Db, { id, name, startedAt, frozen }: Run) {
  const state = foldedRun(frozen, await eventsOf(db, id));
  const now = state.now?.task;
  const { groups, cups } = frozen.computed;
  return {
    id,
    name,
    startedAt,
    done: state.tasks.filter((t) => t.status !== 'open').length,
    of: state.tasks.length,
    due: dueOf(frozen, state, { now: Date.now(), dayStart: startOfDay(Date.now()) }).map((d) => ({
      ...d,
      poured: Math.max(0, ...d.groupIds.map((g) => state.groups.get(g)?.lastPour ?? 0)),
      dries: (d.gate?.all ?? []).some(({ condition: c }) => c.kind === 'since' && 'demoulded' in c.zero)
    })),
    inHand: now?.kind !== 'demould' && now !== undefined,
    group: groups[0],
    cups
  };
}

/** What is left and enough for a piece, each with the plan that pours it. */
const offered = (left: readonly LotLeft[], shelf: Shelf, plans: readonly Plan[]) =>
  offersOf(left, shelf, plans)
    .slice(0, 3)
    .flatMap((offer) => {
      const plan = planOfOffer(offer, left, shelf, newId());
      return plan ? [{ ...offer, plan }] : [];
    });

export const load = async ({ request }) => {
  const { db } = await store();
  const kept = await storedPreferences(db);
  const [open, plans, shelf, pieces] = await Promise.all([
    openRuns(db, LOOK_BACK),
    readPlans(db),
    wholeShelf(db),
    recentPieces(db, 8)
  ]);
  const shown = [...new Set([...open.map((r) => r.id), ...pieces.map((p) => p.runId)])];
  const { good, broken } = await readRuns(db, shown);
  const going = await Promise.all(
    good.filter((run) => open.some((r) => r.id === run.id)).map((run) => goingOn(db, run))
  );
  // The runs that the latest pieces came from, drawn as planned.
  const drawn = new Map(
    good
      .filter((run) => pieces.some((p) => p.runId === run.id))
      .map(({ id, frozen: { computed, file } }) => [
        id,
        { groups: computed.groups, cups: computed.cups, face: file.plan.showFace }
      ])
  );
  const { open: remaining, leftOut } = await openOrders(
    db,
    plans.good.map((p) => p.plan)
  );
  const learnedEach = await learnedOfEach(db, remaining, Date.now());
  const { short, next } = await inThread('ahead', {
    plans: remaining.map((plan, i) => ({ plan, learned: learnedEach[i]! })),
    shelf
  });
  const lessons = await latestLessons(db, 3);
  const left = await stock(db, shelf, Date.now());
  return {
    /** How figures could read here, while nobody has said. */
    proposed: kept ? undefined : proposedPreferences(request),
    short,
    leftOut,
    offers: offered(
      left,
      shelf,
      plans.good.map((p) => p.plan)
    ),
    low: toReorder(left).filter((l) => !short.some((s) => s.key === l.key)),
    next: next.filter((n) => !n.stopped).slice(0, 4),
    lessons: lessons.map(({ id, runId, text }) => ({ id, runId, text })),
    going,
    pieces,
    drawn,
    broken: [...plans.broken, ...broken],
    empty: !plans.good.length && !plans.broken.length && !open.length && !pieces.length,
    shelf
  };
};
