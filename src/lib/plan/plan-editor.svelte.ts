import { applyEdit } from '$core/document/apply-edit';
import { merge, same } from '$core/document/merge';
import { figuresInTurn, figuresOf, Memo, Plan, type Computed } from '$core/plan';
import { type LearnedHistory } from '$core/document';
import type { ShareSpread } from '$core/inspect';
import { type Shelf } from '$core/shelf';
import type { Edit, Problem } from '$core/problem';
import { problemsOf } from '$core/validate';
import { leaveProof, proverFor, type Prover } from './prove-work';
import { SharedDocument } from '../store/shared-document.svelte';

/** Keystrokes in one field within this time make one step of undo, ms. */
const ONE_STEP = 900;
/** Nothing typed for so long, ms: then undo is kept. */
const REST = 400;
/** Steps of undo that survive a reload; more are kept while the page is open. */
const KEPT_STEPS = 60;

/** One step of undo: the plan before it and after it. What others changed meanwhile is kept when it is taken back. */
interface Change {
  before: Plan;
  after: Plan;
}

/** A plan as the server hands it out to be worked on. */
interface Opened {
  plan: Plan;
  revision: number;
  shelf: Shelf;
  learned?: LearnedHistory;
  /** How far measured pieces lie from their plans, once enough are measured. */
  spread?: ShareSpread | undefined;
}

const readPlan = (raw: unknown): Plan | undefined => {
  const read = Plan.safeParse(raw);
  return read.success ? read.data : undefined;
};

/** A merged plan as a plan reads; as it is where it reads as none. */
const parsed = (plan: Plan): Plan => readPlan(plan) ?? plan;

/** A plan open on the workbench: its document, everything computed from it, undo and redo without end. */
export class PlanEditor {
  problem = $state<Problem>();
  /** The step whose line is looked at: the picture shows where it is done. */
  looking = $state<string>();
  #past = $state.raw<Change[]>([]);
  #future = $state.raw<Change[]>([]);
  #last = { key: '', at: 0 };

  readonly shared: SharedDocument<Plan>;
  readonly shelf: Shelf;
  /** How far measured pieces lie from their plans, once enough are measured. */
  readonly spread: ShareSpread | undefined;
  /** Every figure, at once with each keystroke; its problems in general words. */
  readonly computed: Computed;
  /** What is wrong, at once; with the mends that `prove` has found for this very plan when it has. Apart from the figures, which do not change with them. */
  readonly problems: readonly Problem[];
  readonly #prover: Prover;
  /** What the record knows. */
  readonly #known: LearnedHistory;
  /** What the plan came to before its last change: only what that touched is worked out again. */
  readonly #memo = new Memo();
  /** What was last proved: of which plan, and the problems with their mends. */
  #proved = $state.raw<{ plan: Plan; problems: Problem[]; done: boolean }>();

  /** @param first the figures of the plan as it is opened, where they are known already */
  constructor({ plan, revision, shelf, learned = {}, spread }: Opened, first?: Computed) {
    this.shared = new SharedDocument('plans', plan, revision, readPlan);
    this.shelf = shelf;
    this.spread = spread;
    this.#known = learned;
    this.#prover = proverFor(shelf, learned);
    this.computed = $derived(
      first && this.shared.current === plan
        ? first
        : figuresOf(this.shared.current, this.shelf, learned, this.#memo)
    );
    this.problems = $derived(this.mended(this.plan, this.computed.problems));
    this.#recall();
  }

  get plan(): Plan {
    return this.shared.current;
  }

  /** The figures of a plan on this workbench, a little at each step. */
  figuresOf(plan: Plan): Generator<void, Computed> {
    return figuresInTurn(plan, this.shelf, this.#known, this.#memo);
  }
  get saved() {
    return this.shared.saved;
  }
  get canUndo() {
    return this.#past.length > 0;
  }
  get canRedo() {
    return this.#future.length > 0;
  }

  /** Makes a change; a change that is not a plan is refused with its problem, and nothing is lost. */
  edit(edit: Edit): void {
    this.edits([edit]);
  }

  /** Makes several changes as one step. @param seen the plan that was seen when they were made: what has come since is kept */
  edits(edits: Edit[], seen = this.plan): void {
    const key = edits.map((e) => e.path.join('/')).join('|');
    this.#take(
      edits.reduce((plan, e) => applyEdit(plan, e), seen),
      key,
      seen
    );
  }

  /** Puts another plan in the place of the one that was seen, as one step; what has come since is kept. */
  replace(plan: Plan, seen = this.plan): void {
    this.#take(plan, '', seen);
  }

  #take(wanted: Plan, key: string, seen: Plan) {
    this.#make(seen === this.plan ? wanted : merge(seen, wanted, this.plan).merged, key);
  }

  #make(wanted: Plan, key: string): void {
    const read = Plan.safeParse(wanted);
    if (!read.success) {
      this.problem = problemsOf(read.error, 'plan', wanted)[0];
      return;
    }
    this.problem = undefined;
    const before = this.plan;
    if (same(before, read.data)) return;
    const now = performance.now();
    const last = this.#past.at(-1);
    const goesOn = key !== '' && key === this.#last.key && now - this.#last.at <= ONE_STEP && last;
    this.#past = goesOn
      ? [...this.#past.slice(0, -1), { before: last.before, after: read.data }]
      : [...this.#past, { before, after: read.data }];
    this.#last = { key, at: now };
    this.#future = [];
    this.#show(read.data);
  }

  undo(): void {
    const change = this.#past.at(-1);
    if (!change) return;
    this.#past = this.#past.slice(0, -1);
    this.#future = [change, ...this.#future];
    this.#last = { key: '', at: 0 };
    this.#show(parsed(merge(change.after, change.before, this.plan).merged));
  }

  redo(): void {
    const change = this.#future[0];
    if (!change) return;
    this.#future = this.#future.slice(1);
    this.#past = [...this.#past, change];
    this.#last = { key: '', at: 0 };
    this.#show(parsed(merge(change.before, change.after, this.plan).merged));
  }

  /** Looks for mends that hold for the plan as it stands, beside the page, and shows each as it is found; resolves when all are, or overtaken. */
  async prove(): Promise<void> {
    const plan = this.plan;
    if (this.#proved?.plan === plan && this.#proved.done) return;
    const show = (problems: Problem[], done: boolean) => {
      if (this.plan === plan) this.#proved = { plan, problems, done };
    };
    const problems = await this.#prover(plan, (soFar) => show(soFar, false));
    if (problems) show(problems, true);
  }

  /** The search for mends is let go: something is typed, or the page is left. */
  leaveProof(): void {
    leaveProof();
  }

  /** Problems of a plan with the mends that were proved for this very plan; until then as they were found, in general words. */
  mended(plan: Plan, found: readonly Problem[]): readonly Problem[] {
    return this.#proved?.plan === plan ? this.#proved.problems : found;
  }

  /** Resolves once what is shown is stored, or fails when it cannot be. */
  settled(): Promise<void> {
    return this.shared.settled();
  }

  #show(plan: Plan) {
    this.shared.change(plan);
    this.#keepSoon();
  }

  get #key() {
    return `kirapen.undo.${this.plan.id}`;
  }

  #keeping: ReturnType<typeof setTimeout> | undefined;

  /** Undo is kept once the hand rests: writing it takes longer than a figure does to follow. */
  #keepSoon() {
    if (typeof sessionStorage === 'undefined') return;
    clearTimeout(this.#keeping);
    this.#keeping = setTimeout(() => this.keep(), REST);
  }

  /** Undo survives a reload of this page: kept with the tab, the oldest steps let go first. */
  keep() {
    if (this.#keeping === undefined) return;
    clearTimeout(this.#keeping);
    this.#keeping = undefined;
    for (let most = KEPT_STEPS; most > 0; most = Math.floor(most / 2)) {
      const list = (changes: readonly Change[]) => `[${changes.map(written).join(',')}]`;
      const kept = `{"past":${list(this.#past.slice(-most))},"future":${list(this.#future.slice(0, most))}}`;
      try {
        sessionStorage.setItem(this.#key, kept);
        return;
      } catch {
        // Full: fewer steps, or none where storage is off.
      }
    }
  }

  #recall() {
    if (typeof sessionStorage === 'undefined') return;
    try {
      const kept = JSON.parse(sessionStorage.getItem(this.#key) ?? '{}') as {
        past?: unknown[];
        future?: unknown[];
      };
      this.#past = (kept.past ?? []).flatMap(readChange);
      this.#future = (kept.future ?? []).flatMap(readChange);
    } catch {
      // What was kept cannot be read; undo begins anew.
    }
  }
}

/** A step as it is kept: written once, however often the steps are kept. */
function written(change: Change): string {
  const known = texts.get(change);
  if (known !== undefined) return known;
  const text = JSON.stringify(change);
  texts.set(change, text);
  return text;
}
const texts = new WeakMap<Change, string>();

function readChange(raw: unknown): Change[] {
  const { before, after } = (raw ?? {}) as { before?: unknown; after?: unknown };
  const [b, a] = [readPlan(before), readPlan(after)];
  return b && a ? [{ before: b, after: a }] : [];
}
