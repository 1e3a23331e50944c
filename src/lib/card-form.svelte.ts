import { goto } from '$app/navigation';
import type { z } from 'zod';
import { applyEdit } from '$core/plan';
import type { Problem } from '$core/problem';
import { problemsOf } from '$core/validate';
import type { CardKind } from './cards';
import { send } from './send';

/**
 * A card being edited. A card that is on the shelf saves as it changes; a new one is put there by its button.
 * What is wrong is said at its field (`at`), and nothing typed is lost.
 */
export class CardForm<T extends { id: string }> {
  card = $state.raw<T>() as T;
  problems = $state<Problem[]>([]);
  saved = $state(false);
  readonly kind: CardKind;
  readonly fresh: boolean;
  readonly #schema: z.ZodType<T>;

  constructor(kind: CardKind, schema: z.ZodType<T>, card: T, fresh: boolean) {
    this.kind = kind;
    this.fresh = fresh;
    this.card = card;
    this.#schema = schema;
  }

  /** Sets one field; saves when the whole card is right and already on the shelf. */
  set(path: (string | number)[], value: unknown): void {
    this.card = applyEdit(this.card, { path, value });
    this.saved = false;
    const read = this.#schema.safeParse(this.card);
    this.problems = read.success ? [] : problemsOf(read.error);
    if (read.success && !this.fresh) void this.#store();
  }

  /** The problem at a field, if there is one. */
  at(path: string): Problem | undefined {
    return this.problems.find((p) => p.path === path || p.path.startsWith(`${path}/`));
  }

  /** Puts a new card on the shelf and goes to an address. */
  async put(then: string): Promise<void> {
    const read = this.#schema.safeParse(this.card);
    this.problems = read.success ? [] : problemsOf(read.error);
    if (read.success && (await this.#store())) await goto(then, { invalidateAll: true });
  }

  /** Takes the card off the shelf and goes to an address. */
  async remove(then: string): Promise<void> {
    const gone = await send('DELETE', `/${this.kind}/${this.card.id}`);
    if (gone.ok) await goto(then, { invalidateAll: true });
    else this.problems = gone.problems;
  }

  async #store(): Promise<boolean> {
    const stored = await send('PUT', `/${this.kind}/${this.card.id}`, this.card);
    this.saved = stored.ok;
    if (!stored.ok) this.problems = stored.problems;
    return stored.ok;
  }
}
