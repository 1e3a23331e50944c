import { type Condition } from '../../document';
import { cards } from '../../../../demo/cards';
import type { Plan } from '../../plan';
import type { Shelf } from '../../shelf';
import { foldRun, freeze, type FrozenRun, type RunEvent, type Task } from '../../run';
import { turnId } from '../../schedule';
import { event } from '../../run/run.testing';
import type { Defect } from '../piece';
import type { RecordFacts } from './case';
import { caseOf, causesOf } from '.';

const MINUTE = 60_000;

/** Minutes of a task in a run that goes to plan. */
function lasts(t: Task): number {
  switch (t.kind) {
    case 'weigh':
      return 0.5;
    case 'stir':
      return t.minutes;
    case 'pour':
      return 0.2 * t.count;
    case 'gate':
      return t.minutes;
    case 'make':
    case 'do':
      return t.attended + t.unattended;
    case 'demould':
      return (t.from + Math.min(t.to, t.from * 1.2)) / 2;
    default:
      return 1;
  }
}

/** Minutes that the hands stand at a gate by the plan: less than from its zero on, where something else was done meanwhile. */
function waitOf({ computed }: FrozenRun, t: Extract<Task, { kind: 'gate' }>): number {
  const wait = computed.score.gates.find((g) => t.id === `gate:${turnId(g.gateId, g.turn)}`);
  return wait ? Math.max(0, wait.opens - wait.from) : t.minutes;
}

/** A run that went to plan: everything ticked, weighed as aimed at, waited and demoulded inside its windows. */
export function goodRun(frozen: FrozenRun): RunEvent[] {
  let at = 0;
  let out = 0;
  const ticks = frozen.tasks.flatMap((t) => (t.kind === 'prepare' ? (t.checks ?? []) : []));
  const { roomCelsius } = frozen.file.plan.bench;
  const begun = [
    ...ticks.map((c) => event({ type: 'ticked', check: c.id }, 0)),
    event({ type: 'room', celsius: roomCelsius }, 0)
  ];
  const done = frozen.tasks.map((t) => {
    // Days after demoulding are counted from there, airing and all.
    const afterDemould = (c: Condition) => c.kind === 'since' && 'demoulded' in c.zero;
    if (t.kind === 'gate' && t.all?.some((a) => afterDemould(a.condition)))
      at = Math.max(at, out + t.minutes * MINUTE);
    else at += (t.kind === 'gate' ? waitOf(frozen, t) : lasts(t)) * MINUTE;
    if (t.kind === 'demould') out = at;
    if (t.kind === 'weigh') return event({ type: 'weighed', task: t.id, grams: t.grams }, at);
    const grams = t.kind === 'pour' ? { grams: t.gramsEach * t.count } : {};
    return event({ type: 'done', task: t.id, ...grams }, at);
  });
  return [...begun, ...done];
}

/** What went differently: events of a good run changed. */
export type Fault = (events: RunEvent[], frozen: FrozenRun) => RunEvent[];
export const ofTask = (e: RunEvent, test: RegExp) => 'task' in e && test.test(e.task);
/** From a task on, everything so many minutes later (or, negative, sooner). */
export const shift =
  (task: RegExp, by: number): Fault =>
  (events) => {
    const from = events.findIndex((e) => ofTask(e, task));
    return events.map((e, i) => (i >= from ? { ...e, at: e.at + by * MINUTE } : e));
  };
export const add =
  (told: Record<string, unknown>, after?: RegExp): Fault =>
  (events) => {
    const place = after ? events.findLastIndex((e) => ofTask(e, after)) : 8;
    return [...events, event(told, events[place]!.at + 1)];
  };
export const without =
  (test: (e: RunEvent) => boolean): Fault =>
  (events) =>
    events.filter((e) => !test(e));
export const skip =
  (task: RegExp): Fault =>
  (events) =>
    events.map((e) =>
      ofTask(e, task) ? event({ type: 'skipped', task: 'task' in e ? e.task : '' }, e.at) : e
    );
export const times =
  (task: RegExp, by: number): Fault =>
  (events) =>
    events.map((e) =>
      ofTask(e, task) && 'grams' in e && e.grams !== undefined
        ? ({ ...e, grams: e.grams * by } as RunEvent)
        : e
    );

export interface Planted {
  cause: string;
  defect: Defect;
  plan: Plan;
  fault?: Fault;
  /** Plan and shelf of the run with the fault, where the fault is planned in. */
  bad?: Plan;
  shelf?: Shelf;
  beside?: RecordFacts;
}

export function looked({ plan, bad, fault, shelf, beside, defect }: Planted, planted: boolean) {
  const frozen = freeze(planted ? (bad ?? plan) : plan, planted ? (shelf ?? cards) : cards);
  const good = goodRun(frozen);
  const events = planted && fault ? fault(good, frozen) : good;
  const state = foldRun(frozen.tasks, events, frozen.computed.division);
  const group = frozen.file.plan.groups[0]!.id;
  return causesOf(caseOf(frozen, state, group, planted ? beside : undefined), defect);
}
export const ids = (found: { likely: { id: string }[] }) => found.likely.map((l) => l.id);
