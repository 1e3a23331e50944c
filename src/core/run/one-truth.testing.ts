import { standsReady } from './amounts/stands-ready';
import { booksOf } from './amounts/ledger';
import { doubtOf } from './correct/doubt';
import { correctionsOf } from './correct/corrections';
import { debriefOf } from './after/debrief';
import { metricWords } from '../message';
import { couldDo } from './tasks/could-do';
import { gateOpening, statesIn } from './tasks/gate';
import { clocksOf } from './times/clocks';
import { refitGate } from './times/refit';
import type { Moment } from './machine-player.testing';

/** Two moments this near are one, ms. */
const SAME = 1000;
const near = (a: number, b: number) => a === b || Math.abs(a - b) <= SAME;

/** Figures of one moment that contradict one another, in words. */
export const contradictions = (moment: Moment): string[] => [
  ...ofGates(moment),
  ...ofDemoulding(moment),
  ...ofMeanwhile(moment),
  ...ofAmounts(moment),
  ...ofWords(moment)
];

const dayOf = (now: number) => ({ now, dayStart: new Date(now).setHours(0, 0, 0, 0) });

/** The clock of a wait runs out when the wait opens. */
function ofGates({ frozen, state, now }: Moment): string[] {
  const task = state.now?.task;
  if (task?.kind !== 'gate') return [];
  const { gate } = refitGate(frozen, state, task);
  const opening = gateOpening(gate, state, dayOf(now), statesIn(frozen.computed, task.groupId));
  const clock = clocksOf(frozen, state, dayOf(now)).find((c) => c.id === task.id);
  if (opening.open || !Number.isFinite(opening.opensAt)) return [];
  if (!clock) return [`${task.id} has no clock, and opens at ${opening.opensAt}`];
  return near(clock.due, opening.opensAt)
    ? []
    : [
        `${task.id}: its clock says ${(clock.due - now) / 60000} min, its gate ${(opening.opensAt - now) / 60000} min`
      ];
}

/** A demould is asked about exactly while its clock runs. */
function ofDemoulding({ frozen, state, now }: Moment): string[] {
  const clocks = clocksOf(frozen, state, dayOf(now));
  return state.tasks.flatMap(({ task, status }) => {
    if (task.kind !== 'demould' || status !== 'open') return [];
    const clock = clocks.find((c) => c.id === task.id);
    const late = clocks.find((c) => c.id === `late:${task.groupId}`);
    if (!clock || !late) return [];
    const early = doubtOf(frozen, state, task, { now }) !== undefined;
    const out = [];
    if (early !== clock.due - now > 60_000)
      out.push(`${task.id}: asked ${early}, due in ${clock.due - now} ms`);
    if (late.due < clock.due - SAME) out.push(`${task.id}: too late before it is firm`);
    return out;
  });
}

/** What else could be done says of each thing what its clock says, and nothing of what is in hand. */
function ofMeanwhile({ frozen, state, now }: Moment): string[] {
  const clocks = clocksOf(frozen, state, dayOf(now));
  const next = state.tasks.find((t) => t.status === 'open' && t !== state.now)?.task.id;
  return couldDo(frozen, state, dayOf(now)).flatMap(({ task, due, notBefore }) => {
    const out = [];
    if (task.id === state.now?.task.id) out.push(`${task.id} is in hand and offered besides`);
    if (task.id === next && notBefore !== undefined && state.now?.task.kind !== 'gate')
      out.push(`${task.id} is next, and “not yet”`);
    const clock = clocks.find((c) =>
      task.kind === 'pour' ? c.id === `pour:${task.mixId}` : c.id === task.id
    );
    if (task.kind === 'pour' && due !== undefined && (!clock || !near(clock.due, due)))
      out.push(`${task.id}: ${due} offered, ${clock?.due} on its clock`);
    if (task.kind === 'demould' && notBefore !== undefined && clock && !near(clock.due, notBefore))
      out.push(`${task.id}: not before ${notBefore}, its clock ${clock.due}`);
    return out;
  });
}

/** What stands ready for a pour is what the books say is in its cup, and never less than nothing. */
function ofAmounts({ frozen, state }: Moment): string[] {
  const books = booksOf(frozen, state);
  const out = [...books.values()].flatMap((b) =>
    [b.put, b.poured, b.spilled, b.misplaced, b.left, b.wanted, b.short].every((x) => x >= -1e-6)
      ? []
      : [`${b.mixId}: less than nothing in ${JSON.stringify(b)}`]
  );
  const task = state.now?.task;
  if (task?.kind !== 'pour') return out;
  const ready = standsReady(frozen, state, task);
  const left = books.get(task.mixId)?.left;
  if (ready && !near(ready.grams * 1e6, (left ?? NaN) * 1e6))
    out.push(`${task.id}: ${ready.grams} ready, ${left} left`);
  return out;
}

/** No sentence holds a figure that is none. */
function ofWords({ frozen, state }: Moment): string[] {
  const debrief = debriefOf(frozen, state);
  const words = [
    ...correctionsOf(frozen, state).flatMap((c) => [c.what, c.did]),
    ...debrief.advice.map((a) => a.sentence)
  ].map((w) => metricWords(w));
  return words.filter((w) => /NaN|Infinity|undefined|\[object|-\d+(\.\d+)? g\b/.test(w));
}
