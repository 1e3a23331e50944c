import { between, chanceFrom, type Chance } from '../pattern/seeded';
import { isThere } from './amounts/stands-ready';
import { booksOf, stillFrom } from './amounts/ledger';
import { coloursOver } from './correct/colour-over';
import { doubtOf } from './correct/doubt';
import { fewerCavities } from './correct/fewer-cavities';
import { thinners } from './correct/overshoot-options';
import { foldRun } from './log/fold';
import type { RunEvent } from './log/events';
import type { RunState, TaskState } from './log/state';
import type { FrozenRun } from './snapshot/frozen';
import { couldDo } from './tasks/could-do';
import { gateOpening, statesIn } from './tasks/gate';
import type { GateTask, PourTask, WeighTask } from './tasks/task';
import { refitGate } from './times/refit';

const MINUTE = 60_000;
/** More turns than any run needs, slips and all. */
const MOST_TURNS = 3000;

/** One moment of a run that is conducted: all that was told so far, what it comes to, and the time, ms. */
export interface Moment {
  frozen: FrozenRun;
  events: readonly RunEvent[];
  state: RunState;
  now: number;
}

/** What the player tells next. */
type Told = Record<string, unknown> & { type: string };

/**
 * Conducts a run from its first check to its end as an unsteady hand does: most of it as planned, some of it with slips, and
 * everything by the questions the program asks. What the program doubts is taken back, mended or done later; never insisted on.
 * @param look called at every moment, before the next thing is told
 * @throws when the run does not come to its end
 */
export function conduct(frozen: FrozenRun, seed: number, look: (moment: Moment) => void): Moment {
  const player = new Player(frozen, chanceFrom(seed), seed);
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const moment = player.moment();
    look(moment);
    if (moment.state.finishedAt !== undefined) return moment;
    player.turn(moment);
  }
  const { state } = player.moment();
  throw new Error(`still at “${state.now?.task.id}” after ${MOST_TURNS} turns`);
}

class Player {
  readonly events: RunEvent[] = [];
  now = 1_000;
  readonly frozen: FrozenRun;
  readonly chance: Chance;
  readonly seed: number;

  constructor(frozen: FrozenRun, chance: Chance, seed: number) {
    this.frozen = frozen;
    this.chance = chance;
    this.seed = seed;
  }

  moment(): Moment {
    const events = [...this.events];
    const state = foldRun(this.frozen.tasks, events, this.frozen.computed.division);
    return { frozen: this.frozen, events, state, now: this.now };
  }

  tell(told: Told): void {
    const id = `played-${String(this.events.length).padStart(6, '0')}`;
    this.events.push({ id, at: Math.round(this.now), ...told } as unknown as RunEvent);
  }

  maybe(probability: number): boolean {
    return this.chance() < probability;
  }

  pass(minutes: number): void {
    this.now += Math.max(0.02, minutes) * MINUTE;
  }

  turn({ state }: Moment): void {
    this.pass(between(this.chance, 0.05, 0.4));
    const { now } = state;
    if (!now) return this.tell({ type: 'finished' });
    if (state.undoable && this.maybe(0.04)) return this.tell({ type: 'undone', event: state.undoable.id });
    if (this.maybe(0.03)) return this.remark(state);
    if (this.maybe(0.02)) return this.mishap(state);
    if (this.maybe(0.05)) {
      const other = couldDo(this.frozen, state, this.day()).find((c) => c.notBefore === undefined);
      if (other) return this.tell({ type: 'chosen', task: other.task.id });
    }
    if (state.lost.size) {
      const [mixId] = state.lost;
      if (this.maybe(0.5)) return this.tell({ type: 'restarted', mixId });
    }
    this.work(state, now);
  }

  day = () => ({ now: this.now, dayStart: new Date(this.now).setHours(0, 0, 0, 0) });

  /** Something that is only said: a note, the room, a state, a probe. */
  remark(state: RunState): void {
    const { groups, cups } = this.frozen.computed;
    const group = groups[Math.floor(this.chance() * groups.length)];
    const cup = cups[Math.floor(this.chance() * cups.length)];
    const celsius = Math.round(between(this.chance, 12, 34) * 10) / 10;
    const which = Math.floor(this.chance() * 5);
    if (which === 0) return this.tell({ type: 'note', text: 'a thread in the cup' });
    if (which === 1) return this.tell({ type: 'room', celsius });
    const states = group ? statesIn(this.frozen.computed, group.groupId) : [];
    const felt = states[Math.floor(this.chance() * states.length)]?.state;
    const poured = group && state.groups.get(group.groupId)?.lastPour !== undefined;
    if (which === 2 && group && felt && poured)
      return this.tell({ type: 'reported', groupId: group.groupId, state: felt });
    if (cup && felt && which === 3) return this.tell({ type: 'felt', cupId: cup.cupId, state: felt });
    if (cup) this.tell({ type: 'probed', of: cup.cupId, celsius });
  }

  /** Something went otherwise: spilled, lost, thickened, put where it does not belong. */
  mishap(state: RunState): void {
    const books = [...booksOf(this.frozen, state).values()].filter((b) => b.left > 1);
    const book = books[Math.floor(this.chance() * books.length)];
    if (!book) return;
    const { mixId, left } = book;
    const some = Math.round(between(this.chance, 0.02, 0.6) * left * 10) / 10;
    const which = Math.floor(this.chance() * 4);
    const [thinner] = thinners(this.frozen, mixId);
    if (which === 0 && thinner)
      return this.tell({ type: 'rewetted', mixId, part: thinner.part, grams: some * 0.02 });
    if (which === 1) return this.tell({ type: 'lost', mixId });
    const pour = state.tasks.find(({ task }) => task.kind === 'pour' && task.mixId === mixId)?.task;
    if (which === 2 && pour?.kind === 'pour')
      return this.tell({ type: 'misplaced', task: pour.id, groupId: pour.groupId, grams: some });
    this.tell({ type: 'spilled', mixId, grams: some });
  }

  work(state: RunState, entry: TaskState): void {
    const { task } = entry;
    if (state.topUp) {
      const { task: of, grams } = state.topUp;
      const doubt = doubtOf(this.frozen, state, of, { now: this.now, grams, aimed: grams });
      if (doubt || this.maybe(0.15)) return this.tell({ type: 'accepted', mixId: of.mixId });
      return this.tell({ type: 'added', task: of.id, grams: this.asRead(grams, of.division) });
    }
    const [over] = 'mixId' in task ? coloursOver(this.frozen, state, task.mixId) : [];
    if (over && this.maybe(0.3))
      return this.tell({ type: 'overdosed', task: over.taskId, way: this.maybe(0.5) ? 'follow' : 'keep' });
    if (task.kind !== 'gate' && task.kind !== 'prepare' && this.maybe(0.02))
      return this.tell({ type: 'skipped', task: task.id });
    switch (task.kind) {
      case 'weigh':
        return this.weigh(state, entry, task);
      case 'pour':
        return this.pour(state, task);
      case 'gate':
        return this.gate(state, task);
      default:
        return this.timed(state, entry);
    }
  }

  /** What a scale shows of an amount that a hand aimed at. */
  asRead(aimed: number, division: number): number {
    const put = aimed * between(this.chance, 0.99, 1.01);
    return Number((Math.max(1, Math.round(put / division)) * division).toPrecision(12));
  }

  weigh(state: RunState, { target }: TaskState, task: WeighTask): void {
    const aimed = target ?? task.grams;
    const unread = doubtOf(this.frozen, state, task, { now: this.now, grams: aimed, aimed });
    if (!unread && this.maybe(0.03)) return this.tell({ type: 'done', task: task.id });
    if (task.creeps && this.maybe(0.3)) return this.tell({ type: 'skipped', task: task.id });
    const slip = this.maybe(0.04) ? between(this.chance, 1.05, 1.6) : this.maybe(0.03) ? 10 : 1;
    const grams = this.asRead(aimed * slip, task.division);
    const doubt = doubtOf(this.frozen, state, task, { now: this.now, grams, aimed });
    if (doubt?.code === 'more-than-there' && doubt.meant === undefined)
      return this.tell({ type: 'skipped', task: task.id });
    const said = doubt ? (doubt.meant ?? aimed) : grams;
    this.tell({ type: 'weighed', task: task.id, grams: said });
  }

  /** A pour, by as much as there is; what is short of cavities is poured into fewer, or left out. */
  pour(state: RunState, task: PourTask): void {
    this.pass(0.1 * task.count);
    const also = task.also ?? [];
    const all = task.gramsEach + also.reduce((s, a) => s + a.gramsEach, 0);
    const typed = this.maybe(0.3) ? this.asRead(all * task.count, task.division ?? 0.1) : undefined;
    const doubt = doubtOf(this.frozen, state, task, { now: this.now, grams: typed });
    if (doubt?.code === 'more-than-there') return this.short(state, task);
    const grams = doubt ? doubt.meant : typed;
    const told = [task.id, ...also.map((a) => a.task)];
    const share = (id: string) =>
      (id === task.id ? task.gramsEach : also.find((a) => a.task === id)!.gramsEach) / all;
    for (const id of told)
      this.tell({ type: 'done', task: id, ...(grams === undefined ? {} : { grams: grams * share(id) }) });
  }

  short(state: RunState, task: PourTask): void {
    const fewer = this.maybe(0.7) ? fewerCavities(this.frozen, state, task.mixId) : undefined;
    if (fewer?.tasks.length && fewer.groups.some((g) => g.cavities > 0))
      return this.tell({ type: 'replanned', why: 'not enough', plan: { ...fewer.plan }, tasks: fewer.tasks });
    const { pours } = stillFrom(this.frozen, state, task.mixId);
    const short = pours.reduce((s, p) => s + p.planned * p.gramsEach, 0);
    const book = booksOf(this.frozen, state).get(task.mixId);
    const missing = short - (book?.left ?? 0);
    if (this.maybe(0.6) && missing > 0 && !state.lost.has(task.mixId))
      return this.tell({ type: 'topped', mixId: task.mixId, lines: [{ key: 'A', grams: missing + 1 }] });
    this.tell({ type: 'skipped', task: task.id });
  }

  gate(state: RunState, task: GateTask): void {
    const { gate } = refitGate(this.frozen, state, task);
    const opening = () => gateOpening(gate, state, this.day(), statesIn(this.frozen.computed, task.groupId));
    const { open, opensAt, conditions } = opening();
    if (open) return this.tell({ type: 'done', task: task.id });
    if (Number.isFinite(opensAt)) {
      this.now = Math.max(this.now, opensAt);
      return;
    }
    const i = conditions.findIndex((c) => !c.met);
    const waited = conditions[i]!;
    if (waited.look) return this.tell({ type: 'checked', task: task.id, condition: i });
    const of = gate.all?.[i]?.condition;
    if (of?.kind === 'probe') {
      const place = 'cup' in of.of ? of.of.cup : of.of.cavity;
      return this.tell({ type: 'probed', of: place, celsius: of.celsius });
    }
    if (of?.kind === 'state' && of.of !== 'layer below')
      return this.tell({ type: 'felt', cupId: of.of.cup, state: of.state });
    if (of?.kind === 'state') return this.tell({ type: 'reported', groupId: task.groupId, state: of.state });
    // What it is counted from was left out: so is the wait.
    this.tell({ type: 'skipped', task: task.id });
  }

  /** A stir, an act, a demould: done when its time has passed. */
  timed(state: RunState, { task, repeats = 0 }: TaskState): void {
    if (task.kind === 'prepare')
      for (const check of task.checks ?? []) this.tell({ type: 'ticked', check: check.id });
    const doubt = doubtOf(this.frozen, state, task, { now: this.now });
    if (doubt?.code === 'too-early') return this.pass(between(this.chance, 0.3, 1.3) * this.lasts(task));
    if (task.kind === 'do' && (task.times ?? 1) > repeats)
      return this.tell({ type: 'repeated', task: task.id });
    if (task.kind === 'do' && this.maybe(0.03)) this.tell({ type: 'gestured', task: task.id, times: 1 });
    this.tell({ type: 'done', task: task.id });
  }

  lasts(task: TaskState['task']): number {
    if (task.kind === 'stir') return task.minutes;
    if (task.kind === 'demould') return task.from;
    return 'unattended' in task
      ? task.unattended + task.attended + ('every' in task ? (task.every ?? 0) : 0)
      : 1;
  }
}

/** Mixes that gave away more than was in them, by more than a scale and a drop on a rim hide. */
export function overdrawn({ frozen, state }: Moment): string[] {
  return [...booksOf(frozen, state).values()].flatMap((b) => {
    const out = b.poured + b.spilled + b.misplaced;
    const known = state.tasks.some(
      ({ task, status }) => task.kind === 'weigh' && task.mixId === b.mixId && status === 'done'
    );
    return known && !isThere(out, b.put, frozen.computed.division)
      ? [`${b.mixId}: ${out.toFixed(2)} g out of ${b.put.toFixed(2)} g`]
      : [];
  });
}
