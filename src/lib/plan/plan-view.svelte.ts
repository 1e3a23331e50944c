import { flushSync, untrack } from 'svelte';
import type { Computed, Plan } from '$core/plan';
import type { Edit, Problem } from '$core/problem';
import { afterFrame, nextTask } from '../page/after-frame';
import type { PlanEditor } from './plan-editor.svelte';

/** Figures are worked out for so long without a pause, ms. */
const PIECE = 6;

/**
 * A plan as the workbench shows it: the plan and its figures together, never one without the other. What is typed is
 * drawn first; the figures are worked out in the tasks after it, and the page follows them, so that no
 * keystroke waits for either. A change that is made meanwhile is made of the plan that was seen, and keeps the other.
 */
export class PlanView {
  readonly editor: PlanEditor;
  #seen = $state.raw<{ plan: Plan; computed: Computed }>() as { plan: Plan; computed: Computed };
  readonly problems: readonly Problem[];

  constructor(editor: PlanEditor) {
    this.editor = editor;
    this.#seen = { plan: editor.plan, computed: editor.computed };
    this.problems = $derived(editor.mended(this.plan, this.computed.problems));
    $effect(() => {
      const plan = editor.plan;
      let overtaken = false;
      if (plan !== untrack(() => this.plan)) void this.#follow(plan, () => overtaken);
      return () => (overtaken = true);
    });
  }

  get plan(): Plan {
    return this.#seen.plan;
  }
  get computed(): Computed {
    return this.#seen.computed;
  }
  get shelf() {
    return this.editor.shelf;
  }
  /** How far measured pieces lie from their plans, once that is known. */
  get spread() {
    return this.editor.spread;
  }
  get problem() {
    return this.editor.problem;
  }
  /** The step whose form is open: its place can be set on the picture. */
  opened = $state<string>();

  /** The step whose line is looked at: the picture shows where it is done. */
  get looking() {
    return this.editor.looking;
  }
  set looking(stepId: string | undefined) {
    this.editor.looking = stepId;
  }

  edit(edit: Edit): void {
    this.editor.edits([edit], this.plan);
  }
  edits(edits: Edit[]): void {
    this.editor.edits(edits, this.plan);
  }
  replace(plan: Plan): void {
    this.editor.replace(plan, this.plan);
  }

  /** Resolves once what was changed is stored, or fails when it cannot be. */
  settled(): Promise<void> {
    return this.editor.settled();
  }

  /** Shows the plan as it stands at once: what a hand does next, it does to what it would have seen. */
  catchUp(): void {
    const { plan, computed } = this.editor;
    if (plan !== this.plan) flushSync(() => (this.#seen = { plan, computed }));
  }

  async #follow(plan: Plan, overtaken: () => boolean): Promise<void> {
    await afterFrame();
    const work = this.editor.figuresOf(plan);
    for (let computed: Computed | undefined; !overtaken(); await nextTask()) {
      if (computed) {
        if (plan !== this.plan) this.#seen = { plan, computed };
        return;
      }
      const until = performance.now() + PIECE;
      while (!computed && performance.now() < until) computed = work.next().value ?? undefined;
    }
  }
}
