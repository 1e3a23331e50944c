import type { Problem } from '$core/problem';
import { overshootOf, strike, type PlannedMishap, type Struck } from '$core/rehearse';
import { foldRun, RunEvent, type FrozenRun, type RunState, type Task } from '$core/run';
import { problemsOf } from '$core/validate';
import { newId } from '../id';
import type { RehearsalClock } from './run-clock.svelte';
import type { PendingEvents, EventBody } from './run-log.svelte';

/** How far a practised hand is off a target, as a share. */
const HAND = 0.004;

/**
 * A rehearsal's events: they live on this page and nowhere else, so that no stock, record or learned figure ever hears of them. What
 * is confirmed without a reading was weighed by a stand-in hand; mishaps strike when their task is done.
 */
export class Rehearsal implements PendingEvents {
  events = $state.raw<RunEvent[]>([]);
  /** What struck last, until it is put away. */
  struck = $state.raw<Struck>();
  /** Everything that struck, for the debrief. */
  all = $state.raw<PlannedMishap[]>([]);
  /** Time that mishaps took from the hands. */
  gone = $state.raw<{ at: number; ms: number }[]>([]);
  readonly waiting = [];
  readonly aside = [];
  readonly unreadable = [];
  readonly signedOut = false;
  readonly #frozen: FrozenRun;
  readonly #clock: RehearsalClock;
  readonly #random: () => number;
  #mishaps: PlannedMishap[];
  #last = 0;

  constructor(
    frozen: FrozenRun,
    clock: RehearsalClock,
    planned: { mishaps: PlannedMishap[]; random: () => number }
  ) {
    this.#frozen = frozen;
    this.#clock = clock;
    this.#mishaps = planned.mishaps;
    this.#random = planned.random;
  }

  get state(): RunState {
    return foldRun(this.#frozen.tasks, this.events, this.#frozen.computed.division);
  }

  tell(told: EventBody): Problem | undefined {
    const problem = this.#keep(this.#byHand(told));
    if (!problem && 'task' in told) this.#strikeAfter(told.task);
    return problem;
  }

  drop(): void {
    // Nothing is ever set aside in a rehearsal.
  }
  dropUnreadable(): void {
    // Nothing is ever kept in a rehearsal.
  }
  mend(): Problem | undefined {
    return undefined;
  }

  #keep(told: EventBody): Problem | undefined {
    const at = Math.max(Math.round(this.#clock.read()), this.#last + 1);
    const read = RunEvent.safeParse({ ...told, id: `${at.toString(36)}-${newId()}`, at });
    if (!read.success) return problemsOf(read.error)[0];
    this.#last = at;
    this.events = [...this.events, read.data];
    return undefined;
  }

  /** What the stand-in hand makes of a weighing that was not read. */
  #byHand(told: EventBody): EventBody {
    if (told.type !== 'done') return told;
    const entry = this.state.tasks.find((t) => t.task.id === told.task);
    if (entry?.task.kind !== 'weigh') return told;
    const { division } = entry.task;
    const target = entry.target ?? entry.task.grams;
    const goesOver = this.#mishaps.some((m) => m.kind === 'overshoot' && m.task === told.task);
    const off = goesOver ? overshootOf(this.#random()) : 1 + HAND * (2 * this.#random() - 1);
    const grams = Math.max(division, Math.round((target * off) / division) * division);
    return { type: 'weighed', task: told.task, grams: Math.round(grams * 1e6) / 1e6 };
  }

  #strikeAfter(taskId: string): void {
    const due = this.#mishaps.find((m) => m.task === taskId);
    const entry = this.state.tasks.find((t) => t.task.id === taskId);
    if (!due || entry?.status !== 'done') return;
    this.#mishaps = this.#mishaps.filter((m) => m !== due);
    // The maker read this one: the hand that slips is the next one's.
    if (due.kind === 'overshoot' && !this.#slipped(taskId)) {
      const next = this.#nextPart(taskId);
      if (next) this.#mishaps = [...this.#mishaps, { kind: 'overshoot', task: next.id }];
      return;
    }
    const found = strike(
      due.kind,
      { frozen: this.#frozen, state: this.state, task: entry.task },
      this.#random
    );
    this.all = [...this.all, due];
    this.struck = found;
    if (found.ahead) {
      this.gone = [...this.gone, { at: this.#clock.read(), ms: found.ahead * 60_000 }];
      this.#clock.ahead(found.ahead);
    }
    for (const event of found.events) this.#keep(event);
  }

  /** Whether a weighing really went over. */
  #slipped(taskId: string): boolean {
    const entry = this.state.tasks.find((t) => t.task.id === taskId);
    return entry?.task.kind === 'weigh' && (entry.actual ?? 0) > entry.task.grams * 1.04;
  }

  #nextPart(taskId: string): Task | undefined {
    const tasks = this.#frozen.tasks;
    const from = tasks.findIndex((t) => t.id === taskId) + 1;
    return tasks.slice(from).find((t) => t.kind === 'weigh' && t.part && !t.takeOut);
  }
}
