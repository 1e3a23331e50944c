import { lettered } from '$core/document';
import type { Lesson } from '$core/inspect';
import { displayOf } from '$core/quantity';
import {
  checksNow,
  clocksOf,
  couldDo,
  doubtOf,
  foldRun,
  gateOpening,
  isPutOnScale,
  openChecks,
  refitGate,
  type Doubt,
  type FrozenRun
} from '$core/run';
import { remember, remembered } from '../page/remembered';
import { problemWords } from '../preferences.svelte';
import { instructionOf, typedGrams, type Instruction } from './instruction';
import type { RunClock } from './run-clock.svelte';
import type { PendingEvents } from './run-log.svelte';
import type { BenchScale } from './scale.svelte';

/** What a run's screen is given: read anew whenever it is asked, since any of it may change. */
export interface RunGiven {
  readonly frozen: FrozenRun;
  readonly log: PendingEvents;
  readonly clock: RunClock;
  readonly scale: BenchScale;
  readonly lessons: readonly Lesson[];
  /** What the shelf is short of for this run. */
  readonly short: readonly string[];
  /** Other runs that are being poured, where one more is too many to keep in sight. */
  readonly pouring: readonly string[];
  readonly conducting: boolean;
  /** Reads a scale on a cable from now on; absent where this browser cannot. */
  readonly oncable: (() => void) | undefined;
}

/** Whether this tab weighs by a scale: kept for when its page is read again. */
const SCALE_IN_USE = 'kirapen.scale';

/** A key, a pedal: pressed twice within so long, it was pressed once, ms. */
const ONE_PRESS_MS = 1000;

/** What is counted instead of weighed, as far as it is. */
export interface Counting {
  unit: string;
  each: number;
  wanted: number;
  count: number;
}

/** The run as its screen shows it, and everything that a hand does there. */
export class RunDesk {
  entry = $state('');
  problem = $state('');
  useScale = $state(false);
  /** What is asked about before it is believed, of which task. */
  #doubted = $state.raw<{ key: string; doubt: Doubt }>();
  readonly doubt = $derived.by(() =>
    this.#doubted?.key === this.instruction?.key ? this.#doubted?.doubt : undefined
  );
  /** What was counted of the task in hand, by key or pedal. */
  #counted = $state<{ task: string; count: number }>({ task: '', count: 0 });
  readonly given: RunGiven;

  constructor(given: RunGiven) {
    this.given = given;
  }

  readonly frozen = $derived.by(() => this.given.frozen);
  readonly computed = $derived.by(() => this.frozen.computed);
  readonly plan = $derived.by(() => this.frozen.file.plan);
  readonly now = $derived.by(() => this.given.clock.now);
  readonly run = $derived.by(() => foldRun(this.frozen.tasks, this.given.log.events, this.computed.division));
  readonly instruction = $derived.by(() => instructionOf(this.run, this.computed, this.frozen.file));
  readonly #moment = $derived.by(() => ({
    now: this.now,
    dayStart: new Date(this.now).setHours(0, 0, 0, 0)
  }));
  readonly states = $derived.by(() => this.#statesInHand(this.instruction));
  readonly #refit = $derived.by(() =>
    this.instruction?.kind === 'gate' ? refitGate(this.frozen, this.run, this.instruction.task) : undefined
  );
  readonly gate = $derived.by(
    () => this.#refit && gateOpening(this.#refit.gate, this.run, this.#moment, this.states)
  );
  /** A wait that is another than planned, and why. */
  readonly moved = $derived.by(() => this.#refit?.moved);
  readonly clocks = $derived.by(() => clocksOf(this.frozen, this.run, this.#moment));
  readonly could = $derived.by(() =>
    this.run.finishedAt ? [] : couldDo(this.frozen, this.run, this.#moment)
  );
  /** When the parts of the latest cup that is still to be poured met, ms; 0 while none did. */
  readonly latestZero = $derived.by(() =>
    Math.max(
      0,
      ...[...this.run.cups].flatMap(([id, c]) =>
        c.zero && this.clocks.some((k) => k.id === `pour:${id}`) ? [c.zero] : []
      )
    )
  );
  readonly done = $derived.by(() => this.run.tasks.filter((t) => t.status !== 'open').length);
  readonly unticked = $derived.by(() =>
    this.instruction?.kind === 'prepare'
      ? openChecks(checksNow(this.instruction.task, this.given.pouring), this.run.ticked)
      : []
  );
  readonly blocked = $derived.by(() => this.instruction?.kind === 'gate' && !this.gate?.open);
  readonly toCount = $derived.by(() => this.#counting());
  readonly confirmWords = $derived.by(() => this.#confirmWords());

  /** The states that the material in hand passes through: of the layer below, or of the cup that is poured. */
  #statesInHand(what: Instruction | undefined) {
    const { groups, cups, bases } = this.computed;
    const poured = groups
      .find((g) => what && 'groupId' in what && g.groupId === what.groupId)
      ?.layers.filter((l) =>
        this.run.tasks.some(
          (t) => t.task.kind === 'pour' && t.task.stepId === l.stepId && t.status === 'done'
        )
      );
    const cupId = poured?.at(-1)?.cupId ?? what?.cupId;
    const baseId = cups.find((c) => c.cupId === cupId)?.baseId;
    return (bases.find((b) => b.baseId === baseId) ?? bases[0])?.states ?? [];
  }

  #counting(): Counting | undefined {
    const { instruction } = this;
    if (instruction?.kind !== 'weigh' || !instruction.task.countedIn) return undefined;
    if (this.useScale || this.entry.trim()) return undefined;
    const { unit, each } = instruction.task.countedIn;
    const wanted = Math.max(1, Math.round(instruction.target / each));
    const { task, count } = this.#counted;
    return { unit, each, wanted, count: task === instruction.key ? count : 0 };
  }

  #confirmWords(): string {
    const { instruction, unticked, toCount } = this;
    if (!instruction) return 'Finish and inspect';
    if (unticked.length)
      return unticked.length === 1 ? 'Check off the last' : `Check off the next of ${unticked.length}`;
    if (toCount && toCount.count < toCount.wanted) return toCount.unit === 'drops' ? 'One drop' : 'One spoon';
    return instruction.confirm;
  }

  /** What a hand can be asked about: the layer in the mould, and every cup whose clock runs. */
  readonly feelable = $derived.by(() => {
    const groupId = this.instruction?.groupId ?? this.plan.groups[0]?.id;
    const group = this.computed.groups.find((g) => g.groupId === groupId);
    const layers =
      groupId === undefined ? [] : [{ id: groupId, name: group?.name ?? 'the mould', cup: false }];
    const cups = this.clocks.flatMap((c) => {
      const cup = c.kind === 'pour' ? this.computed.cups.find((x) => x.cupId === c.of) : undefined;
      return cup ? [{ id: cup.cupId, name: lettered(cup), cup: true }] : [];
    });
    return [...layers, ...cups.filter((c, i) => cups.findIndex((x) => x.id === c.id) === i)];
  });

  toggleScale = (): void => {
    this.useScale = !this.useScale;
    remember(SCALE_IN_USE, this.useScale ? 'yes' : 'no', 'tab');
    if (this.useScale) this.given.scale.connect();
    else this.given.scale.disconnect();
  };

  /** The scale that stood here before the page was read again stands here again. */
  comeBack(): void {
    if (!this.useScale && remembered(SCALE_IN_USE, 'tab') === 'yes') this.toggleScale();
  }

  /** What is weighed goes into a vessel that does not stand on the scale any more, or not yet: it is put there, and tared. */
  readonly freshOnScale = $derived.by(() => {
    const what = this.instruction;
    return what?.kind === 'weigh' && what.before <= 0 && isPutOnScale(this.run, what.task);
  });

  /** When a key or pedal last told something, ms. */
  #toldAt = -Infinity;

  /**
   * A key or a pedal confirms: pressed again within a second of what it told it is the same press. Checks and drops are counted as
   * fast as they come, and what told nothing (a scale that has not settled) may be pressed again at once.
   */
  press(confirm: () => void): void {
    if (this.unticked.length || this.toCount) return confirm();
    const now = Date.now();
    if (now - this.#toldAt < ONE_PRESS_MS) return;
    const { events } = this.given.log;
    confirm();
    if (this.given.log.events !== events) this.#toldAt = now;
  }

  /** The task in hand is done: weighed as it reads, poured, or waited for. What does not fit is asked about first. */
  confirm(): void {
    const what = this.instruction;
    if (!this.given.conducting || !what || this.doubt) return;
    this.problem = '';
    if (what.kind === 'weigh') this.#confirmWeighing(what);
    else if (what.kind === 'gate' && !this.gate?.open)
      this.problem = 'Not yet. Wait, or report the state with T.';
    else this.#confirmDone(what);
  }

  /** What was asked about: it is as it was told, it was another amount, or it is not so yet. */
  settle = (how: 'so' | 'meant' | 'not so'): void => {
    const { instruction, doubt } = this;
    this.#doubted = undefined;
    if (!this.given.conducting || !instruction || !doubt || how === 'not so') return;
    const grams = how === 'meant' ? doubt.meant : undefined;
    if (instruction.kind === 'weigh') this.#confirmWeighing(instruction, { grams });
    else this.#confirmDone(instruction, { grams });
  };

  /** Whether what is told is to be asked about: then it is shown, and nothing is told. */
  #isDoubted(what: Instruction, grams?: number): boolean {
    const aimed = what.kind === 'weigh' ? what.target : undefined;
    const doubt = doubtOf(this.frozen, this.run, what.task, { now: this.now, grams, aimed });
    if (doubt) this.#doubted = { key: what.key, doubt };
    return doubt !== undefined;
  }

  #confirmDone(what: Instruction, sure?: { grams?: number | undefined }): void {
    const { scale } = this.given;
    let grams = sure?.grams;
    if (what.kind === 'pour' && grams === undefined && this.entry.trim()) {
      grams = this.#readGrams(this.entry);
      if (grams === undefined) return;
    }
    if (!sure && this.#isDoubted(what, grams)) return;
    this.#tellDone(what, grams);
    this.entry = '';
    if (this.useScale && what.kind === 'pour') void scale.ask({ do: 'clear' });
  }

  /** What is in hand is done: of an act that is done several times, once more. */
  #tellDone(what: Instruction, grams: number | undefined): void {
    const { log } = this.given;
    if (what.kind === 'do' && (what.task.times ?? 1) > 1) {
      log.tell({ type: 'repeated', task: what.task.id });
      return;
    }
    for (const t of this.#atOnce(what))
      log.tell({ type: 'done', task: t.task, ...(grams === undefined ? {} : { grams: grams * t.share }) });
  }

  /** A task and what is poured at once with it, with the share of the grams that is each one's. */
  #atOnce({ task }: Instruction): { task: string; share: number }[] {
    const also = task.kind === 'pour' ? (task.also ?? []) : [];
    if (task.kind !== 'pour' || !also.length) return [{ task: task.id, share: 1 }];
    const all = task.gramsEach + also.reduce((s, a) => s + a.gramsEach, 0);
    return [{ task: task.id, gramsEach: task.gramsEach }, ...also].map((t) => ({
      task: t.task,
      share: t.gramsEach / all
    }));
  }

  #confirmWeighing(
    what: Extract<Instruction, { kind: 'weigh' }>,
    sure?: { grams?: number | undefined }
  ): void {
    const { key, target } = what;
    const { toCount } = this;
    if (toCount && toCount.count < toCount.wanted) {
      this.#counted = { task: key, count: toCount.count + 1 };
      return;
    }
    if (sure?.grams === undefined && !this.#isRead) {
      if (sure || !this.#isDoubted(what, target)) this.#tellUnread(what);
      return;
    }
    const grams = sure?.grams ?? this.#gramsIn();
    if (grams !== undefined && (sure || !this.#isDoubted(what, grams))) this.#tellWeighed(what, grams);
  }

  #tellWeighed({ task, topUp }: Extract<Instruction, { kind: 'weigh' }>, grams: number): void {
    const { log, scale } = this.given;
    log.tell({ type: topUp ? 'added' : 'weighed', task: task.id, grams: Math.round(grams * 1e6) / 1e6 });
    this.entry = '';
    if (this.useScale && this.plan.bench.readings === 'tared') void scale.ask({ do: 'tare' });
  }

  /** Nothing was read: it is told as done, and never as a weight. */
  #tellUnread({ task, topUp, target }: Extract<Instruction, { kind: 'weigh' }>): void {
    const { log } = this.given;
    log.tell(topUp ? { type: 'added', task: task.id, grams: target } : { type: 'done', task: task.id });
  }

  /** Whether anything says how much went in: a scale, what is typed, a count. */
  get #isRead(): boolean {
    return this.useScale || this.entry.trim() !== '' || this.toCount !== undefined;
  }

  /** What went in: counted, typed or read. */
  #gramsIn(): number | undefined {
    const { toCount } = this;
    return toCount ? toCount.count * toCount.each : this.#weighedGrams();
  }

  /** Pours of all rounds that go turn about with the one in hand, as far as they are still open. */
  readonly roundsLeft = $derived.by(() => {
    const now = this.instruction;
    if (now?.kind !== 'pour' || !now.task.round) return [];
    const from = this.run.tasks.findIndex((t) => t.task.id === now.task.id);
    const rest = this.run.tasks.slice(from);
    const end = rest.findIndex(({ task }) => task.kind !== 'pour' || !task.round);
    return rest.slice(0, end < 0 ? rest.length : end).filter((t) => t.status === 'open');
  });

  /** All rounds are in: each pour is told as done, and none tells of the hands. */
  confirmRounds = (): void => {
    if (!this.given.conducting) return;
    for (const { task } of this.roundsLeft) this.given.log.tell({ type: 'done', task: task.id });
    this.entry = '';
  };

  /** One drop or spoon more is in: past what was wanted it counts as it is. */
  countOne = (): void => {
    const { toCount, instruction } = this;
    if (!this.given.conducting || !toCount || !instruction) return;
    this.#counted = { task: instruction.key, count: toCount.count + 1 };
  };

  /** Everything that was to be counted was counted by hand. */
  countAll = (): void => {
    if (this.toCount && this.instruction)
      this.#counted = { task: this.instruction.key, count: this.toCount.wanted };
  };

  /** Creeping up on a colour stops here: it looks right. */
  enough = (): void => {
    const { instruction } = this;
    if (this.given.conducting && instruction?.kind === 'weigh' && instruction.task.creeps)
      this.given.log.tell({ type: 'skipped', task: instruction.task.id });
  };

  undo = (): void => {
    const { undoable } = this.run;
    if (this.given.conducting && undoable) this.given.log.tell({ type: 'undone', event: undoable.id });
  };

  take = (task: string): void => {
    if (this.given.conducting) this.given.log.tell({ type: 'chosen', task });
  };

  /** Another task that can be done now, before the one in hand. */
  takeOther = (): void => {
    const other = this.could.find((c) => c.notBefore === undefined);
    if (other) this.take(other.task.id);
  };

  /** Grams of the weighing in hand: typed or from the scale, less what was in the cup when reading cumulatively. */
  #weighedGrams(): number | undefined {
    if (this.instruction?.kind !== 'weigh') return undefined;
    const { before } = this.instruction;
    const { reading } = this.given.scale;
    if (this.useScale && !this.entry.trim()) {
      if (reading?.stable) return this.#positive(Math.abs(reading.grams - before));
      this.problem = 'The scale has not settled yet.';
      return undefined;
    }
    const pot = byDifference(this.entry);
    if (pot) {
      const [full, rest] = pot.map((text) => this.#readGrams(text));
      return full === undefined || rest === undefined ? undefined : this.#positive(full - rest);
    }
    const g = this.#readGrams(this.entry);
    return g === undefined ? undefined : this.#positive(g - before);
  }

  #positive(g: number): number | undefined {
    if (g > this.computed.division / 2) return Math.round(g * 1e6) / 1e6;
    this.problem = 'Nothing has been added yet. Type what the scale reads, the cup’s contents included.';
    return undefined;
  }

  #readGrams(text: string): number | undefined {
    const { instruction } = this;
    const division = instruction?.kind === 'weigh' ? instruction.task.division : this.computed.division;
    const read = typedGrams(text, displayOf(division).symbol);
    if (!read.ok) this.problem = problemWords(read.problem);
    return read.ok ? read.value : undefined;
  }
}

/** What a pot read before and after: “212.4 − 205.1”. */
function byDifference(text: string): [string, string] | undefined {
  const [full, rest, ...more] = text.split(/\s*[-−–]\s*/);
  return full?.trim() && rest?.trim() && !more.length ? [full, rest] : undefined;
}
