import { goto } from '$app/navigation';
import type { z } from 'zod';
import { applyEdit } from '$core/document/apply-edit';
import type { Problem } from '$core/problem';
import { problemsOf } from '$core/validate';
import type { CardKind } from './cards';
import { send } from './send';
import { SharedDocument } from './shared-document.svelte';

/**
 * A card being edited. A card that is on the shelf saves as it changes; a new one is put there by its button.
 * What is wrong is said at its field (`at`), and nothing typed is lost.
 */
export class CardForm<T extends { id: string }> {
  problems = $state<Problem[]>([]);
  readonly kind: CardKind;
  readonly fresh: boolean;
  /** The card as the benches share it; a new one is shared once it is on the shelf. */
  readonly shared: SharedDocument<T> | undefined;
  readonly schema: z.ZodType<T>;
  /** What is typed and not (yet) a card that can be stored. */
  #typed = $state.raw<T>();

  constructor(kind: CardKind, schema: z.ZodType<T>, card: T, revision: number | undefined) {
    this.kind = kind;
    this.fresh = revision === undefined;
    this.schema = schema;
    if (revision === undefined) this.#typed = card;
    else
      this.shared = new SharedDocument(kind, card, revision, (raw) => {
        const read = schema.safeParse(raw);
        return read.success ? read.data : undefined;
      });
  }

  get card(): T {
    return (this.#typed ?? this.shared?.current) as T;
  }

  get saved(): boolean {
    return this.shared?.saved === 'saved';
  }

  /** Sets one field; saves when the whole card is right and already on the shelf. */
  set(path: (string | number)[], value: unknown): void {
    const next = applyEdit(this.card, { path, value });
    const read = this.schema.safeParse(next);
    this.problems = read.success ? [] : problemsOf(read.error);
    const kept = read.success && this.shared !== undefined;
    this.#typed = kept ? undefined : next;
    if (kept) this.shared?.change(read.data);
  }

  /** The problem at a field, if there is one. */
  at(path: string): Problem | undefined {
    return [...this.problems, ...(this.shared?.refused ?? [])].find(
      (p) => p.path === path || p.path.startsWith(`${path}/`)
    );
  }

  /** Puts a new card on the shelf and goes to an address; answers what was refused. */
  async put(card: T, then: string): Promise<Problem[]> {
    const stored = await send('PUT', `/${this.kind}/${encodeURIComponent(card.id)}`, card, 'new');
    if (!stored.ok) return stored.problems;
    await goto(then, { invalidateAll: true });
    return [];
  }

  /** Takes the card off the shelf and goes to an address. */
  async remove(then: string): Promise<void> {
    const gone = await send('DELETE', `/${this.kind}/${encodeURIComponent(this.card.id)}`);
    if (gone.ok) await goto(then, { invalidateAll: true });
    else this.problems = gone.problems;
  }
}
