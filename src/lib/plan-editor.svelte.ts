import { applyEdit, computePlan, Plan, type Past, type Shelf } from '$core/plan';
import type { Edit, Problem } from '$core/problem';
import { problemsOf } from '$core/validate';

/** Keystrokes in one field within this time make one step of undo, ms. */
const ONE_STEP = 900;

/**
 * A plan open on the workbench: its document, everything computed from it, undo and redo without end, and
 * saving as it changes. What could not be sent is kept on the device until it can.
 */
export class PlanEditor {
  plan = $state.raw<Plan>() as Plan;
  saved = $state<'saved' | 'saving' | 'waiting'>('saved');
  problem = $state<Problem>();
  #past = $state.raw<Plan[]>([]);
  #future = $state.raw<Plan[]>([]);
  #last = { key: '', at: 0 };
  #sending: Promise<void> | undefined;
  #retry: ReturnType<typeof setTimeout> | undefined;

  readonly shelf: Shelf;
  readonly computed;

  constructor(plan: Plan, shelf: Shelf, past: Past = {}) {
    this.plan = plan;
    this.shelf = shelf;
    this.computed = $derived(computePlan(this.plan, this.shelf, past));
    const kept = this.#draft();
    if (kept) {
      this.plan = kept;
      this.#send();
    }
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

  /** Makes several changes as one step. */
  edits(edits: Edit[]): void {
    const next = Plan.safeParse(edits.reduce((plan, e) => applyEdit(plan, e), this.plan));
    if (!next.success) {
      this.problem = problemsOf(next.error, 'plan')[0];
      return;
    }
    this.problem = undefined;
    const key = edits.map((e) => e.path.join('/')).join('|');
    const now = performance.now();
    if (key !== this.#last.key || now - this.#last.at > ONE_STEP) this.#past = [...this.#past, this.plan];
    this.#last = { key, at: now };
    this.#future = [];
    this.#show(next.data);
  }

  undo(): void {
    const before = this.#past.at(-1);
    if (!before) return;
    this.#past = this.#past.slice(0, -1);
    this.#future = [this.plan, ...this.#future];
    this.#last = { key: '', at: 0 };
    this.#show(before);
  }

  redo(): void {
    const after = this.#future[0];
    if (!after) return;
    this.#future = this.#future.slice(1);
    this.#past = [...this.#past, this.plan];
    this.#last = { key: '', at: 0 };
    this.#show(after);
  }

  /** Resolves once what is shown is stored, or fails when it cannot be. */
  async settled(): Promise<void> {
    clearTimeout(this.#retry);
    await this.#send();
    if (this.saved !== 'saved') throw new Error('not stored');
  }

  #show(plan: Plan) {
    this.plan = plan;
    this.#keepDraft();
    void this.#send();
  }

  /** One send at a time; one that is under way also takes along what changes meanwhile. */
  #send(): Promise<void> {
    this.#sending ??= this.#sendAll().finally(() => (this.#sending = undefined));
    return this.#sending;
  }

  async #sendAll(): Promise<void> {
    this.saved = 'saving';
    clearTimeout(this.#retry);
    try {
      let sent: Plan;
      do {
        sent = this.plan;
        const response = await fetch(`/api/v1/plans/${encodeURIComponent(sent.id)}`, {
          method: 'PUT',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(sent)
        });
        if (!response.ok) throw new Error(String(response.status));
      } while (sent !== this.plan);
      this.saved = 'saved';
      localStorage.removeItem(this.#key);
    } catch {
      this.saved = 'waiting';
      this.#retry = setTimeout(() => this.#send(), 2000);
    }
  }

  get #key() {
    return `kirapen.draft.${this.plan.id}`;
  }

  #keepDraft() {
    try {
      localStorage.setItem(this.#key, JSON.stringify(this.plan));
    } catch {
      // Storage may be full or off; sending goes on all the same.
    }
  }

  #draft(): Plan | undefined {
    if (typeof localStorage === 'undefined') return undefined;
    const kept = localStorage.getItem(this.#key);
    if (!kept) return undefined;
    const read = Plan.safeParse(JSON.parse(kept));
    return read.success ? read.data : undefined;
  }
}
